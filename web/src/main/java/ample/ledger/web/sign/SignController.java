package ample.ledger.web.sign;

import ample.ledger.standin.SimulatedSignOn;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers the address at which people sign in. */
@Controller
class SignController {

    private final boolean students;

    SignController(@Value("${ledger.student-password}") String studentPassword) {
        students = !studentPassword.isBlank();
    }

    /** @param again there where a name and a password did not go together */
    @GetMapping("/sign-in")
    String signIn(@RequestParam(required = false) @Nullable String again, Model model) {
        model.addAttribute("again", again != null);
        model.addAttribute("students", students ? SimulatedSignOn.students() : List.of());
        return "sign/page";
    }
}

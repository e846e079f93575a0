package ample.ledger.web.sign;

import ample.ledger.standin.SimulatedSignOn;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Answers the address at which people sign in. */
@Controller
class SignController {

    private final boolean students;

    SignController(@Value("${ledger.student-password}") String studentPassword) {
        students = !studentPassword.isBlank();
    }

    @GetMapping("/sign-in")
    String signIn(Model model) {
        model.addAttribute("students", students ? SimulatedSignOn.students() : List.of());
        return "sign/page";
    }
}

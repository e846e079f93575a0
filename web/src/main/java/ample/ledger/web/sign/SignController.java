package ample.ledger.web.sign;

import ample.ledger.standin.SimulatedSignOn;
import ample.ledger.web.head.Head;
import ample.ledger.web.term.Local;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers the address at which people sign in. */
@Controller
class SignController {

    private final boolean students;

    private final Head head;

    SignController(SignInSettings settings, Head head) {
        this.head = head;
        students = !settings.studentPassword().isBlank();
    }

    /**
     * @param again there where a name and a password did not go together
     * @param back where to go on afterwards; a page of this application
     */
    @GetMapping("/sign-in")
    String signIn(
            @RequestParam(required = false) @Nullable String again,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request,
            Model model) {
        head.putBeside(model, request, Local.address(back));
        model.addAttribute("again", again != null);
        model.addAttribute("back", Local.address(back));
        model.addAttribute("students", students ? SimulatedSignOn.students() : List.of());
        return "sign/page";
    }
}

package ample.ledger.standin.sign;

import ample.ledger.standin.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page on which people sign in. */
@Controller
class SignInController {

    private final People people;

    SignInController(People people) {
        this.people = people;
    }

    /** @param again there where a name and a password did not go together */
    @GetMapping("/sign-in")
    String page(@RequestParam(required = false) @Nullable String again, Model model) {
        model.addAttribute("again", again != null);
        model.addAttribute("people", people.named());
        return "sign-in";
    }
}

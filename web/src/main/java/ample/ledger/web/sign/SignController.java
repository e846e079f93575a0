package ample.ledger.web.sign;

import ample.ledger.web.head.Head;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Local;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page from which people go to the institution's sign-on, and come back to where it did not let them in. */
@Controller
class SignController {

    /** Under this address signing in begins. */
    static final String BEGIN = "/sign-in/begin";

    private final SignInSettings settings;
    private final Head head;

    SignController(SignInSettings settings, Head head) {
        this.head = head;
        this.settings = settings;
    }

    /**
     * @param fault why the last try did not succeed; empty where there was none
     * @param back where to go on afterwards; a page of this application
     */
    @GetMapping("/sign-in")
    String signIn(
            @RequestParam(defaultValue = "") String fault,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request,
            Model model) {
        head.putBeside(model, request, Local.address(back));
        model.addAttribute(
                "fault", SignInFault.byCode(fault).map(SignInFault::sentence).orElse(""));
        model.addAttribute("begin", Addresses.with(BEGIN + "/" + Provider.ID, "back", Local.address(back)));
        model.addAttribute("open", settings.open());
        return "sign/page";
    }

    /** Spring Security answers this, unless the provider cannot be asked. */
    @GetMapping(BEGIN + "/" + Provider.ID)
    String away(@RequestParam(defaultValue = "/") String back) {
        return "redirect:"
                + Addresses.with(
                        Addresses.with("/sign-in", "fault", SignInFault.AWAY.code()), "back", Local.address(back));
    }
}

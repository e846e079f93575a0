package ample.ledger.standin.mail;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page that shows the letters. */
@Controller
class MailController {

    private final MailRoom mail;

    MailController(MailRoom mail) {
        this.mail = mail;
    }

    @GetMapping("/letters")
    String letters(Model model) {
        model.addAttribute("letters", mail.letters());
        return "letters";
    }
}

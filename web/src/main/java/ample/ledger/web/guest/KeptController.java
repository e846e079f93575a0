package ample.ledger.web.guest;

import ample.ledger.web.term.Local;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Takes briefs that visitors want to have kept, and goes back to where they were. */
@Controller
class KeptController {

    private final Keeping keeping;

    KeptController(Keeping keeping) {
        this.keeping = keeping;
    }

    /** @param back the address of the brief, which is kept, and gone to */
    @PostMapping("/briefs/save")
    String save(@RequestParam String name, @RequestParam String back, HttpServletRequest request) {
        keeping.change(request, kept -> kept.saving(name, Local.address(back)));
        return "redirect:" + Local.address(back);
    }

    @PostMapping("/briefs/forget")
    String forget(
            @RequestParam String name, @RequestParam(defaultValue = "/") String back, HttpServletRequest request) {
        keeping.change(request, kept -> kept.forgetting(name));
        return "redirect:" + Local.address(back);
    }
}

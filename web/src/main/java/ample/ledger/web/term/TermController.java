package ample.ledger.web.term;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.schedule.TermCode;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The short address of a term. */
@Controller
class TermController {

    private final Terms terms;

    TermController(Terms terms) {
        this.terms = terms;
    }

    @GetMapping("/{term}")
    String term(@PathVariable TermCode term) {
        TermCode posted = terms.get(term).schedule().term().code();
        return "redirect:" + new Addresses(posted).browse(Brief.EVERYTHING);
    }
}

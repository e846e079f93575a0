package ample.ledger.web.term;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.schedule.TermCode;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The short addresses: of the whole site, and of a term. */
@Controller
class TermController {

    private final Terms terms;

    TermController(Terms terms) {
        this.terms = terms;
    }

    @GetMapping("/")
    String home() {
        List<PostedTerm> posted = terms.all();
        return posted.isEmpty()
                ? "trouble/nothing-posted"
                : browse(posted.get(0).schedule().term().code());
    }

    @GetMapping("/{term}")
    String term(@PathVariable TermCode term) {
        return browse(terms.get(term).schedule().term().code());
    }

    private static String browse(TermCode term) {
        return "redirect:" + new Addresses(term).browse(Brief.EVERYTHING);
    }
}

package ample.ledger.web.browse;

import ample.ledger.core.browse.BriefAddress;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.BriefReader;
import ample.ledger.web.term.Terms;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Answers the address of Browse. */
@Controller
class BrowseController {

    private final Terms terms;

    BrowseController(Terms terms) {
        this.terms = terms;
    }

    /**
     * The list for the brief in the address. An address that says the same in more words, as plain forms send it, is
     * answered with the short one. An address with a value that makes no sense is answered with what did, and status 400.
     */
    @GetMapping("/{term}/browse")
    String browse(@PathVariable String term, HttpServletRequest request, HttpServletResponse response, Model model) {
        Terms.PostedTerm posted = terms.get(term);
        BriefAddress.Reading reading = BriefReader.read(request, posted.schedule());
        String query =
                Optional.ofNullable(request.getQueryString()).map(q -> "?" + q).orElse("");
        boolean understood = reading.misreads().isEmpty();
        if (understood && !query.equals(Addresses.query(reading.brief()))) {
            return "redirect:" + new Addresses(term).browse(reading.brief());
        }
        if (!understood) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
        }
        model.addAttribute("posted", posted);
        model.addAttribute("page", BrowsePages.page(posted, reading));
        return "browse/page";
    }
}

package ample.ledger.web.trouble;

import ample.ledger.core.browse.Brief;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.NotPostedException;
import ample.ledger.web.term.Terms;
import ample.ledger.web.term.UnknownTermException;
import ample.ledger.web.trouble.TroublePage.WayOn;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Addresses that name a term or a section that is not there. */
@ControllerAdvice
class TroubleAdvice {

    private final Terms terms;

    TroubleAdvice(Terms terms) {
        this.terms = terms;
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String unknownTerm(UnknownTermException unknown, Model model) {
        List<WayOn> posted =
                terms.all().stream().map(term -> browse(term.edition().term())).toList();
        model.addAttribute(
                "page",
                new TroublePage(
                        "Nothing is posted for a term “" + unknown.code() + "”.",
                        posted.isEmpty() ? "No term has been posted yet." : "These terms are posted:",
                        posted));
        return "trouble/page";
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String notPosted(NotPostedException unknown, Model model) {
        Addresses addresses = new Addresses(unknown.posted().schedule().term().code());
        model.addAttribute(
                "where",
                terms.where(terms.place(addresses.term()), unknown.brief(), addresses.browse(unknown.brief()), 0));
        model.addAttribute(
                "page",
                new TroublePage(
                        unknown.getMessage(),
                        unknown.why(),
                        unknown.brief().isEmpty()
                                ? List.of(browse(addresses.term()))
                                : List.of(
                                        new WayOn("Back to your brief", addresses.browse(unknown.brief())),
                                        browse(addresses.term()))));
        return "trouble/page";
    }

    private WayOn browse(String term) {
        return new WayOn(
                "Browse " + terms.get(term).schedule().term().name(), new Addresses(term).browse(Brief.EVERYTHING));
    }
}

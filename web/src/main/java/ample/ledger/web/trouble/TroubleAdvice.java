package ample.ledger.web.trouble;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.guard.Refusal;
import ample.ledger.web.guard.TooManyException;
import ample.ledger.web.guest.AwayException;
import ample.ledger.web.guest.KeptFullException;
import ample.ledger.web.head.Head;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.NotPostedException;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.Terms;
import ample.ledger.web.term.UnknownTermException;
import ample.ledger.web.trouble.TroublePage.WayOn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.TransactionException;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.multipart.MultipartException;

/** What goes wrong while a page is made: what is not there, what is away, and what is too much. */
@ControllerAdvice
class TroubleAdvice {

    private static final Logger LOG = LoggerFactory.getLogger(TroubleAdvice.class);

    private final Terms terms;
    private final Head head;
    private final Places places;

    TroubleAdvice(Terms terms, Head head, Places places) {
        this.terms = terms;
        this.head = head;
        this.places = places;
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String unknownTerm(UnknownTermException unknown, HttpServletRequest request, Model model) {
        head.putBeside(model, request, "/");
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
    String notPosted(NotPostedException unknown, HttpServletRequest request, Model model) {
        TermCode term = unknown.posted().schedule().term().code();
        Addresses addresses = new Addresses(term);
        head.putWithoutVisitor(model, request, places.place(term), unknown.brief(), addresses.browse(unknown.brief()));
        model.addAttribute(
                "page",
                new TroublePage(
                        Objects.requireNonNull(unknown.getMessage()),
                        unknown.why(),
                        unknown.brief().isEmpty()
                                ? List.of(browse(term))
                                : List.of(
                                        new WayOn("Back to your brief", addresses.browse(unknown.brief())),
                                        browse(term))));
        return "trouble/page";
    }

    @ExceptionHandler({AwayException.class, DataAccessException.class, TransactionException.class})
    @ResponseStatus(HttpStatus.SERVICE_UNAVAILABLE)
    String away(Exception away, HttpServletRequest request, HttpServletResponse response, Model model) {
        head.putBeside(model, request, "/");
        LOG.debug("A page could not be made: {}", away.getMessage());
        response.setHeader(HttpHeaders.RETRY_AFTER, "5");
        model.addAttribute("page", TroublePage.AWAY);
        return "trouble/page";
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.TOO_MANY_REQUESTS)
    String tooMany(TooManyException tooMany, HttpServletRequest request, HttpServletResponse response, Model model) {
        head.putBeside(model, request, "/");
        Refusal refusal = Refusal.of(tooMany);
        response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(tooMany.seconds()));
        model.addAttribute("page", new TroublePage(refusal.title(), refusal.explanation(), List.of(TroublePage.HOME)));
        return "trouble/page";
    }

    /** What Tomcat, or Spring, cannot read of a form: it was made by hand, or came too slowly. */
    @ExceptionHandler({MultipartException.class, InvalidParameterException.class})
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    String unreadable(HttpServletRequest request, Model model) {
        head.putBeside(model, request, "/");
        model.addAttribute(
                "page",
                new TroublePage(
                        "What was sent could not be read.",
                        "Nothing was changed. Go back and send the form again.",
                        List.of(TroublePage.HOME)));
        return "trouble/page";
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.CONTENT_TOO_LARGE)
    String full(KeptFullException full, HttpServletRequest request, Model model) {
        head.putBeside(model, request, "/");
        model.addAttribute(
                "page",
                new TroublePage(
                        "Your plans are full.", Objects.requireNonNull(full.getMessage()), List.of(TroublePage.HOME)));
        return "trouble/page";
    }

    private WayOn browse(TermCode term) {
        return new WayOn(
                "Browse " + terms.get(term).schedule().term().name(), new Addresses(term).browse(Brief.EVERYTHING));
    }
}

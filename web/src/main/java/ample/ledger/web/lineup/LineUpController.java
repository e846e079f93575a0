package ample.ledger.web.lineup;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Picked;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visits;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers the address of a line-up. It is all in the address, so that it can be shared. */
@Controller
class LineUpController {

    private final Terms terms;
    private final Head head;
    private final Places places;

    private final Visits visits;

    LineUpController(Terms terms, Head head, Places places, Visits visits) {
        this.visits = visits;
        this.terms = terms;
        this.head = head;
        this.places = places;
    }

    /**
     * @param line sections, as {@link Picked} has them
     * @param add one more section, by its entry number; or a course, by its code, of whose sections one can then be chosen
     */
    @GetMapping("/{term}/line-up")
    String lineUp(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") List<String> line,
            @RequestParam(defaultValue = "") String add,
            @RequestParam(defaultValue = "") String back,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        PostedTerm posted = terms.get(term);
        LineUpAsk ask = LineUpAsk.of(posted, line, add.strip(), this::nameOf);
        if (ask.another().isPresent()) {
            return "redirect:"
                    + new Addresses(term)
                            .lineUp(Stream.concat(ask.shown().stream(), ask.another().stream()), Local.address(back));
        }
        LineUpPages pages = new LineUpPages(posted, ask.shown(), visits.of(request, preferences), Local.address(back));
        head.put(model, request, places.place(term), Brief.EVERYTHING, pages.here());
        model.addAttribute("page", pages.page(ask.say(), add.strip(), ask.meant()));
        return "lineup/page";
    }

    /** The name of another term; its code for one that is not posted. */
    private String nameOf(TermCode term) {
        return terms.all().stream()
                .filter(posted -> posted.edition().term().equals(term))
                .map(posted -> posted.schedule().term().name())
                .findFirst()
                .orElse(term.text());
    }
}

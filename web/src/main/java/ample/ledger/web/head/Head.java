package ample.ledger.web.head;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Terms;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts the head of a page into its model: what the page is about, and where one can go from it. */
@Component
public class Head {

    private static final String NAME = "where";

    private final Terms terms;
    private final Keeping keeping;

    Head(Terms terms, Keeping keeping) {
        this.terms = terms;
        this.keeping = keeping;
    }

    /**
     * Of a page about {@code place}.
     *
     * @param brief what the visitor is looking for; the head leads back to it
     * @param here the address of the page
     */
    public void put(Model model, HttpServletRequest request, Place place, Brief brief, String here) {
        int week =
                keeping.of(request).week(place.terms().get(0).edition().term()).size();
        model.addAttribute(NAME, Where.of(terms.all(), place, brief, here, week));
    }

    /** The same where something has gone wrong, so that what is kept for the visitor is not looked at. */
    public void putWithoutVisitor(Model model, Place place, Brief brief, String here) {
        model.addAttribute(NAME, Where.of(terms.all(), place, brief, here, 0));
    }
}

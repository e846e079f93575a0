package ample.ledger.web.head;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.Terms;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts the head of a page into its model: what the page is about, and where one can go from it. */
@Component
public class Head {

    private static final String NAME = "where";
    private static final String ME = "me";
    private static final String TERM = Head.class.getName() + ".term";

    private final Terms terms;
    private final Keeping keeping;
    private final Places places;
    private final LastPlace lastPlace;

    Head(Terms terms, Keeping keeping, Places places, LastPlace lastPlace) {
        this.lastPlace = lastPlace;
        this.places = places;
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
        LastPlace.shows(request, place);
        Where where = Where.of(terms.all(), place, brief, planned(request, place));
        put(model, request, place, where, keeping.unseen(request), here);
    }

    /** How many sections the visitor's plan has in the term. */
    private int planned(HttpServletRequest request, Place place) {
        return keeping.of(request).week(place.terms().get(0).edition().term()).size();
    }

    /** The same where something has gone wrong, so that what is kept for the visitor is not looked at. */
    public void putWithoutVisitor(Model model, HttpServletRequest request, Place place, Brief brief, String here) {
        put(model, request, place, Where.of(terms.all(), place, brief, 0), List.of(), here);
    }

    /**
     * Of a page that is about no place: it leads to the place that the visitor came from, or else to the one they were at last; without places
     * where nothing is posted.
     *
     * @param back where the page leads back to
     */
    public void putBeside(Model model, HttpServletRequest request, String back) {
        // Nothing is kept of whom a page of trouble is shown before it is known who they are.
        boolean known = Keeping.studentName(request).isPresent();
        List<String> unseen = known ? keeping.unseen(request) : List.of();
        model.addAttribute(ME, Me.of(request, unseen, back));
        from(back, request)
                .ifPresent(place -> put(
                        model,
                        request,
                        place,
                        Where.of(terms.all(), place, Brief.EVERYTHING, known ? planned(request, place) : 0),
                        unseen,
                        back));
    }

    private Optional<Place> from(String back, HttpServletRequest request) {
        String path = back.replaceFirst("[?#].*", "");
        return terms.all().stream()
                .map(posted -> posted.edition().term())
                .filter(term -> path.startsWith("/" + term + "/"))
                .findFirst()
                .map(places::place)
                .or(() -> lastPlace.of(request));
    }

    /** The term that the head of the page speaks of; empty before it is put, and where nothing is posted. */
    public static Optional<TermCode> term(HttpServletRequest request) {
        return Optional.ofNullable((TermCode) request.getAttribute(TERM));
    }

    private static void put(
            Model model, HttpServletRequest request, Place place, Where where, List<String> unseen, String here) {
        request.setAttribute(TERM, place.terms().get(0).edition().term());
        model.addAttribute(NAME, where);
        model.addAttribute(ME, Me.of(request, unseen, here));
    }
}

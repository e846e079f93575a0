package ample.ledger.web.browse;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.quick.QuickFind;
import ample.ledger.core.browse.quick.QuickPlaces;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.SeatChanges;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import ample.ledger.web.words.Words;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers the addresses of Browse: of one term, and of a whole season. */
@Controller
class BrowseController {

    private final Terms terms;
    private final SeatChanges seatChanges;
    private final Head head;
    private final Places places;
    private final Visits visits;
    private final Timer finding;

    BrowseController(
            Terms terms, SeatChanges seatChanges, Head head, Places places, Visits visits, MeterRegistry measures) {
        this.finding = Timer.builder("ledger.finding")
                .description("How long it takes to find what fits a brief")
                .register(measures);
        this.visits = visits;
        this.terms = terms;
        this.seatChanges = seatChanges;
        this.head = head;
        this.places = places;
    }

    /**
     * The list for the brief in the address. Plain forms send long addresses, and painting an hour has an address of its own;
     * both are answered with the short address that says the same. An address with a value that makes no sense is answered
     * with what did, and status 400.
     */
    @GetMapping({"/{term}/browse", "/season/{season}/browse"})
    String browse(
            @ModelAttribute(name = "place", binding = false) Place place,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        long lastSeatChange = seatChanges.last();
        BrowseAsk ask = ask(request, place, preferences);
        if (ask.shorter().isPresent()) {
            return "redirect:" + ask.shorter().get();
        }
        if (!ask.understood()) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
        }
        Addressing addresses = ask.addresses();
        BrowseView view = addresses.view();
        Visit visit = visits.of(request, preferences);
        List<Schedule> known = terms.all().stream().map(PostedTerm::schedule).toList();
        head.put(model, request, place, addresses.brief(), addresses.seen(view));
        model.addAttribute(
                "page",
                found(place, addresses, visit)
                        .page(
                                new BrowsePage.SeatsSeen(
                                        Words.clock(places.now(place)), "/" + place.path() + "/seats", lastSeatChange),
                                ask.say(),
                                NotOfferedWords.of(addresses.brief(), place, known),
                                view.heard().isEmpty()
                                        ? null
                                        : QuickWording.heard(
                                                place, place.quickFind().read(view.heard()), preferences)));
        return view.whole() ? "browse/whole" : "browse/page";
    }

    private BrowsePages found(Place place, Addressing addresses, Visit visit) {
        return Objects.requireNonNull(finding.record(() -> new BrowsePages(place, addresses, visit)));
    }

    private BrowseAsk ask(HttpServletRequest request, Place place, Preferences preferences) {
        String came = BrowseView.read(request).came();
        return came.isEmpty()
                ? BrowseAsk.of(request, place)
                : BrowseAsk.takenAlong(request, places.at(came), place, preferences);
    }

    /** One leaf of the list alone, for the page to put in its place. */
    @GetMapping({"/{term}/browse/leaf", "/season/{season}/browse/leaf"})
    String leaf(
            @ModelAttribute(name = "place", binding = false) Place place,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        BrowsePages pages = found(place, BrowseAsk.of(request, place).addresses(), visits.of(request, preferences));
        model.addAttribute("leaf", pages.leaf());
        model.addAttribute("ground", pages.ground());
        return "browse/list :: leaf";
    }

    /**
     * Reads a line of text, and goes to what it says; to another term where it names one. Where nothing is understood, nothing changes.
     *
     * @param from the brief that was there before, as {@link Addresses#query} writes it
     */
    @GetMapping({"/{term}/find", "/season/{season}/find"})
    String find(
            @ModelAttribute(name = "place", binding = false) Place place,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "") String from) {
        Optional<QuickPlaces.Found> other = places.named(place, text);
        if (other.isPresent()) {
            return "redirect:"
                    + QuickWording.find(
                            places.at(other.get().place().path()), other.get().rest());
        }
        QuickFind.Reading reading = place.quickFind().read(text);
        boolean nothing = reading.brief().isEmpty() && !reading.pieces().isEmpty();
        String address = place.addresses().browse(nothing ? before(place, from) : reading.brief());
        return "redirect:" + (text.isBlank() ? address : Addresses.with(address, "heard", text.strip()));
    }

    private static Brief before(Place place, String query) {
        return Addresses.parameters(query)
                .map(parameters ->
                        BriefAddress.read(parameters, place.vocabulary()).brief())
                .orElse(Brief.EVERYTHING);
    }

    /** What a line of text would be read as, while it is typed. */
    @GetMapping({"/{term}/find/preview", "/season/{season}/find/preview"})
    String preview(
            @ModelAttribute(name = "place", binding = false) Place place,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            @RequestParam(defaultValue = "") String text,
            HttpServletRequest request,
            Model model) {
        model.addAttribute("preview", QuickWording.preview(places, place, text, visits.of(request, preferences)));
        return "browse/find :: preview";
    }

    /** What the address says is browsed. */
    @ModelAttribute("place")
    Place place(@PathVariable Optional<TermCode> term, @PathVariable Optional<SeasonCode> season) {
        return season.map(places::season).orElseGet(() -> places.place(term.orElseThrow()));
    }
}

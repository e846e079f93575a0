package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.NotOffered;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.TermChange;
import ample.ledger.core.browse.brief.WeekPainting;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.BriefReader;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Terms;
import ample.ledger.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
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

    private final Keeping keeping;

    BrowseController(Terms terms, Keeping keeping) {
        this.keeping = keeping;
        this.terms = terms;
    }

    /**
     * The list for the brief in the address. An address that says the same in more words, as plain forms send it, or that
     * asks for hours to be painted, is answered with the short one. An address with a value that makes no sense is answered
     * with what did, and status 400.
     */
    @GetMapping({"/{term}/browse", "/season/{season}/browse"})
    String browse(
            @ModelAttribute(name = "place", binding = false) Place place,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        long lastSeatChange = terms.lastSeatChange();
        BrowseView view = BrowseView.read(request);
        List<String> say = new ArrayList<>();
        Addressing addresses;
        if (view.came().isEmpty()) {
            BriefAddress.Reading reading = read(request, place);
            addresses = addressing(place, reading.brief(), request, view);
            addresses = new Addressing(
                    addresses.addresses(), painted(addresses.brief(), request), addresses.struck(), view);
            String query = Optional.ofNullable(request.getQueryString())
                    .map(q -> "?" + q)
                    .orElse("");
            String short_ = addresses.seen(view);
            if (reading.misreads().isEmpty() && !(request.getRequestURI() + query).equals(short_)) {
                return "redirect:" + short_;
            }
            reading.misreads()
                    .forEach(misread -> say.add("Not understood: %s=%s. %s"
                            .formatted(misread.parameter(), misread.value(), misread.sentence())));
            if (!say.isEmpty()) {
                say.add("The rest of your brief stands.");
                response.setStatus(HttpStatus.BAD_REQUEST.value());
            }
        } else {
            Place before = place(view.came());
            Brief old = read(request, before).brief();
            TermChange change = TermChange.of(old, place.vocabulary());
            addresses = new Addressing(place.addresses(), change.kept(), List.of(), view);
            say.addAll(takenAlong(before, old, change, preferences));
        }
        String heard = view.heard();
        Brief brief = addresses.brief();
        String here = addresses.seen(view);
        Kept kept = keeping.of(request);
        model.addAttribute(
                "where",
                terms.where(
                        place,
                        brief,
                        here,
                        kept.week(place.terms().get(0).edition().term()).size()));
        model.addAttribute(
                "page",
                new BrowsePages(place, addresses, preferences, kept)
                        .page(
                                Words.clock(terms.now(place)),
                                lastSeatChange,
                                say,
                                notOffered(brief, place),
                                heard.isEmpty() ? null : QuickWording.heard(place, heard, preferences)));
        return view.whole() ? "browse/whole" : "browse/page";
    }

    /** One leaf of the list alone, for the page to put in its place. */
    @GetMapping({"/{term}/browse/leaf", "/season/{season}/browse/leaf"})
    String leaf(
            @ModelAttribute(name = "place", binding = false) Place place,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        BrowsePages pages = new BrowsePages(
                place,
                addressing(place, read(request, place).brief(), request, BrowseView.read(request)),
                preferences,
                keeping.of(request));
        model.addAttribute("leaf", pages.leaf());
        model.addAttribute("ground", pages.ground());
        return "browse/list :: leaf";
    }

    /** Reads a line of text, and goes to what it says. */
    @GetMapping({"/{term}/find", "/season/{season}/find"})
    String find(
            @ModelAttribute(name = "place", binding = false) Place place,
            @RequestParam(defaultValue = "") String text) {
        Brief brief = place.quickFind().read(text).brief();
        String address = place.addresses().browse(brief);
        return "redirect:" + (text.isBlank() ? address : Addresses.with(address, "heard", text.strip()));
    }

    /** What a line of text would be read as, while it is typed. */
    @GetMapping({"/{term}/find/preview", "/season/{season}/find/preview"})
    String preview(
            @ModelAttribute(name = "place", binding = false) Place place,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            @RequestParam(defaultValue = "") String text,
            Model model) {
        model.addAttribute("preview", QuickWording.preview(place, text, preferences));
        return "browse/find :: preview";
    }

    /** What the address says is browsed. */
    @ModelAttribute("place")
    Place place(@PathVariable Optional<String> term, @PathVariable Optional<String> season) {
        return season.map(terms::season).orElseGet(() -> terms.place(term.orElseThrow()));
    }

    private Place place(String path) {
        return path.startsWith("season/") ? terms.season(path.substring("season/".length())) : terms.place(path);
    }

    private static BriefAddress.Reading read(HttpServletRequest request, Place place) {
        return BriefReader.read(request, place.vocabulary(), BrowseView.PARAMETERS);
    }

    private static Addressing addressing(Place place, Brief said, HttpServletRequest request, BrowseView view) {
        String struck = request.getParameter(Addressing.STRUCK);
        return Addressing.of(place.addresses(), said, struck == null ? "" : struck, view);
    }

    private static Brief painted(Brief brief, HttpServletRequest request) {
        Optional<WeekHours> close = hours(request.getParameter("close"));
        Optional<WeekHours> reopen = hours(request.getParameter("reopen"));
        Brief closed = close.map(hours -> WeekPainting.close(brief, hours)).orElse(brief);
        return reopen.map(hours -> WeekPainting.open(closed, hours)).orElse(closed);
    }

    private static Optional<WeekHours> hours(@Nullable String stretches) {
        return Optional.ofNullable(stretches).stream()
                .flatMap(text -> Arrays.stream(text.split(",")))
                .flatMap(stretch -> WeekHours.parse(stretch).stream())
                .reduce(WeekHours::plus);
    }

    private static List<String> takenAlong(Place before, Brief old, TermChange change, Preferences preferences) {
        if (change.dropped().isEmpty()) {
            return List.of();
        }
        Wording wording = preferences.wording(before.vocabulary());
        String dropped = change.dropped().stream()
                .map(condition -> Words.quoted(condition.phrase(wording).standingAlone()))
                .collect(Collectors.joining(", "));
        return List.of("Taken along from %s: %s. Dropped, since it makes no sense here: %s."
                .formatted(
                        before.name(),
                        change.kept().isEmpty()
                                ? "nothing"
                                : Words.count(change.kept().conditions().size(), "condition") + " of "
                                        + old.conditions().size(),
                        dropped));
    }

    private List<String> notOffered(Brief brief, Place place) {
        List<Schedule> known =
                terms.all().stream().map(Terms.PostedTerm::schedule).toList();
        return place.terms().stream()
                .flatMap(posted -> NotOffered.of(brief, posted.schedule(), known).stream()
                        .map(missing -> sentence(missing, posted.schedule())))
                .toList();
    }

    private static String sentence(NotOffered missing, Schedule term) {
        String elsewhere = Stream.concat(
                        missing.last().stream().map(last -> "was last in " + offer(last, missing)),
                        missing.next().stream().map(next -> "is in " + offer(next, missing)))
                .collect(Collectors.joining("; it "));
        return "%s %s is not offered in %s%s."
                .formatted(
                        missing.course().written(),
                        missing.course().title(),
                        term.term().name(),
                        elsewhere.isEmpty() ? ", nor in any other term posted here" : "; it " + elsewhere);
    }

    private static String offer(Schedule schedule, NotOffered missing) {
        return "%s, %s (%s)"
                .formatted(
                        schedule.institution().name(),
                        schedule.term().name(),
                        Words.count(schedule.sectionsOf(missing.course().code()).size(), "section"));
    }
}

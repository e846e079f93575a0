package ample.ledger.web.plan;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.exchange.PlanJson;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.Shares;
import ample.ledger.store.Shares.Share;
import ample.ledger.store.Visitors;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.record.OwnRecordWords;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.server.ResponseStatusException;

/** Answers the addresses at which a plan is shown to somebody else, as long as its owner does not withdraw them. */
@Controller
class SharedController {

    /** Nothing is woven for who only reads. */
    private static final WeaveJobs.Asker NOBODY = new WeaveJobs.Asker("", () -> {});

    private final Head head;
    private final Terms terms;
    private final Places places;
    private final Shares shares;
    private final WeavePages weaves;
    private final Visits visits;
    private final Clock clock;

    SharedController(
            Terms terms, Head head, Places places, Shares shares, WeavePages weaves, Visits visits, Clock clock) {
        this.visits = visits;
        this.head = head;
        this.terms = terms;
        this.places = places;
        this.shares = shares;
        this.weaves = weaves;
        this.clock = clock;
    }

    /** The plan to be read, with what is wrong with it. */
    @GetMapping("/shared/{token}")
    String shared(
            @PathVariable String token,
            @RequestParam MultiValueMap<String, String> parameters,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Share share = share(token, "reading");
        Plan plan = plan(share);
        unseen(response);
        Schedule schedule = places.schedules().ofSeason(plan.season()).stream()
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        TermCode term = schedule.term().code();
        MultiValueMap<String, String> shown = new LinkedMultiValueMap<>();
        List.of("week", "day")
                .forEach(name ->
                        Optional.ofNullable(parameters.getFirst(name)).ifPresent(value -> shown.add(name, value)));
        WeekAsk ask = WeekAsk.of(term, "/shared/" + token, shown);
        Kept kept = Kept.NOTHING.with(new PlanBook(0, List.of(plan), Map.of(), List.of()));
        Optional<String> student =
                Visitors.studentOf(share.owner()).filter(name -> share.withRecord() && isAdviser(request));
        Visit visit =
                student.map(name -> visits.of(kept, preferences, name)).orElseGet(() -> visits.of(kept, preferences));
        PlannedWeek week = PlannedWeek.of(plan, List.of(), places.schedules());
        WeekPages pages =
                new WeekPages(terms, week, schedule.term(), ask, visit, weaves.weave(ask, week, visit, NOBODY));
        head.put(model, request, places.place(term), Brief.EVERYTHING, "/shared/" + token);
        model.addAttribute("page", pages.page(List.of(), BusyController.Typed.NOTHING, List.of()));
        model.addAttribute("adviser", isAdviser(request));
        model.addAttribute("shown", share.withRecord());
        visit.registrar()
                .file()
                .ifPresent(file -> model.addAttribute(
                        "own",
                        new OwnRecordWords(
                                        file,
                                        terms.all().stream()
                                                .map(PostedTerm::schedule)
                                                .toList())
                                .ofAnother()));
        return "plan/shared";
    }

    private static boolean isAdviser(HttpServletRequest request) {
        return request.isUserInRole(Keeping.ADVISER);
    }

    /**
     * What is attended, for a calendar to ask for again and again.
     * With the owner's own dates, where they have said so: what binds, when registration opens, and until when seats are kept.
     */
    @GetMapping(path = "/shared/{token}/calendar.ics", produces = "text/calendar;charset=UTF-8")
    @ResponseBody
    String calendar(@PathVariable String token, HttpServletResponse response) {
        Share share = share(token, "calendar");
        Plan plan = plan(share);
        unseen(response);
        Kept kept = Kept.NOTHING.with(new PlanBook(0, List.of(plan), Map.of(), List.of()));
        Optional<Visit> owner = Visitors.studentOf(share.owner())
                .filter(student -> share.withRecord())
                .map(student -> visits.of(kept, Preferences.USUAL, student));
        return new PlanCalendar(terms, clock.instant()).of(PlannedWeek.of(plan, List.of(), places.schedules()), owner);
    }

    private Share share(String token, String purpose) {
        return shares.find(token)
                .filter(share -> share.purpose().equals(purpose))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static Plan plan(Share share) {
        return PlanJson.read(share.content(), share.planId());
    }

    /** Nobody but who was given the address is to find it. */
    private static void unseen(HttpServletResponse response) {
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        response.setHeader("X-Robots-Tag", "noindex, nofollow");
    }
}

package ample.ledger.web.plan;

import ample.ledger.core.exchange.PlanJson;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.guard.Limits;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.plan.PlanChanges.Sent;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Gives plans away, as files and at addresses of their own, and takes them in again. */
@Controller
class TakeAwayController {

    private final PlanChanges changes;
    private final Keeping keeping;
    private final Places places;
    private final Clock clock;
    private final Limits limits;
    private final Terms terms;
    private final Visits visits;

    TakeAwayController(
            PlanChanges changes,
            Keeping keeping,
            Places places,
            Clock clock,
            Limits limits,
            Terms terms,
            Visits visits) {
        this.terms = terms;
        this.visits = visits;
        this.limits = limits;
        this.changes = changes;
        this.keeping = keeping;
        this.places = places;
        this.clock = clock;
    }

    /**
     * What is attended, as a calendar file: iCalendar.
     *
     * @param dates {@code yes}: with the dates that bind, and when registration opens
     */
    @GetMapping(path = "/{term}/week/calendar.ics", produces = "text/calendar;charset=UTF-8")
    @ResponseBody
    String calendarFile(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") String dates,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            HttpServletResponse response) {
        Kept kept = keeping.needed(request);
        Plan plan = kept.plans().current(changes.season(term));
        takenAway(response, plan, "ics");
        PlannedWeek week = PlannedWeek.of(plan, List.of(), places.schedules());
        Visit visit = visits.of(request, preferences);
        return new PlanCalendar(terms, clock.instant())
                .of(week, dates.equals("yes") ? Optional.of(visit) : Optional.empty());
    }

    /** The plan as {@code docs/formats/plan.md} has it. */
    @GetMapping(path = "/{term}/week/plan.json", produces = "application/json;charset=UTF-8")
    @ResponseBody
    String json(@PathVariable TermCode term, HttpServletRequest request, HttpServletResponse response) {
        Plan plan = plan(term, request);
        takenAway(response, plan, "json");
        return PlanJson.write(plan);
    }

    @PostMapping("/{term}/week/bring")
    String bring(
            @PathVariable TermCode term,
            @RequestParam MultipartFile file,
            Sent sent,
            HttpServletRequest request,
            RedirectAttributes told)
            throws IOException {
        limits.count(Limits.Act.UPLOAD, request);
        Optional<String> text = PlanChanges.text(file, PlanChanges.LARGEST_PLAN);
        if (text.isEmpty()) {
            return PlanChanges.tell(
                    told,
                    sent,
                    "“%s” is larger than any plan: 64 KB at most. Nothing was changed."
                            .formatted(PlanChanges.name(file)));
        }
        Plan plan;
        try {
            plan = PlanJson.read(text.get(), "0", places.schedules().years());
        } catch (PlanJson.FaultyPlanException e) {
            return PlanChanges.tell(told, sent, e.faults().toArray(String[]::new));
        }
        SeasonCode season = changes.season(term);
        if (!plan.season().equals(season)) {
            return PlanChanges.tell(
                    told,
                    sent,
                    "That plan is for %s; open My week in one of its terms to import it.".formatted(plan.season()));
        }
        PlanBook before = keeping.of(request).plans();
        PlanBook after = keeping.changePlans(request, book -> book.bringing(plan));
        PlanChanges.tell(
                told,
                sent,
                before.equals(after)
                        ? "You already have exactly this plan, or you have as many plans as can be kept."
                        : "“%s” imported.".formatted(after.current(season).name()));
        return "redirect:/" + term + "/week";
    }

    /**
     * @param notes whether an adviser sees the notes too
     * @param record whether an adviser sees the record too
     * @param dates whether a calendar gets the student's own dates too: deadlines, opening, ends of offers
     */
    @PostMapping("/{term}/week/share")
    String share(
            @PathVariable TermCode term,
            @RequestParam String purpose,
            @RequestParam(defaultValue = "false") boolean notes,
            @RequestParam(defaultValue = "false") boolean record,
            @RequestParam(defaultValue = "false") boolean dates,
            HttpServletRequest request) {
        boolean calendar = purpose.equals("calendar");
        keeping.share(
                request,
                plan(term, request),
                calendar ? "calendar" : "reading",
                notes && !calendar,
                calendar ? dates : record);
        return "redirect:/" + term + "/week#shares";
    }

    @PostMapping("/{term}/week/withdraw")
    String withdraw(@PathVariable TermCode term, @RequestParam String token, HttpServletRequest request) {
        keeping.withdraw(request, token);
        return "redirect:/" + term + "/week#shares";
    }

    private Plan plan(TermCode term, HttpServletRequest request) {
        return keeping.needed(request).plans().current(changes.season(term));
    }

    private static void takenAway(HttpServletResponse response, Plan plan, String ending) {
        String name = plan.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                "attachment; filename=\"%s-%s.%s\"".formatted(name, plan.season(), ending));
    }
}

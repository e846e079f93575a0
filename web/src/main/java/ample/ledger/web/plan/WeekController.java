package ample.ledger.web.plan;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.schedule.Term;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.guard.Limits;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers the address of My week. */
@Controller
class WeekController {

    private final Terms terms;
    private final Head head;
    private final Places places;
    private final Keeping keeping;
    private final Visits visits;
    private final WeavePages weaves;
    private final WeaveJobs jobs;
    private final Limits limits;

    WeekController(
            Terms terms,
            Head head,
            Places places,
            Keeping keeping,
            Visits visits,
            WeavePages weaves,
            WeaveJobs jobs,
            Limits limits) {
        this.visits = visits;
        this.limits = limits;
        this.terms = terms;
        this.head = head;
        this.places = places;
        this.keeping = keeping;
        this.weaves = weaves;
        this.jobs = jobs;
    }

    /** What the address asks of the week that makes no sense is passed over; what is to be woven is answered with what is wrong. */
    @GetMapping("/{term}/week")
    String week(
            @PathVariable TermCode term,
            @RequestParam MultiValueMap<String, String> parameters,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        Term shown = terms.get(term).schedule().term();
        WeekAsk ask = WeekAsk.of(term, parameters);
        keeping.needed(request);
        Visit visit = visits.of(request, preferences);
        PlannedWeek week = visit.week(shown.season().code());
        WeekPages pages = new WeekPages(terms, week, shown, ask, visit, weaves.weave(ask, week, visit, asker(request)));
        head.put(model, request, places.place(term), Brief.EVERYTHING, ask.address());
        model.addAttribute("page", pages.page(told(model), typed(model), keeping.sharesOf(request, week.plan())));
        return "plan/page";
    }

    private WeaveJobs.Asker asker(HttpServletRequest request) {
        return new WeaveJobs.Asker(keeping.visitor(request), () -> limits.count(Limits.Act.WEAVE, request));
    }

    private static List<String> told(Model model) {
        return model.getAttribute(PlanChanges.TOLD) instanceof List<?> told
                ? told.stream().map(String::valueOf).toList()
                : List.of();
    }

    private static BusyController.Typed typed(Model model) {
        return BusyController.Typed.of(model.getAttribute(BusyController.TYPED));
    }

    @PostMapping("/{term}/week/stop")
    String stop(@RequestParam String key, @RequestParam(defaultValue = "/") String back) {
        jobs.stop(key);
        return "redirect:" + Local.address(back);
    }
}

package ample.ledger.web.opening;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.reading.OwnOpening;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.schedule.LoadRule;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.head.Head;
import ample.ledger.web.opening.OpeningPage.Line;
import ample.ledger.web.opening.OpeningPage.OfTerm;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.OpeningWords;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Says when a student may register: the openings of the terms side by side, with the student's own line, and what stops them. */
@Controller
class OpeningController {

    private final Terms terms;
    private final Places places;
    private final Head head;
    private final Visits visits;

    OpeningController(Terms terms, Places places, Head head, Visits visits) {
        this.terms = terms;
        this.places = places;
        this.head = head;
        this.visits = visits;
    }

    /** @param back where to go on afterwards; a page of this application */
    @GetMapping("/{term}/opening")
    String opening(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") String back,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        String here = "/" + term + "/opening";
        String leads = back.isEmpty() ? "/" + term + "/browse" : Local.address(back);
        Visit visit = visits.of(request, preferences);
        Schedule asked = terms.get(term).schedule();
        head.put(model, request, places.place(term), Brief.EVERYTHING, Addresses.with(here, "back", leads));
        model.addAttribute(
                "page",
                new OpeningPage(
                        leads,
                        visit.holds().stream().map(OpeningWords::hold).toList(),
                        terms.all().stream()
                                .map(PostedTerm::schedule)
                                .filter(schedule -> !schedule.lists().openings().isEmpty())
                                .sorted(Comparator.comparing(schedule -> schedule != asked))
                                .map(schedule -> ofTerm(schedule, visit))
                                .toList(),
                        visit.opening(asked).isPresent() ? "" : Addresses.with("/record", "back", here)));
        return "opening/page";
    }

    private static OfTerm ofTerm(Schedule schedule, Visit visit) {
        Optional<OwnOpening> own = OpeningWords.opening(visit, schedule);
        return new OfTerm(
                schedule.term().name() + ", " + schedule.institution().name(),
                own.map(opens -> sentence(opens.opening(), schedule, visit)).orElse(""),
                own.flatMap(OwnOpening::sooner)
                        .map(sooner -> "With %s more it would be %s."
                                .formatted(
                                        Words.credits(sooner.credits()),
                                        Words.moment(sooner.opening().from(), visit.now(schedule))))
                        .orElse(""),
                schedule.lists().openings().stream()
                        .sorted(Comparator.comparing(Opening::from))
                        .map(opening -> new Line(
                                opening.name(),
                                Words.moment(opening.from(), visit.now(schedule)),
                                state(opening, schedule, visit),
                                own.filter(opens -> opens.opening().equals(opening))
                                        .isPresent()))
                        .toList(),
                limit(schedule, visit));
    }

    /** How many credits the registrar lets the student register for, and what the institution has posted about more. */
    private static String limit(Schedule schedule, Visit visit) {
        Optional<String> posted = schedule.lists().loads().stream()
                .filter(rule -> rule.sort() == LoadRule.Sort.OVER_LOAD)
                .flatMap(rule -> rule.meaning().stream())
                .findFirst();
        Optional<String> own = visit.ofTerm(schedule)
                .flatMap(StudentFile.OfTerm::mostCredits)
                .map(most -> "You may register for %s %s."
                        .formatted(Words.credits(most), posted.isPresent() ? "by yourself" : "at most"));
        return Stream.of(own, posted).flatMap(Optional::stream).collect(Collectors.joining(" "));
    }

    private static String sentence(Opening opening, Schedule schedule, Visit visit) {
        boolean open = !visit.now(schedule).isBefore(opening.from());
        String opens = "Registration %s for you %s, for %s."
                .formatted(
                        open ? "opened" : "opens",
                        Words.moment(opening.from(), visit.now(schedule))
                                + (open ? "" : ", " + state(opening, schedule, visit)),
                        SeatWords.uncapitalised(opening.name()));
        return open
                ? OpeningWords.until(visit, schedule)
                        .map(until -> opens + " " + until + ".")
                        .orElse(opens)
                : opens;
    }

    private static String state(Opening opening, Schedule schedule, Visit visit) {
        return visit.now(schedule).isBefore(opening.from())
                ? OpeningWords.in(visit.now(schedule), opening.from())
                : "open";
    }
}

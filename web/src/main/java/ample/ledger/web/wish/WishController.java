package ample.ledger.web.wish;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.registrar.WishRefusedException;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.schedule.WishRound;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.ready.AtRegistrar;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import ample.ledger.web.words.RoundWords;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The pages of wish rounds, and what is wished there. */
@Controller
class WishController {

    private static final String TOLD = "told";

    private final Terms terms;
    private final Places places;
    private final Head head;
    private final Visits visits;
    private final Registrar registrar;

    WishController(Terms terms, Places places, Head head, Visits visits, Registrar registrar) {
        this.terms = terms;
        this.places = places;
        this.head = head;
        this.visits = visits;
        this.registrar = registrar;
    }

    /** The rounds of a term. */
    @GetMapping("/{term}/rounds")
    String rounds(
            @PathVariable TermCode term,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        Schedule schedule = terms.get(term).schedule();
        head.put(model, request, places.place(term), Brief.EVERYTHING, "/" + term + "/rounds");
        Visit visit = visits.of(request, preferences);
        model.addAttribute(
                "page",
                new RoundsPage(
                        schedule.term().name(),
                        schedule.lists().wishRounds().stream()
                                .map(round -> new RoundsPage.Line(
                                        round.name(),
                                        new RoundWords(round).address(schedule),
                                        new RoundWords(round).period(visit.now(schedule))))
                                .toList()));
        return "wish/rounds";
    }

    @GetMapping("/{term}/rounds/{code}")
    String round(
            @PathVariable TermCode term,
            @PathVariable String code,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        Schedule schedule = terms.get(term).schedule();
        WishRound round = round(schedule, code);
        head.put(model, request, places.place(term), Brief.EVERYTHING, new RoundWords(round).address(schedule));
        Visit visit = visits.of(request, preferences);
        Optional<String> student = Keeping.studentName(request);
        Optional<RoundStanding> standing = Optional.empty();
        String unknown = "";
        if (student.isPresent()) {
            try {
                standing = registrar.rounds(student.get()).stream()
                        .filter(one ->
                                one.term().equals(term.text()) && one.round().equals(code))
                        .findFirst();
                unknown = standing.isPresent() ? "" : "Your registrar takes no wishes from here.";
            } catch (RegistrarAwayException away) {
                unknown = "The registrar does not answer right now. What you wished before stands.";
            }
        }
        Function<WishRound.Group, List<Refusal>> against = AtRegistrar.of(visit, terms)
                .<Function<WishRound.Group, List<Refusal>>>map(
                        there -> group -> there.foretold().againstPlace(schedule, round, group))
                .orElse(group -> List.of());
        model.addAttribute(
                "page",
                new RoundPages(schedule, round, visit)
                        .page(standing, against, student.isEmpty(), unknown, told(model)));
        return "wish/page";
    }

    private static List<String> told(Model model) {
        return model.getAttribute(TOLD) instanceof String told ? List.of(told) : List.of();
    }

    private static WishRound round(Schedule schedule, String code) {
        return schedule.round(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    /**
     * Hands over what is wished.
     *
     * @param wish what stood on the page, the most wished first
     * @param act what is changed of it: see {@link Ranking}; empty to keep that order
     */
    @PostMapping("/{term}/rounds/{code}/wishes")
    String wish(
            @PathVariable TermCode term,
            @PathVariable String code,
            @RequestParam(defaultValue = "") List<String> wish,
            @RequestParam(defaultValue = "") String act,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        Schedule schedule = terms.get(term).schedule();
        WishRound round = round(schedule, code);
        String here = new RoundWords(round).address(schedule);
        Optional<String> student = Keeping.studentName(request);
        if (student.isEmpty()) {
            redirect.addFlashAttribute(TOLD, "Nothing was wished: you are not signed in as a student.");
            return "redirect:" + here;
        }
        try {
            registrar.wish(
                    student.get(), term.text(), code, Ranking.of(round, wish).after(act));
        } catch (WishRefusedException refused) {
            redirect.addFlashAttribute(
                    TOLD,
                    "The registrar did not take that: " + refused.getMessage() + " What you wished before stands.");
        } catch (RegistrarAwayException away) {
            redirect.addFlashAttribute(
                    TOLD, "The registrar does not answer right now, so that is not changed. Try it again in a moment.");
        }
        return "redirect:" + here;
    }
}

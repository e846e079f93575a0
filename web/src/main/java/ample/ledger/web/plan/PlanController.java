package ample.ledger.web.plan;

import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.plan.PlanChanges.Sent;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Picked;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Changes what sections stand in the visitor's plans, and the plans as a whole. */
@Controller
class PlanController {

    private final PlanChanges changes;
    private final Keeping keeping;

    PlanController(PlanChanges changes, Keeping keeping) {
        this.changes = changes;
        this.keeping = keeping;
    }

    /**
     * Takes sections in, each into the current plan of its season, whatever another window does meanwhile.
     *
     * @param line sections, as {@link Picked} has them
     * @param list whether the page gone back to is a list that has them as lines
     * @param standing how they are taken in
     */
    @PostMapping("/{term}/week/add")
    String add(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") List<String> line,
            Sent sent,
            @RequestParam(defaultValue = "false") boolean list,
            @RequestParam(defaultValue = "taken") String standing,
            HttpServletRequest request) {
        List<Pick> picks =
                changes.picks(term, line, Coded.parse(Standing.class, standing).orElse(Standing.TAKEN));
        keeping.changePlans(request, book -> {
            PlanBook after = book;
            for (Pick pick : picks) {
                after = after.changing(
                        changes.season(pick.term()),
                        changes.names(List.of(pick)) + " added",
                        plan -> plan.standing(pick.term(), pick.entry()).isPresent()
                                ? plan
                                : plan.adding(List.of(pick)));
            }
            return after;
        });
        if (list && picks.size() == 1) {
            EntryNumber entry = picks.get(0).entry();
            return "redirect:" + Addresses.with(sent.back(), "line", entry.digits()) + "#e" + entry;
        }
        return "redirect:" + sent.back();
    }

    @PostMapping("/{term}/week/remove")
    String remove(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") List<String> line,
            Sent sent,
            HttpServletRequest request,
            RedirectAttributes told) {
        List<Pick> out = changes.picks(term, line, Standing.TAKEN);
        return changes.change(
                request,
                term,
                sent,
                told,
                changes.names(out) + " removed",
                plan -> plan.removing(pick -> out.stream().anyMatch(gone -> gone.names(pick.term(), pick.entry()))));
    }

    @PostMapping("/{term}/week/standing")
    String standing(
            @PathVariable TermCode term,
            @RequestParam List<String> line,
            @RequestParam String standing,
            Sent sent,
            HttpServletRequest request,
            RedirectAttributes told) {
        Standing wanted = Coded.parse(Standing.class, standing).orElse(Standing.TAKEN);
        List<Pick> picks = changes.picks(term, line, wanted);
        String words = changes.names(picks)
                + switch (wanted) {
                    case TAKEN -> " to be taken";
                    case WAITED_FOR -> " to be waited for";
                    case BESIDE -> " kept as an alternative";
                };
        return changes.change(request, term, sent, told, words, plan -> plan.adding(picks));
    }

    /** One or several sections for others, in one step: a swap, or a woven week. */
    @PostMapping("/{term}/week/swap")
    String swap(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") List<String> out,
            @RequestParam(defaultValue = "") List<String> in,
            Sent sent,
            HttpServletRequest request,
            RedirectAttributes told) {
        List<Pick> leaving = changes.picks(term, out, Standing.TAKEN);
        List<Pick> coming = changes.picks(term, in, Standing.TAKEN);
        String words;
        if (leaving.isEmpty()) {
            words = changes.names(coming) + " added";
        } else if (coming.isEmpty()) {
            words = changes.names(leaving) + " removed";
        } else {
            words = changes.names(coming) + " instead of " + changes.names(leaving);
        }
        return changes.change(request, term, sent, told, words, plan -> plan.replacing(leaving, coming));
    }

    @PostMapping("/{term}/week/notes")
    String notes(
            @PathVariable TermCode term,
            @RequestParam String notes,
            Sent sent,
            HttpServletRequest request,
            RedirectAttributes told) {
        String text = notes.replace("\r\n", "\n");
        return changes.change(request, term, sent, told, "notes changed", plan -> plan.noted(text));
    }

    /** Does one of the things that concern a plan as a whole. */
    @PostMapping("/{term}/week/plans")
    String plans(
            @PathVariable TermCode term,
            @RequestParam String act,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String id,
            HttpServletRequest request) {
        SeasonCode season = changes.season(term);
        keeping.changePlans(request, book -> switch (act) {
            case "begin" -> book.beginning(season, free(name, book, season));
            case "copy" -> book.copying(season, free(name, book, season));
            case "name" -> book.changing(season, "plan named “" + name.strip() + "”", plan -> plan.named(name));
            case "drop" -> book.dropping(season, id);
            case "look" -> book.looking(season, id);
            default -> book;
        });
        return "redirect:/" + term + "/week";
    }

    @PostMapping("/{term}/week/undo")
    String undo(Sent sent, HttpServletRequest request, RedirectAttributes told) {
        return changes.changeBook(request, sent, told, "undo", PlanBook::undone);
    }

    /** That name, or the next letter where there is none. */
    private static String free(String name, PlanBook book, SeasonCode season) {
        if (!name.isBlank()) {
            return name;
        }
        List<String> taken = book.ofSeason(season).stream().map(Plan::name).toList();
        for (char letter = 'A'; letter <= 'Z'; letter++) {
            if (!taken.contains("Plan " + letter)) {
                return "Plan " + letter;
            }
        }
        return "Plan";
    }
}

package ample.ledger.web.ready;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.ready.ReadyPage.Answered;
import ample.ledger.web.ready.ReadyPage.Link;
import ample.ledger.web.ready.ReadyPage.Ordering;
import ample.ledger.web.ready.ReadyPage.Sending;
import ample.ledger.web.ready.ReadyPage.Total;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Local;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Readiness, and handing a submission over. */
@Controller
class ReadyController {

    private static final String TOLD = "told";
    private static final int MOST_REQUESTS = 60;

    private final Terms terms;
    private final Places places;
    private final Head head;
    private final Visits visits;
    private final Handing handing;
    private final Registrar registrar;
    private final Keeping keeping;

    ReadyController(
            Terms terms,
            Places places,
            Head head,
            Visits visits,
            Handing handing,
            Registrar registrar,
            Keeping keeping) {
        this.terms = terms;
        this.places = places;
        this.head = head;
        this.visits = visits;
        this.handing = handing;
        this.registrar = registrar;
        this.keeping = keeping;
    }

    /**
     * What the registrar would answer to the plan.
     *
     * @param order the leading sections in the order wanted, with commas between
     * @param arrange {@code yes} while the order is being changed
     * @param submitted the name of a submission whose answers are shown
     */
    @GetMapping("/{term}/ready")
    String ready(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") String order,
            @RequestParam(defaultValue = "") String arrange,
            @RequestParam(defaultValue = "") String submitted,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        ReadyAsk ask = ReadyAsk.of(term, order, arrange, submitted);
        keeping.needed(request);
        Visit visit = visits.of(request, preferences);
        head.put(model, request, places.place(term), Brief.EVERYTHING, ask.address());
        model.addAttribute("page", page(ask, visit, request, told(model)));
        return "ready/page";
    }

    private static List<String> told(Model model) {
        return model.getAttribute(TOLD) instanceof List<?> told
                ? told.stream().map(String::valueOf).toList()
                : List.of();
    }

    private ReadyPage page(ReadyAsk ask, Visit visit, HttpServletRequest request, List<String> told) {
        Schedule schedule = terms.get(ask.term()).schedule();
        Optional<AtRegistrar> there = AtRegistrar.of(visit, terms);
        if (there.isEmpty()) {
            return nothing(ask, visit, request, told);
        }
        String student = there.get().who().student();
        return new ReadyPages(there.get(), schedule, ask)
                .page(told, submitted(student, ask.submitted()), handing.unanswered(student));
    }

    /** What was submitted under a name, those of several terms in their order. */
    private List<Submission> submitted(String student, String id) {
        try {
            return id.isEmpty()
                    ? List.of()
                    : registrar.submissions(student).stream()
                            .filter(one -> Handing.isOf(one, id))
                            .sorted(Comparator.comparing(Submission::at))
                            .toList();
        } catch (RegistrarAwayException away) {
            return List.of();
        }
    }

    /** Where nothing can be foretold, and why. */
    private static ReadyPage nothing(ReadyAsk ask, Visit visit, HttpServletRequest request, List<String> told) {
        boolean student = Keeping.studentName(request).isPresent();
        String says;
        List<Link> lead = List.of();
        if (!student) {
            says =
                    "Readiness shows, before you submit, what the registrar would answer to each section of your plan. It asks the registrar about you, so you have to be signed in as a student.";
            lead = List.of(new Link("Sign in", Addresses.with("/sign-in/begin/institution", "back", ask.address())));
        } else if (visit.registrar().awaySince().isPresent()) {
            says =
                    "The registrar does not answer right now, so readiness cannot be checked. Your plan is kept. This page tries again.";
        } else {
            says = "Your registrar takes no submissions from here. Copy the entry numbers of your plan in My week.";
            lead = List.of(new Link("My week", "/" + ask.term() + "/week"));
        }
        return new ReadyPage(
                ask.term().text(),
                ask.plain().address(),
                says,
                lead,
                told,
                new Ordering(List.of(), "", ""),
                List.of(),
                new Total("", ""),
                new Sending("", List.of(), List.of(), "", 0, "", List.of()),
                new Answered("", student && visit.registrar().awaySince().isPresent(), List.of()));
    }

    /**
     * Hands the requests of the form, {@code ask}, over and goes back to where its answers are shown.
     *
     * @param id its name, made with the form: sent twice it is decided once
     * @param back the page that shows the answers
     */
    @PostMapping("/{term}/ready/submit")
    String submit(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") String id,
            @RequestParam(defaultValue = "") String back,
            HttpServletRequest request,
            RedirectAttributes told) {
        Optional<String> student = Keeping.studentName(request);
        // Not as a list that is bound: a single value would be taken apart at the commas between its sections.
        List<Request> requests = Stream.ofNullable(request.getParameterValues("ask"))
                .flatMap(Arrays::stream)
                .limit(MOST_REQUESTS)
                .flatMap(token -> RequestTokens.parse(token).stream())
                .toList();
        String leads = back.isEmpty() ? "/" + term + "/ready" : Local.address(back);
        if (student.isEmpty() || requests.isEmpty() || !id.matches("[\\w-]{1,100}")) {
            told.addFlashAttribute(TOLD, List.of("Nothing was sent, because the form was incomplete."));
            return "redirect:" + leads;
        }
        try {
            handing.hand(student.get(), id, requests);
        } catch (IllegalArgumentException wrong) {
            told.addFlashAttribute(
                    TOLD,
                    List.of(
                            "The registrar did not take this submission, and nothing was changed. Check it here and send it again."));
            return "redirect:" + leads;
        }
        return "redirect:" + Addresses.with(leads, "submitted", id);
    }
}

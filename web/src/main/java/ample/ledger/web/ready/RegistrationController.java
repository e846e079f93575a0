package ample.ledger.web.ready;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.ready.ReadyPage.Link;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** My registration: what a student has at the registrar, and how to change it. */
@Controller
class RegistrationController {

    private final Terms terms;
    private final Places places;
    private final Head head;
    private final Visits visits;
    private final Handing handing;
    private final Registrar registrar;

    RegistrationController(Terms terms, Places places, Head head, Visits visits, Handing handing, Registrar registrar) {
        this.terms = terms;
        this.places = places;
        this.head = head;
        this.visits = visits;
        this.handing = handing;
        this.registrar = registrar;
    }

    /** @param submitted the name of the submission that was made last; its answers are the first of the history */
    @GetMapping("/{term}/registration")
    String registration(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") String submitted,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        Visit visit = visits.of(request, preferences);
        head.put(model, request, places.place(term), Brief.EVERYTHING, "/" + term + "/registration");
        Optional<AtRegistrar> student = AtRegistrar.of(visit, terms);
        model.addAttribute(
                "page", student.map(some -> page(some, term)).orElseGet(() -> nothing(term, visit, request)));
        model.addAttribute("submitted", submitted);
        return "ready/registration";
    }

    private RegistrationPage page(AtRegistrar student, TermCode term) {
        String name = student.who().student();
        return new RegistrationPages(student, terms.get(term).schedule())
                .page(List.of(), history(name), handing.unanswered(name), rounds(name));
    }

    private List<Submission> history(String student) {
        try {
            return registrar.submissions(student);
        } catch (RegistrarAwayException away) {
            return List.of();
        }
    }

    private List<RoundStanding> rounds(String student) {
        try {
            return registrar.rounds(student);
        } catch (RegistrarAwayException away) {
            return List.of();
        }
    }

    private RegistrationPage nothing(TermCode term, Visit visit, HttpServletRequest request) {
        boolean guest = Keeping.studentName(request).isEmpty();
        String says = guest
                ? "The registrar knows what you are registered in. Sign in as a student to see it."
                : visit.registrar().awaySince().isPresent()
                        ? "The registrar does not answer right now. Your registration stays as it is."
                        : "Your registrar takes no submissions from here.";
        return new RegistrationPage(
                term.text(),
                says,
                guest
                        ? List.of(new Link(
                                "Sign in",
                                Addresses.with("/sign-in/begin/institution", "back", "/" + term + "/registration")))
                        : List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                RegistrationPages.rounds(
                        terms.get(term).schedule(),
                        List.of(),
                        visit.now(terms.get(term).schedule())),
                List.of(),
                "");
    }

    /**
     * Before something is given up: what it costs, and what could be had instead.
     *
     * @param entry a section that the student is registered in: its term, a full stop, and its number
     */
    @GetMapping("/{term}/registration/change")
    String change(
            @PathVariable TermCode term,
            @RequestParam(defaultValue = "") String entry,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request,
            Model model) {
        Visit visit = visits.of(request, preferences);
        Optional<ChangePage> page = entry.matches("[\\w-]+\\.\\d+")
                ? AtRegistrar.of(visit, terms)
                        .flatMap(student -> new RegistrationPages(
                                        student, terms.get(term).schedule())
                                .change(RequestTokens.entry(entry)))
                : Optional.empty();
        if (page.isEmpty()) {
            return "redirect:/" + term + "/registration";
        }
        head.put(model, request, places.place(term), Brief.EVERYTHING, "/" + term + "/registration");
        model.addAttribute("page", page.get());
        return "ready/change";
    }

    /** What the student has, as plain text to save. */
    @GetMapping(path = "/{term}/registration/confirmation.txt", produces = "text/plain;charset=UTF-8")
    ResponseEntity<String> confirmation(
            @PathVariable TermCode term,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            HttpServletRequest request) {
        Visit visit = visits.of(request, preferences);
        AtRegistrar student =
                AtRegistrar.of(visit, terms).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"registration.txt\"")
                .body(new RegistrationPages(student, terms.get(term).schedule())
                        .confirmation(student.who().file().name()));
    }
}

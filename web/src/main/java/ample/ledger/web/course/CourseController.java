package ample.ledger.web.course;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.watch.Watched;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.BriefReader;
import ample.ledger.web.term.NotPostedException;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import ample.ledger.web.watch.WatchForm;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** Answers the address of a course. */
@Controller
class CourseController {

    private final Terms terms;
    private final Head head;
    private final Places places;

    private final Visits visits;

    CourseController(Terms terms, Head head, Places places, Visits visits) {
        this.visits = visits;
        this.terms = terms;
        this.head = head;
        this.places = places;
    }

    /** @param code subject and number with a hyphen between, whatever its institution writes there */
    @GetMapping("/{term}/course/{code}")
    String course(
            @PathVariable TermCode term,
            @PathVariable String code,
            HttpServletRequest request,
            @ModelAttribute(name = "preferences", binding = false) Preferences preferences,
            Model model) {
        PostedTerm posted = terms.get(term);
        Brief brief =
                BriefReader.read(request, posted.index().vocabulary(), Set.of()).brief();
        Course course =
                posted.schedule().courseWritten(code).orElseThrow(() -> NotPostedException.course(posted, code, brief));
        String here = new Addresses(term).course(course.code(), brief);
        head.put(model, request, places.place(term), brief, here);
        Visit visit = visits.of(request, preferences);
        WatchForm.put(model, request, visit.kept(), new Watched.OfCourse(term, course.code()), here);
        model.addAttribute("page", new CoursePages(posted, terms.all(), course, brief, visit).page());
        return "course/page";
    }
}

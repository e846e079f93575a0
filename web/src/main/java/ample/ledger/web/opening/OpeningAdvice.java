package ample.ledger.web.opening;

import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.head.Head;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.OpeningWords;
import ample.ledger.web.visit.Visits;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Says in the head of every page when a signed-in student may register. */
@ControllerAdvice
class OpeningAdvice {

    private final Terms terms;
    private final Visits visits;

    OpeningAdvice(Terms terms, Visits visits) {
        this.terms = terms;
        this.visits = visits;
    }

    /** When the visitor of a page may register; worked out when a template asks. */
    public final class MayRegister {

        private final HttpServletRequest request;

        private MayRegister(HttpServletRequest request) {
            this.request = request;
        }

        /** In a few words; empty for a guest and for the desk, and where it is not known. */
        public String words() {
            return Keeping.studentName(request).isEmpty() || term().isEmpty()
                    ? ""
                    : OpeningWords.shortly(visits.of(request, Preferences.USUAL), term().get(0));
        }

        /** The page that explains it; empty where no term is posted. */
        public String address() {
            return term().stream()
                    .map(schedule -> "/" + schedule.term().code() + "/opening")
                    .findFirst()
                    .orElse("");
        }

        /** The term that the head of the page speaks of; none where nothing is posted. */
        private List<Schedule> term() {
            return Head.term(request).stream()
                    .map(terms::get)
                    .map(PostedTerm::schedule)
                    .toList();
        }
    }

    @ModelAttribute("mayRegister")
    MayRegister mayRegister(HttpServletRequest request) {
        return new MayRegister(request);
    }
}

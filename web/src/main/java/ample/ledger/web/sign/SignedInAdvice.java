package ample.ledger.web.sign;

import ample.ledger.web.guest.Keeping;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/**
 * Lets every page know as whom a student has signed in, under the name {@code student}; empty for everybody else. And, under
 * {@code visit}, whether what is kept for the visitor is away: that is known once the page is made.
 */
@ControllerAdvice
class SignedInAdvice {

    /** The visit that a page is made for. */
    public record Visit(HttpServletRequest request) {

        public boolean isAway() {
            return Keeping.isAway(request);
        }
    }

    @ModelAttribute("student")
    String student(HttpServletRequest request) {
        return Keeping.studentName(request).orElse("");
    }

    @ModelAttribute("visit")
    Visit visit(HttpServletRequest request) {
        return new Visit(request);
    }
}

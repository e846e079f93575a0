package ample.ledger.web.sign;

import ample.ledger.web.guest.Keeping;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Lets every page know as whom a student has signed in, under the name {@code student}; empty for everybody else. */
@ControllerAdvice
class SignedInAdvice {

    @ModelAttribute("student")
    String student(HttpServletRequest request) {
        return Keeping.student(request).orElse("");
    }
}

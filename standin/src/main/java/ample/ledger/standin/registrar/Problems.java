package ample.ledger.standin.registrar;

import ample.ledger.standin.people.People;
import java.net.URI;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.ErrorResponseException;

/** What is said of a request that is wrong: RFC 9457. */
final class Problems {

    private Problems() {}

    /** @throws ErrorResponseException where nobody is a student under this name */
    static void known(People people, String student) {
        if (people.somebody(student)
                .filter(one -> one.role() == People.Role.STUDENT)
                .isEmpty()) {
            throw nobody();
        }
    }

    static ErrorResponseException nobody() {
        return exception(
                HttpStatus.NOT_FOUND,
                "no-such-student",
                "There is no such student",
                "Nobody is a student here under this name.");
    }

    static ErrorResponseException notNow() {
        return exception(
                HttpStatus.SERVICE_UNAVAILABLE,
                "not-now",
                "It could not be decided now",
                "Ask the same again: if it was decided, the answer is the same.");
    }

    static ErrorResponseException exception(HttpStatus status, String type, String title, String detail) {
        return new ErrorResponseException(status, of(status, type, title, detail), null);
    }

    static ProblemDetail of(HttpStatus status, String type, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("/registrar/v1/problems/" + type));
        problem.setTitle(title);
        return problem;
    }
}

package ample.ledger.standin.registrar;

import java.net.URI;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/** What is said of a request that is wrong: RFC 9457. */
final class Problems {

    private Problems() {}

    static ProblemDetail of(HttpStatus status, String type, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("/registrar/v1/problems/" + type));
        problem.setTitle(title);
        return problem;
    }
}

package ample.ledger.core.registrar;

import java.time.Instant;
import java.util.List;

/**
 * One act of a student, and what the registrar answered.
 *
 * @param id made by whoever submits, before it is sent: the same always gets the same answers
 * @param at when it was answered, by the institution's clock
 * @param lines the requests in the order in which they were asked
 */
public record Submission(String id, Instant at, List<Line> lines) {

    public Submission {
        lines = List.copyOf(lines);
    }

    /** A request and its answer. */
    public record Line(Request request, Answer answer) {}
}

package ample.ledger.core.registrar;

import java.time.LocalDate;

/**
 * Something that keeps a student from what they want to do until somebody lifts it.
 *
 * @param by who put it on, as in "The library"
 * @param stops what it keeps the student from: "registering"
 * @param reason a whole sentence: "Two books are overdue."
 * @param since the day it was put on
 * @param lifted who lifts it, and for what, in a whole sentence: "The library desk lifts it when they are back."
 */
public record Hold(String by, String stops, String reason, LocalDate since, String lifted) {

    private static final String REGISTERING = "registering";

    /** Whether it keeps the student from taking sections. */
    public boolean stopsRegistering() {
        return stops.equals(REGISTERING);
    }
}

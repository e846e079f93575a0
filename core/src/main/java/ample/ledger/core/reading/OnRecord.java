package ample.ledger.core.reading;

import ample.ledger.core.schedule.Coded;

/** What stands of a course on a record. */
public enum OnRecord implements Coded {
    NOTHING("not on your record"),
    PASSED("that you have passed"),
    IN_PROGRESS("that you are taking"),
    /** Nothing of the course itself, but one that stands for it is passed or in progress. */
    EQUIVALENT("with an equivalent on your record"),
    NOT_PASSED("that you have tried and not passed"),
    /** The student only supposes it. */
    WHAT_IF("in your what-if lines"),
    NOT_KNOWN("perhaps on your record");

    private final String label;

    OnRecord(String label) {
        this.label = label;
    }

    /** As it follows what it is said of: "courses not on your record". */
    public String label() {
        return label;
    }
}

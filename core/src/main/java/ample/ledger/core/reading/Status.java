package ample.ledger.core.reading;

import ample.ledger.core.schedule.Coded;

/**
 * Whether a section can be had, each with its own word. {@link StatusReading} says which it is, for whom, when, and why.
 */
public enum Status implements Coded {
    OPEN("open"),
    /** There are seats, and it is not known whether they are for who asks. */
    OPEN_TO_SOME("open to some"),
    OPEN_BUT_NOT_TO_YOU("open, but not to you"),
    FULL_WAITLIST_OPEN("full, waitlist open"),
    FULL("full"),
    CANCELLED("cancelled"),
    NOT_YET_OPEN("not yet open"),
    CLOSED_TO_LATE_ENTRY("closed to late entry"),
    BY_PERMISSION("by permission"),
    /** Its places are distributed in a wish round that has not ended. */
    BY_WISHES("by wishes");

    private final String label;

    Status(String label) {
        this.label = label;
    }

    /** As shown to people. */
    public String label() {
        return label;
    }
}

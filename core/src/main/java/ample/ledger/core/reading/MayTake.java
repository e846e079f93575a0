package ample.ledger.core.reading;

import ample.ledger.core.schedule.Coded;

/** Whether a student may take something, by the record and by what is asked; the better answer comes first. Seats and openings are another matter. */
public enum MayTake implements Coded {
    YES("you may take"),
    WITH_WHAT_IF("you may take if your what-if lines come true"),
    /** The record does not say, or only people can judge it. */
    NOT_KNOWN("you may perhaps take"),
    BY_PERMISSION("you may take with permission"),
    NO("you may not take");

    private final String label;

    MayTake(String label) {
        this.label = label;
    }

    /** As it follows "that". */
    public String label() {
        return label;
    }

    /** The worse of two. */
    MayTake worse(MayTake other) {
        return compareTo(other) < 0 ? other : this;
    }
}

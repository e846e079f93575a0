package ample.ledger.core.reading;

import ample.ledger.core.schedule.Coded;

/** Whether a course counts toward a requirement that the student still owes. */
public enum StillOwed implements Coded {
    YES("counting toward what you still owe"),
    NOT_KNOWN("perhaps counting toward what you still owe"),
    NO("counting toward nothing that you still owe");

    private final String label;

    StillOwed(String label) {
        this.label = label;
    }

    /** As it follows what it is said of. */
    public String label() {
        return label;
    }
}

package ample.ledger.core.schedule;

/** What a meeting is, and what a section mainly is. */
public enum Kind implements Coded {
    LECTURE("Lecture"),
    LAB("Lab"),
    SEMINAR("Seminar"),
    STUDIO("Studio"),
    DISCUSSION("Discussion"),
    FIELD_DAY("Field day"),
    CLINIC("Clinic"),
    EXAM("Exam");

    private final String label;

    Kind(String label) {
        this.label = label;
    }

    /** As shown to people: "Field day". */
    public String label() {
        return label;
    }
}

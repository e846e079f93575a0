package ample.ledger.core.plan;

/** Why two sections do not go into one plan. */
public enum Apart {
    /** On some date both are held at once, classes or exams. */
    SAME_TIME("clashes with"),
    /** On some date one is held so soon after the other that the way takes longer. */
    TOO_FAR("leaves too little time for the way to or from"),
    /** They are one class, posted for two courses. */
    ONE_CLASS("is the same class as"),
    /** One of them has the place of the other. */
    SAME_COURSE("is taken in place of"),
    /** Credit is given for one of the two courses only. */
    CREDIT_ONCE("gives no credit beside");

    private final String phrase;

    Apart(String phrase) {
        this.phrase = phrase;
    }

    /** What follows the one and comes before the other: "clashes with". */
    public String phrase() {
        return phrase;
    }
}

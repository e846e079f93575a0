package ample.ledger.core.schedule;

/**
 * A course that another stands for.
 *
 * @param course the other course, which may be another institution's
 * @param sentence in the registrar's own words
 */
public record Equivalent(CourseCode course, Effect effect, String sentence) {

    /** What it means for a student who has taken the other. */
    public enum Effect implements Coded {
        /** Either meets what asks for the other, and credit is given once. */
        STANDS_FOR,
        /** No credit is given for both; otherwise they are different courses. */
        NO_CREDIT_BESIDE
    }
}

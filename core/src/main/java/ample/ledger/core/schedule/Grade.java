package ample.ledger.core.schedule;

/**
 * A grade of an institution's scale.
 *
 * @param scale the one that it belongs to
 */
public record Grade(GradeScale.Step step, GradeScale scale) {

    /** As the institution writes it: "B+". */
    public String text() {
        return step.text();
    }

    /** Whether a course with this grade is passed. */
    public boolean passes() {
        return step.passes();
    }

    /**
     * Whether it is as good as {@code other}, or better.
     *
     * @throws IllegalArgumentException for a grade of another scale: nothing says how the two compare
     */
    public boolean isAtLeast(Grade other) {
        if (!scale.equals(other.scale)) {
            throw new IllegalArgumentException(text() + " and " + other.text() + " are of two scales");
        }
        return step.position() <= other.step.position();
    }

    @Override
    public String toString() {
        return text();
    }
}

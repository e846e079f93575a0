package ample.ledger.core.schedule;

import java.util.List;

/**
 * Students who have something in common.
 *
 * @param about what of the student
 * @param anyOf codes of programmes, campuses or cohorts, or levels as digits; one of them is enough
 */
public record StudentGroup(About about, List<String> anyOf) {

    /** What a group is told by. */
    public enum About implements Coded {
        PROGRAMME,
        LEVEL,
        CAMPUS,
        COHORT
    }

    public StudentGroup {
        anyOf = List.copyOf(anyOf);
        if (anyOf.isEmpty()) {
            throw new IllegalArgumentException("A group of students names at least one " + about.code());
        }
    }
}

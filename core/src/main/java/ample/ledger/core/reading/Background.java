package ample.ledger.core.reading;

import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.CourseCode;
import java.util.Optional;
import java.util.Set;

/**
 * Who asks, with all that decides what they may take in one term. Two of whom the same is known are equal.
 *
 * @param record with what is supposed; empty where there is none
 * @param planned courses that they plan for the term
 */
public record Background(Person person, Optional<StudentRecord> record, Set<CourseCode> planned) {

    public Background {
        planned = Set.copyOf(planned);
    }

    /** Somebody of whose record nothing is known. */
    public static Background of(Person person) {
        return new Background(person, Optional.empty(), Set.of());
    }
}

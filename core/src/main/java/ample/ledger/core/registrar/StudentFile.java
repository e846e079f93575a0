package ample.ledger.core.registrar;

import ample.ledger.core.requirement.StudentRecord.Taken;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What the institution's own systems know of a student.
 *
 * @param creditsEarned in the institution's own unit; 0 or more
 * @param level year of study; 1 or more
 * @param programme its code; empty for none
 * @param courses with their grades; those in progress have none
 * @param placements by the names that the institution gives them
 * @param holds that keep the student from registering; none where nothing does
 */
public record StudentFile(
        BigDecimal creditsEarned,
        int level,
        Optional<String> programme,
        List<Taken> courses,
        Set<String> placements,
        List<Hold> holds) {

    public StudentFile {
        courses = List.copyOf(courses);
        placements = Set.copyOf(placements);
        holds = List.copyOf(holds);
    }
}

package ample.ledger.core.registrar.rules;

import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.StudentFile.CourseOnFile;
import ample.ledger.core.registrar.StudentFile.OfTerm;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Files of students to test with. */
public final class StudentsOnFile {

    private StudentsOnFile() {}

    /** Somebody with 46 credits and no limit, of a programme, with courses like "GLAC 120 B". */
    public static StudentFile file(String name, String programme, String... courses) {
        return new StudentFile(
                name,
                name,
                Optional.empty(),
                Instant.EPOCH,
                BigDecimal.valueOf(46),
                2,
                Optional.of(programme),
                Optional.of("tidewall"),
                Optional.empty(),
                Arrays.stream(courses)
                        .map(line -> {
                            String[] parts = line.split(" ");
                            return new CourseOnFile(
                                    parts[0] + " " + parts[1],
                                    Optional.ofNullable(parts.length > 2 ? parts[2] : null),
                                    Optional.empty());
                        })
                        .toList(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of());
    }

    /** With what goes for one term. */
    public static StudentFile with(
            StudentFile file, String term, Optional<LocalDateTime> opens, Optional<Integer> most) {
        return with(
                file, file.holds(), List.of(new OfTerm(term, opens, Optional.empty(), most.map(BigDecimal::valueOf))));
    }

    public static StudentFile with(StudentFile file, Hold hold) {
        return with(file, List.of(hold), file.terms());
    }

    private static StudentFile with(StudentFile file, List<Hold> holds, List<OfTerm> terms) {
        return new StudentFile(
                file.student(),
                file.name(),
                file.email(),
                file.asOf(),
                file.creditsEarned(),
                file.level(),
                file.programme(),
                file.homeCampus(),
                file.cohort(),
                file.courses(),
                file.placements(),
                file.waived(),
                file.requirementsMet(),
                file.requirementsOwed(),
                holds,
                terms);
    }
}

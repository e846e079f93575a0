package ample.ledger.web.requirement;

import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.preferences.Preferences;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What a student is judged by.
 *
 * @param student empty where no record was given
 * @param evaluation by the record, and by what the student keeps for the term; empty where no record was given
 */
public record Judging(
        Schedule schedule, LocalDate today, Optional<StudentRecord> student, Optional<Evaluation> evaluation) {

    public static Judging of(Schedule schedule, LocalDate today, Kept kept, Preferences preferences) {
        Optional<StudentRecord> student =
                kept.record().said() ? Optional.of(kept.record().read(preferences.home(), schedule)) : Optional.empty();
        List<CourseCode> planned = kept.week(schedule).stream()
                .map(section -> section.course().code())
                .toList();
        return new Judging(schedule, today, student, student.map(record -> new Evaluation(record, planned, schedule)));
    }
}

package ample.ledger.web.requirement;

import ample.ledger.core.reading.Person;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.visit.Visit;
import java.util.List;
import java.util.Optional;

/**
 * What a student is judged by.
 *
 * @param person who asks, as far as seats, restrictions and openings depend on it
 * @param student empty where no record was given
 * @param evaluation by the record, and by what the student keeps for the term; empty where no record was given
 * @param official whether the record is the registrar's, and not what somebody has typed
 */
public record Judging(
        Schedule schedule,
        Person person,
        Optional<StudentRecord> student,
        Optional<Evaluation> evaluation,
        boolean official) {

    public static Judging of(Schedule schedule, Visit visit) {
        Optional<StudentRecord> student = visit.record(schedule);
        List<CourseCode> planned = visit.kept().week(schedule).stream()
                .map(section -> section.course().code())
                .toList();
        return new Judging(
                schedule,
                visit.person(schedule),
                student,
                student.map(record -> new Evaluation(record, planned, schedule)),
                visit.registrar().file().isPresent());
    }
}

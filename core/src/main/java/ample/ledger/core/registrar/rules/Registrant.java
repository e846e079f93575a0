package ample.ledger.core.registrar.rules;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.Person;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.StudentFile.OfTerm;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.StudentGroup;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/**
 * A student as the rules know them: by what is on file, and not by what is supposed.
 *
 * @param record the same as conditions are judged by
 */
public record Registrant(StudentFile file, StudentRecord record) {

    /** @param posted the schedules of all terms */
    public static Registrant of(StudentFile file, PostedSchedules posted) {
        return new Registrant(file, file.record(List.of(), posted.all()));
    }

    public String student() {
        return file.student();
    }

    Optional<OfTerm> term(Schedule schedule) {
        return file.term(schedule.term().code().text());
    }

    /** What of them matters to the sections of a schedule at a moment. */
    Person person(Schedule schedule, Instant now) {
        return Person.of(
                schedule,
                Optional.of(record),
                file.opening(schedule).map(own -> own.opening()),
                term(schedule).flatMap(OfTerm::closes),
                LocalDateTime.ofInstant(now, schedule.institution().zone()));
    }

    /** Whether they are one of a group. Of what is not on file they are not. */
    boolean belongsTo(StudentGroup group) {
        return record.belongsTo(group).orElse(false);
    }
}

package ample.ledger.web.requirement;

import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.visit.Visit;
import java.util.Collection;
import java.util.Optional;

/**
 * What a student is judged by.
 *
 * @param reading by the record, and by what the student keeps for the term
 * @param posted the schedules of all terms
 * @param official whether the record is the registrar's, and not what somebody has typed
 */
public record Judging(RecordReading reading, Collection<Schedule> posted, boolean official) {

    public static Judging of(Schedule schedule, Visit visit) {
        return new Judging(
                visit.byRecord(schedule),
                visit.posted().all(),
                visit.registrar().file().isPresent());
    }

    public Schedule schedule() {
        return reading.schedule();
    }

    /** Who asks, as far as seats, restrictions and openings depend on it. */
    public Person person() {
        return reading.background().person();
    }

    /** Empty where no record was given. */
    public Optional<StudentRecord> student() {
        return reading.background().record();
    }

    /** Empty where no record was given. */
    public Optional<Evaluation> evaluation() {
        return student().map(record -> reading.evaluation());
    }
}

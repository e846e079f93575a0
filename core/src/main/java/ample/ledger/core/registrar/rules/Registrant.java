package ample.ledger.core.registrar.rules;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.Readings;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.StudentFile.OfTerm;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.StudentGroup;
import ample.ledger.core.schedule.WishRound;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * A student as the rules know them: by what is on file, and not by what is supposed. Safe for many threads; what sections are to them it
 * remembers for as long as that stays so.
 */
public final class Registrant {

    private final StudentFile file;
    private final StudentRecord record;
    private final Set<CourseCode> onRecord;
    private final Map<Schedule, Lasting> lasting = new ConcurrentHashMap<>();

    /** @param record that of the file, as conditions are judged by */
    public Registrant(StudentFile file, StudentRecord record) {
        this.file = file;
        this.record = record;
        this.onRecord = record.passedOrInProgress();
    }

    /** @param posted the schedules of all terms */
    public static Registrant of(StudentFile file, PostedSchedules posted) {
        return new Registrant(file, file.record(List.of(), posted.all()));
    }

    /** What holds from one moment until before another. */
    private record Lasting(Readings readings, LocalDateTime from, LocalDateTime until) {

        boolean at(LocalDateTime moment) {
            return !moment.isBefore(from) && moment.isBefore(until);
        }
    }

    public String student() {
        return file.student();
    }

    public StudentFile file() {
        return file;
    }

    /** The same as conditions are judged by. */
    public StudentRecord record() {
        return record;
    }

    /** The courses passed, and those that go on. */
    Set<CourseCode> onRecord() {
        return onRecord;
    }

    /** What the sections of a schedule are to them at a moment. */
    Readings readings(Schedule schedule, Instant now) {
        LocalDateTime moment =
                LocalDateTime.ofInstant(now, schedule.institution().zone());
        Lasting known = lasting.get(schedule);
        if (known == null || !known.at(moment)) {
            known = from(schedule, moment);
            lasting.put(schedule, known);
        }
        return known.readings();
    }

    /** Until the day ends, or until registration opens or closes to them. */
    private Lasting from(Schedule schedule, LocalDateTime moment) {
        Optional<LocalDateTime> closes =
                file.term(schedule.term().code().text()).flatMap(OfTerm::closes);
        Person person = Person.of(
                schedule, Optional.of(record), file.opening(schedule).map(own -> own.opening()), closes, moment);
        LocalDateTime until = Stream.of(
                        Optional.of(moment.toLocalDate().plusDays(1).atStartOfDay()),
                        person.later().stream().map(Opening::from).findFirst(),
                        closes.filter(moment::isBefore),
                        schedule.lists().wishRounds().stream()
                                .map(WishRound::closes)
                                .filter(moment::isBefore)
                                .min(LocalDateTime::compareTo))
                .flatMap(Optional::stream)
                .min(LocalDateTime::compareTo)
                .orElseThrow();
        return new Lasting(new Readings(schedule, person), moment, until);
    }

    /** Whether they are one of a group. Of what is not on file they are not. */
    boolean belongsTo(StudentGroup group) {
        return record.belongsTo(group).orElse(false);
    }
}

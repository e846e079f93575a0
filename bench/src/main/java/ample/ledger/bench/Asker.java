package ample.ledger.bench;

import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.Background;
import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.Readings;
import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.requirement.RecordLines;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.StudentGroup.About;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** For whom everything is found: a student in the second year of Glaciology with 46 credits. */
final class Asker {

    private static final LocalDateTime NOW = LocalDateTime.of(2031, 6, 17, 9, 41);

    private static final StudentRecord STUDENT = new StudentRecord(
            Set.of(StudentRecord.Part.COURSES),
            courses("GLAC 120 A-, TIDE 110 B+, NUMB 112 B, NUMB 115 A, LIMN 130 B+, CART 105 A, RHET 101 B"),
            Optional.of(BigDecimal.valueOf(46)),
            Optional.of(2),
            Set.of(),
            Set.of(),
            Map.of(About.PROGRAMME, Set.of("glaciology")));

    /** Of each schedule that is measured, as if nothing else were posted. */
    private static final Map<Schedule, PostedSchedules> POSTED = new ConcurrentHashMap<>();

    private static final Map<Schedule, Background> BACKGROUNDS = new ConcurrentHashMap<>();

    private Asker() {}

    private static List<StudentRecord.Taken> courses(String lines) {
        return new RecordLines(List.of()).read(lines.replace(", ", "\n")).courses();
    }

    static Person of(Schedule schedule) {
        return Person.of(schedule, Optional.of(STUDENT), NOW);
    }

    /** What an index is to them. */
    static Moment now(TermIndex index) {
        return index.now(
                BACKGROUNDS.computeIfAbsent(
                        index.schedule(), schedule -> new Background(of(schedule), Optional.of(STUDENT), Set.of())),
                POSTED.computeIfAbsent(index.schedule(), schedule -> new PostedSchedules(List.of(schedule))));
    }

    static RecordReading byRecord(Schedule schedule) {
        return new RecordReading(schedule, new Background(of(schedule), Optional.of(STUDENT), Set.of()));
    }

    static Readings readings(Schedule schedule) {
        return new Readings(schedule, of(schedule));
    }
}

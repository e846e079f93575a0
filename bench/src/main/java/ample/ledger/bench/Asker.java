package ample.ledger.bench;

import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.Readings;
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
            Set.of(),
            List.of(),
            Optional.of(BigDecimal.valueOf(46)),
            Optional.of(2),
            Set.of(),
            Set.of(),
            Map.of(About.PROGRAMME, Set.of("glaciology")));

    /** Of each schedule that is measured, as if nothing else were posted. */
    private static final Map<Schedule, PostedSchedules> POSTED = new ConcurrentHashMap<>();

    private Asker() {}

    static Person of(Schedule schedule) {
        return Person.of(schedule, Optional.of(STUDENT), NOW);
    }

    /** What an index is to them. */
    static Moment now(TermIndex index) {
        return index.now(
                of(index.schedule()),
                POSTED.computeIfAbsent(index.schedule(), schedule -> new PostedSchedules(List.of(schedule))));
    }

    static Readings readings(Schedule schedule) {
        return new Readings(schedule, of(schedule));
    }
}

package ample.ledger.standin.seats;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.rules.Book;
import ample.ledger.core.registrar.rules.Fact;
import ample.ledger.core.registrar.rules.PoolName;
import ample.ledger.core.registrar.rules.Rules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SimulatedRegistrationsTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final PostedSchedules POSTED = Schedules.alone(KERNEL);

    @Test
    void nobodyGetsASeatThatIsNotFreeAndPeopleComeWaitAndGo() {
        var students = new SimulatedRegistrations(new Random(1));
        Rules rules = new Rules(POSTED, Duration.ofHours(36), name -> Optional.empty());
        Book book = rules.book();
        List<Attendance> sections = Attendance.of(KERNEL.sections(), KERNEL);
        List<Fact> facts = new ArrayList<>();
        Instant now = Instant.parse("2031-06-17T08:41:00Z");
        for (int i = 0; i < 3_000; i++) {
            facts.addAll(students.next(book, rules, sections, now, Schedules.TODAY));
            now = now.plusSeconds(60);
            facts.addAll(rules.due(book, now));
        }

        assertThat(facts)
                .extracting(Fact::kind)
                .contains(
                        Fact.Kind.REGISTERED,
                        Fact.Kind.DROPPED,
                        Fact.Kind.QUEUED,
                        Fact.Kind.OFFERED,
                        Fact.Kind.TAKEN_UP,
                        Fact.Kind.LAPSED);
        for (Attendance section : sections) {
            SeatPool posted = section.section().pool();
            SeatPool.Count count = book.pool(PoolName.of(section)).count();
            assertThat(count.enrolled() + count.promised())
                    .isLessThanOrEqualTo(Math.max(
                            posted.capacity(),
                            posted.count().enrolled() + posted.count().promised()));
            assertThat(count.waiting())
                    .isLessThanOrEqualTo(
                            Math.max(posted.waitlistCapacity(), posted.count().waiting()));
        }
    }
}

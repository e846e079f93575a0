package ample.ledger.standin.seats;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.SeatPool.Count;
import ample.ledger.core.schedule.TermCode;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SimulatedRegistrationsTest {

    private static final Clock CLOCK = Clock.fixed(Instant.parse("2031-06-17T08:41:00Z"), ZoneOffset.UTC);
    private static final SeatPool ROOMY = new SeatPool("A", 30, 5, List.of(), new Count(3, 0, 0));
    private static final SeatPool HELD = new SeatPool(
            "B",
            10,
            0,
            List.of(new SeatPool.Held("first years", Optional.empty(), 4, LocalDate.of(2031, 9, 1))),
            new Count(5, 0, 0));

    @Test
    void nobodyGetsASeatThatIsNotFreeAndEveryPoolFillsInTheEnd() {
        var students = new SimulatedRegistrations(new Random(1), CLOCK);
        Map<String, Count> standing = new HashMap<>();
        boolean queued = false;
        boolean promised = false;
        for (int i = 0; i < 2_000; i++) {
            for (SeatWord word : students.next(new TermCode("autumn-2031"), List.of(ROOMY, HELD), standing)) {
                Count count = word.count();
                standing.put(word.pool(), count);
                boolean roomy = word.pool().equals("A");
                assertThat(count.enrolled() + count.promised()).isLessThanOrEqualTo(roomy ? 30 : 6);
                assertThat(count.waiting()).isLessThanOrEqualTo(roomy ? 5 : 0);
                queued |= count.waiting() > 0;
                promised |= count.promised() > 0;
            }
        }
        assertThat(queued).isTrue();
        assertThat(promised).isTrue();
        assertThat(standing.get("B").enrolled()).isBetween(4, 6);
    }
}

package ample.ledger.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.RandomSchedules;
import ample.ledger.core.schedule.Schedule;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** What holds of every clash, counted minute by minute. */
class ClashLawsTest {

    @Property(tries = 300)
    void clashesAreSymmetricAndTheirMinutesAreThoseOfEachDate(@ForAll("schedules") Schedule schedule) {
        List<Attendance> all = Attendance.of(schedule.sections(), schedule);
        for (Attendance one : all) {
            for (Attendance other : all) {
                if (one.section().entry().compareTo(other.section().entry()) < 0) {
                    List<Clash> there = Clash.all(List.of(one, other));
                    List<Clash> back = Clash.all(List.of(other, one));
                    assertThat(there).hasSameSizeAs(back);
                    Map<LocalDate, Integer> counted = minutesTogether(one, other);
                    assertThat(there.isEmpty()).isEqualTo(counted.isEmpty());
                    assertThat(one.clashes(other)).isEqualTo(!counted.isEmpty());
                    there.forEach(clash -> {
                        assertThat(clash.minutesByDate()).isEqualTo(counted);
                        assertThat(clash.minutesByDate()).isEqualTo(back.get(0).minutesByDate());
                        assertThat(clash.first()).isEqualTo(new TreeMap<>(counted).firstKey());
                        assertThat(clash.minutes()).isEqualTo(Collections.max(counted.values()));
                    });
                }
            }
        }
    }

    /** Of each date on which both are held at once; each pair of their meetings counts by itself, as do two meetings of one section. */
    private static Map<LocalDate, Integer> minutesTogether(Attendance one, Attendance other) {
        Map<LocalDate, Integer> together = new TreeMap<>();
        for (Stay some : one.stays()) {
            for (Stay others : other.stays()) {
                for (LocalDate date : some.dates().list()) {
                    if (others.dates().list().contains(date)) {
                        BitSet minutes = minutes(some);
                        minutes.and(minutes(others));
                        if (!minutes.isEmpty()) {
                            together.merge(date, minutes.cardinality(), Integer::sum);
                        }
                    }
                }
            }
        }
        return together;
    }

    private static BitSet minutes(Stay stay) {
        BitSet minutes = new BitSet();
        minutes.set(stay.time().startMinute(), stay.time().endMinute());
        return minutes;
    }

    @Provide
    Arbitrary<Schedule> schedules() {
        return RandomSchedules.schedules();
    }
}

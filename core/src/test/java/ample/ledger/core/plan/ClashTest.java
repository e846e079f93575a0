package ample.ledger.core.plan;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class ClashTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final DateRange FIRST_HALF = new DateRange(LocalDate.of(2031, 9, 8), LocalDate.of(2031, 10, 24));
    private static final DateRange SECOND_HALF = new DateRange(LocalDate.of(2031, 11, 3), LocalDate.of(2031, 12, 19));

    @Test
    void saysHowManyMinutesOnHowManyDates() {
        Section lecture = section("TIDE 214").meets("Mon Wed", "9:30-10:50").build();
        Section lab = section("LIMN 130").meets("Wed", "10:30-12:20").build();

        assertThat(clashes(lecture, lab)).singleElement().satisfies(clash -> {
            assertThat(clash.minutes()).isEqualTo(20);
            assertThat(clash.times())
                    .as("the Wednesdays of term, without Harvest Week")
                    .isEqualTo(13);
            assertThat(clash.minutesByDate()).doesNotContainKey(LocalDate.of(2031, 10, 29));
            assertThat(clash.hours())
                    .containsExactly(new Clash.Hours(Days.of(DayOfWeek.WEDNESDAY), TimeRange.of("10:30", "10:50")));
        });
        assertThat(clashes(lab, lecture))
                .extracting(Clash::minutesByDate)
                .isEqualTo(
                        clashes(lecture, lab).stream().map(Clash::minutesByDate).toList());
    }

    /** Common practice, no source: half-term sections in one slot, in different halves, do not clash. */
    @Test
    void halfTermSectionsInOneSlotDoNotClash() {
        Section first = half("RHET 205", FIRST_HALF);
        Section second = half("CART 210", SECOND_HALF);

        assertThat(clashes(first, second)).isEmpty();
        assertThat(clashes(first, half("CART 210", FIRST_HALF))).hasSize(1);
    }

    private static List<Clash> clashes(Section... sections) {
        return Clash.all(Attendance.of(List.of(sections), KERNEL));
    }

    private static Section half(String course, DateRange dates) {
        SectionBuilder builder = section(course).runs("half", dates);
        return builder.meets("Mon Thu", "11:00-12:20").build();
    }
}

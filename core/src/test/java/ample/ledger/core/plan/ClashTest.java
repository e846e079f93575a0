package ample.ledger.core.plan;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class ClashTest {

    private static final TermCalendar CALENDAR =
            Schedules.kernelSchedule().term().calendar();
    private static final DateRange FIRST_HALF = new DateRange(LocalDate.of(2031, 9, 8), LocalDate.of(2031, 10, 24));
    private static final DateRange SECOND_HALF = new DateRange(LocalDate.of(2031, 11, 3), LocalDate.of(2031, 12, 19));

    @Test
    void saysHowManyMinutesOnHowManyDates() {
        Section lecture = section("TIDE 214").meets("Mon Wed", "9:30-10:50").build();
        Section lab = section("LIMN 130").meets("Wed", "10:30-12:20").build();

        assertThat(Clash.among(List.of(lecture, lab), CALENDAR)).singleElement().satisfies(clash -> {
            assertThat(clash.minutes()).isEqualTo(20);
            assertThat(clash.times())
                    .as("the Wednesdays of term, without Harvest Week")
                    .isEqualTo(14);
            assertThat(clash.minutesByDate()).doesNotContainKey(LocalDate.of(2031, 10, 29));
            assertThat(clash.hours())
                    .containsExactly(new Clash.Hours(Days.of(DayOfWeek.WEDNESDAY), TimeRange.of("10:30", "10:50")));
        });
        assertThat(Clash.among(List.of(lab, lecture), CALENDAR))
                .extracting(Clash::minutesByDate)
                .isEqualTo(Clash.among(List.of(lecture, lab), CALENDAR).stream()
                        .map(Clash::minutesByDate)
                        .toList());
    }

    /** Common practice, no source: half-term sections in one slot, in different halves, do not clash. */
    @Test
    void halfTermSectionsInOneSlotDoNotClash() {
        Section first = half("RHET 205", FIRST_HALF);
        Section second = half("CART 210", SECOND_HALF);

        assertThat(Clash.among(List.of(first, second), CALENDAR)).isEmpty();
        assertThat(Clash.among(List.of(first, half("CART 210", FIRST_HALF)), CALENDAR))
                .hasSize(1);
    }

    @Test
    void sectionsAreComparedWithOthersButNotWithThemselves() {
        Section mine =
                section("TIDE 214").entry("40001").meets("Mon", "9:30-10:50").build();
        Section one =
                section("LIMN 130").entry("40002").meets("Mon", "10:30-12:20").build();
        Section clear =
                section("NUMB 112").entry("40003").meets("Tue", "10:30-12:20").build();

        assertThat(Clash.between(List.of(one, clear, mine), List.of(mine), CALENDAR))
                .singleElement()
                .satisfies(clash -> assertThat(clash.one()).isEqualTo(one));
    }

    private static Section half(String course, DateRange dates) {
        SectionBuilder builder = section(course).runs("half", dates);
        return builder.meets("Mon Thu", "11:00-12:20").build();
    }
}

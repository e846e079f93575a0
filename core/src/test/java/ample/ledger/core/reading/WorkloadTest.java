package ample.ledger.core.reading;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.reading.Workload.Standard;
import ample.ledger.core.schedule.Section;
import java.math.BigDecimal;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class WorkloadTest {

    private static final LocalDate FIRST = LocalDate.of(2031, 9, 8);
    private static final DateRange FIFTEEN_WEEKS = new DateRange(FIRST, FIRST.plusDays(15 * 7 - 3));
    private static final DateRange HALF = new DateRange(FIRST, FIRST.plusDays(7 * 7 - 3));

    /** 34 CFR 600.2: one hour in class and two of study a week, for about fifteen weeks, for each semester credit. */
    @Test
    void creditHourIsFifteenInClassAndThirtyOfStudy() {
        Workload workload =
                workload(section("GLAC 120").runs("full-term", FIFTEEN_WEEKS).meets("Mon Wed", "9:00-10:30"));

        assertThat(workload.classHours()).isEqualByComparingTo("45");
        assertThat(workload.classHoursAWeek()).isEqualByComparingTo("3");
        assertThat(workload.studyHours(Standard.CREDIT_HOUR)).isEqualByComparingTo("90");
        assertThat(workload.studyHoursAWeek(Standard.CREDIT_HOUR)).isEqualByComparingTo("6");
    }

    /** ECTS Users’ Guide 2015: 60 credits a year are 1,500 to 1,800 hours. */
    @Test
    void yearOfSixtyCreditsIsFifteenToEighteenHundredHours() {
        assertThat(Standard.ECTS.leastHours(BigDecimal.valueOf(60))).isEqualByComparingTo("1500");
        assertThat(Standard.ECTS.mostHours(BigDecimal.valueOf(60))).isEqualByComparingTo("1800");
    }

    @Test
    void halfOfATermAsksForTwiceAsMuchAWeek() {
        Workload half = workload(section("GLAC 120").runs("first-half", HALF).meets("Mon Wed", "9:00-12:00"));

        assertThat(half.weeks()).isEqualTo(7);
        assertThat(half.classHoursAWeek()).isEqualByComparingTo("6");
        assertThat(half.studyHoursAWeek(Standard.CREDIT_HOUR)).isEqualByComparingTo("13.3");
    }

    /** Common practice, no source: two rows of 3.4 arranged hours a week are 6.8. */
    @Test
    void arrangedHoursCountForEveryWeek() {
        Workload workload = workload(section("RHET 310")
                .runs("full-term", FIFTEEN_WEEKS)
                .arrangedOnline("3.4")
                .arrangedOnline("3.4"));

        assertThat(workload.classHoursAWeek()).isEqualByComparingTo("6.8");
        assertThat(workload.classHours()).isEqualByComparingTo("102");
    }

    @Test
    void studyIsNeverLessThanNothing() {
        Workload workload = workload(
                section("LOOM 115").runs("full-term", FIFTEEN_WEEKS).meets("Mon Tue Wed Thu Fri", "8:00-18:00"));

        assertThat(workload.studyHours(Standard.CREDIT_HOUR)).isEqualByComparingTo("0");
    }

    private static Workload workload(ample.ledger.core.fixtures.SectionBuilder builder) {
        Section section = builder.build();
        assertThat(section.course().credits()).as("the builder’s courses").isEqualByComparingTo("3");
        return Workload.of(section, TermCalendar.PLAIN);
    }
}

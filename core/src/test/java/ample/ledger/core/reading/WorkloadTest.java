package ample.ledger.core.reading;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.CreditWorth;
import ample.ledger.core.schedule.Section;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
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
        assertThat(workload.leastStudyAWeek()).isEqualByComparingTo("6");
        assertThat(workload.mostStudyAWeek()).isEqualByComparingTo("6");
    }

    /** ECTS Users’ Guide 2015: 60 credits a year are 1,500 to 1,800 hours. */
    @Test
    void yearOfSixtyCreditsIsFifteenToEighteenHundredHours() {
        CreditWorth ects = CreditWorth.Unit.ECTS.usual();

        assertThat(ects.leastHours(BigDecimal.valueOf(60))).isEqualByComparingTo("1500");
        assertThat(ects.mostHours(BigDecimal.valueOf(60))).isEqualByComparingTo("1800");
    }

    /** 34 CFR 600.2: the same hours a week as for a semester credit, for ten to twelve weeks. */
    @Test
    void quarterCreditIsTenWeeksOfThreeHours() {
        assertThat(CreditWorth.Unit.QUARTER.usual().leastHours(BigDecimal.ONE)).isEqualByComparingTo("30");
    }

    /** A lecture and its lab: 60 minutes and 120 a week of 3 hours that the one credit of 45 hours implies leave none. */
    @Test
    void whatIsTakenTogetherCountsTogether() {
        Section lecture = section("GLAC 120")
                .entry("41001")
                .runs("full-term", FIFTEEN_WEEKS)
                .meets("Mon", "9:00-10:00")
                .build();
        Section lab = section("GLAC 120")
                .entry("41002")
                .runs("full-term", FIFTEEN_WEEKS)
                .meets("Tue", "9:00-11:00")
                .build();
        Workload workload = Workload.of(List.of(lecture, lab), Schedules.of(lecture, lab));

        assertThat(workload.classHoursAWeek()).isEqualByComparingTo("3");
        assertThat(workload.leastStudyAWeek()).as("of 3 credits").isEqualByComparingTo("6");
    }

    @Test
    void noWeekHasMoreThan168Hours() {
        CreditWorth semester = CreditWorth.Unit.SEMESTER.usual();

        assertThat(new Workload(BigDecimal.ZERO, 1, new BigDecimal("3.7"), semester).isMoreThanAWeekHolds())
                .isFalse();
        assertThat(new Workload(BigDecimal.ZERO, 1, new BigDecimal("3.8"), semester).isMoreThanAWeekHolds())
                .isTrue();
    }

    @Test
    void halfOfATermAsksForTwiceAsMuchAWeek() {
        Workload half = workload(section("GLAC 120").runs("first-half", HALF).meets("Mon Wed", "9:00-12:00"));

        assertThat(half.weeks()).isEqualTo(7);
        assertThat(half.classHoursAWeek()).isEqualByComparingTo("6");
        assertThat(half.leastStudyAWeek()).isEqualByComparingTo("13.3");
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

        assertThat(workload.leastStudyAWeek()).isEqualByComparingTo("0");
    }

    private static Workload workload(ample.ledger.core.fixtures.SectionBuilder builder) {
        Section section = builder.build();
        assertThat(section.course().credits()).as("the builder’s courses").isEqualByComparingTo("3");
        return Workload.of(List.of(section), Schedules.of(section));
    }
}

package ample.ledger.core.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.pick;
import static ample.ledger.core.plan.PlansOfTheKernel.plan;
import static ample.ledger.core.plan.PlansOfTheKernel.week;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class LoadTest {

    /** Common practice, no source: a waitlisted section counts zero credits until the seat is taken up. */
    @Test
    void aSectionThatIsWaitedForGivesNoCredit() {
        Plan plan = plan("NUMB 112 T1").adding(List.of(pick("TIDE 110 T2", Standing.WAITED_FOR)));

        Load.OfTerm autumn = Load.of(week(plan)).terms().get(0);

        assertThat(autumn.lines()).hasSize(2);
        assertThat(autumn.lines().get(1).waited()).isTrue();
        assertThat(autumn.credits())
                .isEqualByComparingTo(
                        PlansOfTheKernel.section("NUMB 112 T1").course().credits());
    }

    /** Common practice, no source: a course that spans two terms is listed in the first and gives each its share. */
    @Test
    void aCourseOfBothTermsGivesThisTermItsShare() {
        Load.OfTerm autumn =
                Load.of(week("GLAC 240d F3e", "GLAC 240d F3e-a")).terms().get(0);

        assertThat(autumn.lines())
                .as("its lab is no course of its own")
                .singleElement()
                .satisfies(line -> {
                    assertThat(line.share()).isTrue();
                    assertThat(line.credits())
                            .isLessThan(line.attendance().section().course().credits());
                });
    }

    @Test
    void fullTimeAndOverLoadAreWhatTheInstitutionPosts() {
        Load.OfTerm light = Load.of(week("NUMB 112 T1")).terms().get(0);
        Load.OfTerm heavy = Load.of(week(
                        "NUMB 112 T1", "TIDE 214 T1", "GLAC 240d F3e", "RHET 205 T1", "CART 210 F1", "MYCO 101 X1z"))
                .terms()
                .get(0);

        assertThat(light.isFullTime()).hasValue(false);
        assertThat(light.isOverLoad()).isFalse();
        assertThat(heavy.isFullTime()).hasValue(true);
        assertThat(heavy.isOverLoad()).isTrue();
        assertThat(heavy.overLoad().orElseThrow().meaning())
                .hasValueSatisfying(words -> assertThat(words).contains("18"));
    }

    @Test
    void hoursAreThoseOfTheDatesOfEachWeek() {
        Load load = Load.of(week("NUMB 112 T1"));
        Section section = PlansOfTheKernel.section("NUMB 112 T1");
        TermCalendar calendar = KERNEL.term().calendar();

        for (Load.Week one : load.weeks()) {
            int minutes = Stream.concat(section.meetings().stream(), section.exams().stream())
                    .mapToInt(meeting -> (int) calendar.datesOf(meeting.timing()).stream()
                                    .filter(date -> !date.isBefore(one.start())
                                            && date.isBefore(one.start().plusDays(7)))
                                    .count()
                            * meeting.timing().time().map(TimeRange::minutes).orElse(0))
                    .sum();
            assertThat(one.classMinutes()).as(one.start().toString()).isEqualTo(minutes);
        }
        assertThat(load.weeks())
                .filteredOn(one -> one.start().equals(LocalDate.of(2031, 10, 27)))
                .as("Harvest Week")
                .singleElement()
                .matches(one -> one.classMinutes() == 0);
    }

    /** 34 CFR 600.2: one hour in class and two of study for about fifteen weeks a credit. Half the weeks, twice the hours. */
    @Test
    void theHeaviestWeekIsThatOfMostHours() {
        Load load = Load.of(week("TIDE 214 T1", "TIDE 214 T1-a"));
        Load.Week heaviest = load.heaviest().orElseThrow();

        assertThat(load.weeks()).allSatisfy(other -> assertThat(other.hours()).isLessThanOrEqualTo(heaviest.hours()));
        Load.Week one = new Load.Week(LocalDate.of(2031, 9, 8), 100, new BigDecimal("1.5"), new BigDecimal("2.25"));
        assertThat(one.classHours()).as("100 minutes and an hour and a half").isEqualByComparingTo("3.2");
        assertThat(one.hours()).as("rounded once: 3.17 and 2.25").isEqualByComparingTo("5.4");
        assertThat(new Load.Week(one.start(), 0, BigDecimal.ZERO, new BigDecimal("29.45")).aboutHours())
                .as("not 29.5 rounded again")
                .isEqualByComparingTo("29");
        assertThat(Load.of(week()).heaviest()).isEmpty();
    }

    @Test
    void aHalfTermSectionNeedsTwiceAsMuchAWeek() {
        Schedule schedule = Schedules.of(SectionBuilder.section("TIDE 101")
                .entry("41001")
                .arrangedOnline("1")
                .build());
        BigDecimal whole = studyOfFirstWeek(schedule);
        Schedule half = Schedules.of(SectionBuilder.section("TIDE 101")
                .entry("41001")
                .runs(
                        "half",
                        new DateRange(
                                SectionBuilder.TERM.first(),
                                SectionBuilder.TERM.first().plusDays(51)))
                .build());

        assertThat(studyOfFirstWeek(half).doubleValue()).isGreaterThan(1.9 * whole.doubleValue());
    }

    private static BigDecimal studyOfFirstWeek(Schedule schedule) {
        Plan plan = Plan.empty("1", new SeasonCode("autumn-2031"), "Plan")
                .adding(List.of(new Pick(
                        new TermCode("autumn-2031"), schedule.sections().get(0).entry(), Standing.TAKEN)));
        return Load.of(PlannedWeek.of(plan, List.of(), new PostedSchedules(List.of(schedule))))
                .weeks()
                .get(0)
                .study();
    }

    @Test
    void freeDaysFirstAndLastHourAndTheLongestGap() {
        Section morning = SectionBuilder.section("TIDE 101")
                .entry("41001")
                .meets("Mon", "9:00-9:50")
                .build();
        Section noon = SectionBuilder.section("TIDE 102")
                .entry("41002")
                .meets("Mon Wed", "12:00-12:50")
                .build();
        Section evening = SectionBuilder.section("TIDE 103")
                .entry("41003")
                .meets("Mon", "17:00-18:50")
                .build();
        Schedule schedule = Schedules.of(morning, noon, evening);
        Plan plan = Plan.empty("1", new SeasonCode("autumn-2031"), "Plan")
                .adding(schedule.sections().stream()
                        .map(section -> new Pick(new TermCode("autumn-2031"), section.entry(), Standing.TAKEN))
                        .toList());

        Load load = Load.of(PlannedWeek.of(plan, List.of(), new PostedSchedules(List.of(schedule))));

        assertThat(load.freeDays()).isEqualTo(Days.of(DayOfWeek.TUESDAY, DayOfWeek.THURSDAY, DayOfWeek.FRIDAY));
        assertThat(load.earliest()).hasValue(LocalTime.of(9, 0));
        assertThat(load.latest()).hasValue(LocalTime.of(18, 50));
        assertThat(load.longestGap())
                .as("not from morning to evening: something is held between")
                .hasValue(new Load.Gap(DayOfWeek.MONDAY, TimeRange.of("12:50", "17:00")));
    }

    @Test
    void whatMustComeFirstIsSubmittedFirst() {
        List<Attendance> order = SubmissionOrder.of(
                week("TIDE 214 T1-a", "TIDE 214 T1", "MYCO 101 X1z", "NUMB 210 T1-a", "NUMB 210 T1"));

        assertThat(order)
                .extracting(Object::toString)
                .containsExactly("NUMB 210 T1", "NUMB 210 T1-a", "TIDE 214 T1", "TIDE 214 T1-a", "MYCO 101 X1z");
    }
}

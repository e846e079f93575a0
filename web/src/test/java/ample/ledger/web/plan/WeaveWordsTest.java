package ample.ledger.web.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.attendance;
import static ample.ledger.core.plan.PlansOfTheKernel.code;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.weave.Compatibility;
import ample.ledger.core.weave.Demand;
import ample.ledger.core.weave.Impossibility.Conflict;
import ample.ledger.core.weave.Weave;
import ample.ledger.core.weave.Weaver;
import ample.ledger.core.weave.Wish;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What came of a weaving, in words: how many weeks, why one has its rank, and why there is none. */
class WeaveWordsTest {

    private static final WeaveWords WORDS = new WeaveWords(ClockStyle.HOURS_24);
    private static final Demand.Want TIDE = want("TIDE", "214");
    private static final Demand.Want NUMB = want("NUMB", "112");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0    | 0     | true  | true  | true  | No week holds all that you want.",
                "1    | 1     | true  | true  | true  | One week holds what you want. None is better than these.",
                "1    | 4     | true  | true  | true  | One week holds what you want, 4 with sections of the same times told apart. None is better than these.",
                "1234 | 56789 | true  | false | true  | 1,234 weeks hold what you want, 56,789 with sections of the same times told apart. These are the best found before it was stopped.",
                "9000 | 9000  | false | true  | true  | More than 9,000 weeks hold what you want: too many to count them all. None is better than these.",
                "0    | 0     | false | false | false | How many weeks hold what you want is still being counted. These are the best found before it was stopped.",
            })
    void weeksAreCounted(long choices, long weighed, boolean exact, boolean proven, boolean counted, String words) {
        Weaver.Woven woven = new Weaver.Woven(new Compatibility.Count(choices, weighed, exact), List.of(), proven);
        assertThat(WORDS.count(woven, counted)).isEqualTo(words);
    }

    @ParameterizedTest
    @MethodSource
    void aWeekIsToldByHowFarItIsFromEachWish(Wish wish, double points, String words) {
        Weave week = new Weave(
                List.of(List.of(attendance("NUMB 112 T1"))), List.of(), 0, List.of(new Weave.Measure(wish, points)));
        assertThat(WORDS.reasons(week, List.of(NUMB))).containsExactly(words);
    }

    static Stream<Arguments> aWeekIsToldByHowFarItIsFromEachWish() {
        Days fridayAndMonday = Days.of(DayOfWeek.MONDAY).plus(Days.of(DayOfWeek.FRIDAY));
        return Stream.of(
                Arguments.of(new Wish.DaysFree(fridayAndMonday), 0, "Mon, Fri free"),
                Arguments.of(new Wish.DaysFree(fridayAndMonday), Wish.FREE_DAY, "class on Mon, Fri"),
                Arguments.of(new Wish.DaysFree(Days.ALL), 3 * Wish.FREE_DAY, "3 days of class"),
                Arguments.of(new Wish.DaysFree(Days.ALL), Wish.FREE_DAY, "1 day of class"),
                Arguments.of(new Wish.NotBefore(LocalTime.of(9, 0)), 40, "40 min before 9:00 a week"),
                Arguments.of(new Wish.NotBefore(LocalTime.of(9, 0)), 0, "nothing before 9:00"),
                Arguments.of(new Wish.NotAfter(LocalTime.of(17, 0)), 90, "1 h 30 min after 17:00 a week"),
                Arguments.of(new Wish.TaughtBy("Brimsole"), Wish.ONE_TIME, "not all with Brimsole"),
                Arguments.of(Wish.Plain.FEW_GAPS, 0, "no gaps"),
                Arguments.of(Wish.Plain.FEW_GAPS, 125.4, "2 h 5 min of gaps a week"),
                Arguments.of(Wish.Plain.ONE_CAMPUS, 2 * Wish.ONE_TIME, "campus changed 2 times a week"),
                Arguments.of(Wish.Plain.ONE_CAMPUS, 20, "campus changed once a week"),
                Arguments.of(Wish.Plain.LUNCH, Wish.ONE_TIME, "no lunch once a week"),
                Arguments.of(Wish.Plain.LUNCH, 0, "lunch kept free"),
                Arguments.of(Wish.Plain.SEATS_TO_SPARE, 20, "few seats in some"),
                Arguments.of(Wish.Plain.SHORT_DAYS, 30, "days 30 min too long in all"));
    }

    @Test
    void withoutAWishItIsToldByItsDaysAndHoursAndWhatIsLeftOut() {
        Attendance numb = attendance("NUMB 112 T1");
        int days = numb.section().days().size();
        Weave week = new Weave(List.of(List.of(numb), List.of()), List.of(), 0, List.of());

        List<String> reasons = WORDS.reasons(week, List.of(NUMB, TIDE));

        assertThat(reasons).hasSize(3).startsWith(days + (days == 1 ? " day" : " days") + " of class");
        assertThat(reasons.get(1))
                .isEqualTo(ClockStyle.HOURS_24.format(numb.stays().get(0).time()));
        assertThat(reasons.get(2)).isEqualTo("without TIDE 214");
    }

    @ParameterizedTest
    @MethodSource
    void whyThereIsNoneIsSaid(List<Demand.Want> wants, List<Demand> because, String words) {
        assertThat(WORDS.conflict(new Conflict(wants, because))).isEqualTo(words);
    }

    static Stream<Arguments> whyThereIsNoneIsSaid() {
        return Stream.of(
                Arguments.of(
                        List.of(TIDE), List.of(), "TIDE 214 has no section that fits everything else you ask for."),
                Arguments.of(List.of(TIDE, NUMB), List.of(), "TIDE 214 and NUMB 112 cannot go together."),
                Arguments.of(
                        List.of(TIDE),
                        List.of(closed("mon:9:00-12:00"), closed("tue")),
                        "TIDE 214 does not fit because of the free hours Mon 9:00–12:00 and the free hours Tue."),
                Arguments.of(
                        List.of(TIDE, NUMB),
                        List.of(new Demand.Busy(
                                new BusyTime("Ferry crew", SectionBuilder.weekly("Tue", "12:00-17:00", 1)))),
                        "TIDE 214 and NUMB 112 cannot go together; they could without your “Ferry crew”."),
                Arguments.of(
                        List.of(eitherOf()),
                        List.of(
                                new Demand.Kept(attendance("NUMB 112 T1")),
                                new Demand.Pinned(attendance("TIDE 214 T1")),
                                new Demand.Refused(attendance("TIDE 214 T2")),
                                new Demand.Brief()),
                        "TIDE 214 or NUMB 112 does not fit because of NUMB 112 T1 of your plan and keeping TIDE 214 T1"
                                + " and refusing TIDE 214 T2 and the brief."));
    }

    @Test
    void whatWouldHelpIsToBeGivenUp() {
        assertThat(WORDS.loosening(List.of(TIDE, closed("fri:13:00-24:00"))))
                .isEqualTo("leave out TIDE 214, and give up the free hours Fri from 13:00");
    }

    private static Demand.Closed closed(String stretch) {
        return new Demand.Closed(
                WeekHours.parse(stretch).orElseThrow().stretches().get(0));
    }

    private static Demand.Want want(String subject, String number) {
        return new Demand.Want(List.of(course(subject, number)), true);
    }

    private static Demand.Want eitherOf() {
        return new Demand.Want(List.of(course("TIDE", "214"), course("NUMB", "112")), true);
    }

    private static Course course(String subject, String number) {
        return KERNEL.course(code(subject, number)).orElseThrow();
    }
}

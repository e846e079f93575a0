package ample.ledger.core.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.SEASON;
import static ample.ledger.core.plan.PlansOfTheKernel.pick;
import static ample.ledger.core.plan.PlansOfTheKernel.plan;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.exchange.PlanJson;
import ample.ledger.core.exchange.PlanJson.FaultyPlanException;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.EntryNumber;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlanBookTest {

    @Test
    void noMorePicksAndLettersThanCanBeKept() {
        Plan plan = Plan.empty("1", PlansOfTheKernel.SEASON, "x".repeat(Plan.LONGEST_NAME));
        List<Pick> sixty = IntStream.range(0, Plan.MOST_PICKS)
                .mapToObj(i -> new Pick(PlansOfTheKernel.TERM, new EntryNumber("" + (41_000 + i)), Standing.TAKEN))
                .toList();
        Pick more = PlansOfTheKernel.unknown();

        assertThat(plan.named("y".repeat(Plan.LONGEST_NAME + 1)).name()).hasSize(Plan.LONGEST_NAME);
        assertThat(plan.name()).hasSize(Plan.LONGEST_NAME);
        assertThat(plan.adding(sixty).adding(List.of(more)).picks()).isEqualTo(sixty);
        assertThat(plan.adding(sixty)
                        .replacing(List.of(sixty.get(0), sixty.get(1)), List.of(more))
                        .picks())
                .hasSize(Plan.MOST_PICKS - 1)
                .startsWith(more, sixty.get(2));
    }

    @Test
    void aNameThatIsTakenGetsTheNextNumber() {
        PlanBook book = PlanBook.EMPTY
                .bringing(PlansOfTheKernel.plan("TIDE 110 T1"))
                .bringing(PlansOfTheKernel.plan("TIDE 110 T2"))
                .bringing(PlansOfTheKernel.plan("NUMB 112 T1"));

        assertThat(book.ofSeason(PlansOfTheKernel.SEASON))
                .extracting(Plan::name)
                .containsExactly("Plan A", "Plan A 2", "Plan A 3");
    }

    private static final Pick TIDE = pick("TIDE 214 T1", Standing.TAKEN);
    private static final Pick NUMB = pick("NUMB 112 T1", Standing.TAKEN);

    @Test
    void everyChangeCanBeTakenBackAndMakesANewVersion() {
        PlanBook one = PlanBook.EMPTY.changing(SEASON, "TIDE taken in", plan -> plan.adding(List.of(TIDE)));
        PlanBook two = one.changing(SEASON, "NUMB taken in", plan -> plan.adding(List.of(NUMB)));
        PlanBook other = two.copying(SEASON, "Plan B").changing(SEASON, "emptied", plan -> plan.removing(pick -> true));

        assertThat(two.version()).isEqualTo(2);
        assertThat(two.undone().plans()).isEqualTo(one.plans());
        assertThat(two.undone().version()).isEqualTo(3);
        assertThat(two.undone().undone().plans()).isEmpty();
        assertThat(other.current(SEASON).picks()).isEmpty();
        assertThat(other.undone().undone().current(SEASON)).isEqualTo(two.current(SEASON));
        assertThat(other.dropping(SEASON, "2").undone().ofSeason(SEASON)).hasSize(2);
        assertThat(two.changing(SEASON, "nothing", plan -> plan)).isSameAs(two);
    }

    @Test
    void onlyTheLatestChangesAreKeptAndOnlySoManyPlans() {
        PlanBook book = PlanBook.EMPTY;
        for (int i = 0; i < 50; i++) {
            String words = "notes " + i;
            book = book.changing(SEASON, words, plan -> plan.noted(words)).beginning(SEASON, "Plan " + i);
        }

        assertThat(book.past()).hasSize(PlanBook.MOST_PAST);
        assertThat(book.ofSeason(SEASON)).hasSize(PlanBook.MOST_PLANS);
    }

    @Test
    void aPlanIsNamedAnewButNeverWithNothing() {
        Plan plan = plan("TIDE 214 T1");

        assertThat(plan.named("Plan B").name()).isEqualTo("Plan B");
        assertThat(plan.named("Plan B").picks()).isEqualTo(plan.picks());
        assertThat(plan.named("  ")).isEqualTo(plan);
    }

    @Test
    void theOldestChangeIsForgottenFirst() {
        PlanBook.Change first = new PlanBook.Change("first", "1", SEASON, Optional.empty(), Optional.empty());
        PlanBook.Change second = new PlanBook.Change("second", "1", SEASON, Optional.empty(), Optional.empty());
        PlanBook book = new PlanBook(7, List.of(), Map.of(), List.of(first, second));

        assertThat(book.forgettingTheOldestChange().past()).containsExactly(second);
        assertThat(book.forgettingTheOldestChange().version()).isEqualTo(7);
        PlanBook none = new PlanBook(7, List.of(), Map.of(), List.of());
        assertThat(none.forgettingTheOldestChange()).isEqualTo(none);
    }

    @Test
    void aBusyTimeIsWhatItIsCalledAndWhenItIs() {
        BusyTime shift = new BusyTime("shift", SectionBuilder.weekly("Mon", "8:30-12:00", 1));

        assertThat(shift)
                .hasToString("shift")
                .isEqualTo(new BusyTime("shift", SectionBuilder.weekly("Mon", "8:30-12:00", 1)))
                .hasSameHashCodeAs(new BusyTime("shift", SectionBuilder.weekly("Mon", "8:30-12:00", 1)))
                .isNotEqualTo(new BusyTime("choir", SectionBuilder.weekly("Mon", "8:30-12:00", 1)))
                .isNotEqualTo(new BusyTime("shift", SectionBuilder.weekly("Mon", "8:30-12:15", 1)));
        assertThat(shift.hashCode()).isNotZero();
    }

    @Test
    void aGuestsPlansAreTakenOverOnce() {
        PlanBook guest = PlanBook.EMPTY.changing(SEASON, "x", plan -> plan.adding(List.of(TIDE)));
        PlanBook student = PlanBook.EMPTY.changing(SEASON, "y", plan -> plan.adding(List.of(NUMB)));

        PlanBook adopted = student.adopting(guest);

        assertThat(adopted.ofSeason(SEASON)).extracting(Plan::name).containsExactly("Plan A", "Plan A 2");
        assertThat(adopted.current(SEASON).picks()).containsExactly(TIDE);
        assertThat(student.adopting(student)).isSameAs(student);
    }

    @Test
    void aSectionStandsOnceAndIsReplacedInItsPlace() {
        Plan plan = plan("TIDE 214 T1", "NUMB 112 T1", "MYCO 101 X1z");
        Pick other = pick("NUMB 112 T2", Standing.TAKEN);

        assertThat(plan.adding(List.of(pick("TIDE 214 T1", Standing.BESIDE))).picks())
                .hasSize(3)
                .startsWith(pick("TIDE 214 T1", Standing.BESIDE));
        assertThat(plan.replacing(List.of(NUMB), List.of(other)).picks())
                .containsExactly(TIDE, other, plan.picks().get(2));
    }

    @Test
    void plansAndBooksComeBackAsTheyWereWritten() {
        BusyTime shift = new BusyTime(
                "Ferry “crew”",
                SectionBuilder.weekly("Fri Sat", "11:30-13:00", 2),
                new TreeSet<>(Set.of(LocalDate.of(2031, 9, 19))));
        BusyTime once =
                new BusyTime("Dentist", new Timing.Once(LocalDate.of(2031, 10, 2), TimeRange.of("9:00", "10:00")));
        Plan plan = plan("TIDE 214 T1", "NUMB 112 T1")
                .adding(List.of(pick("TIDE 110 T2", Standing.WAITED_FOR), pick("MYCO 101 X1z", Standing.BESIDE)))
                .busy(none -> List.of(shift, once))
                .noted("Ask about\nthe field day. <b>");
        PlanBook book =
                PlanBook.EMPTY.putting("begun", plan).copying(SEASON, "Plan B").dropping(SEASON, "1");

        assertThat(PlanJson.read(PlanJson.write(plan), "1")).isEqualTo(plan);
        assertThat(PlanJson.readBook(PlanJson.writeBook(book))).isEqualTo(book);
    }

    /** 286 bytes that kept a processor busy for minutes: every date between the years 1 and 200,000,000 was walked through. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"first\":\"0001-01-01\",\"last\":\"+200000000-12-31\" | A date is written as in 2031-09-08.",
                "\"first\":\"2031-09-08\",\"last\":\"+999999999-12-31\" | A date is written as in 2031-09-08.",
                "\"first\":\"2031-09-08\",\"last\":\"2040-09-08\"       | 2040-09-08 is in no year for which",
                "\"first\":\"1999-09-08\",\"last\":\"2031-12-19\"       | 1999-09-08 is in no year for which",
                "\"date\":\"2033-01-01\"                                | those are 2031 to 2032",
            })
    void datesOutsideThePostedYearsAreRefused(String dates, String says) {
        String plan = """
                {"format":"ample-ledger-plan","version":1,"name":"A","season":"autumn-2031",
                 "busy":[{"label":"x","days":["monday"],%s,"starts":"9:00","ends":"10:00"}]}
                """.formatted(dates);

        Assertions.assertThatThrownBy(() ->
                        PlanJson.read(plan, "1", new DateRange(LocalDate.of(2031, 1, 1), LocalDate.of(2032, 12, 31))))
                .isInstanceOf(FaultyPlanException.class)
                .hasMessageContaining("busy[0]: ")
                .hasMessageContaining(says);
    }

    @Test
    void aBusyTimeRepeatsForThreeYearsAtMost() {
        DateRange years = new DateRange(LocalDate.of(2031, 1, 1), LocalDate.of(2034, 12, 31));

        Assertions.assertThatThrownBy(
                        () -> new Timing.Weekly(Days.of(DayOfWeek.FRIDAY), TimeRange.of("9:00", "10:00"), years, 1))
                .hasMessageContaining("160 weeks at most");
    }

    /** What lies stored from before there was a limit does not keep a student from the rest of it. */
    @Test
    void aStoredBookIsReadWithoutWhatNoneKeepsAnyLonger() {
        PlanBook book = PlanJson.readBook("""
                {"version":7,"plans":[{"id":"1","name":"Plan A","season":"autumn-2031","notes":"Ask\\u0000 about\\ud800 it",
                 "sections":[{"term":"autumn-2031","entry":"40127"}],
                 "busy":[{"label":"endless","days":["monday"],"first":"0001-01-01","last":"+200000000-12-31","starts":"9:00","ends":"10:00"},
                         {"label":"shift","date":"2031-10-02","starts":"9:00","ends":"10:00"}]}]}
                """);

        assertThat(book.version()).isEqualTo(7);
        assertThat(book.current(SEASON).busy()).extracting(BusyTime::label).containsExactly("shift");
        assertThat(book.current(SEASON).picks()).hasSize(1);
        assertThat(book.current(SEASON).notes()).isEqualTo("Ask about it");
    }

    @Test
    void aPlanIsBroughtInOnceAndNotBesideTwelveOthers() {
        PlanBook book = PlanBook.EMPTY.bringing(plan("TIDE 214 T1"));
        assertThat(book.bringing(plan("TIDE 214 T1"))).isSameAs(book);

        for (int i = 0; i < 40; i++) {
            String words = "notes " + i;
            book = book.bringing(plan("TIDE 214 T1").noted(words));
        }
        assertThat(book.ofSeason(SEASON)).hasSize(PlanBook.MOST_PLANS);
        for (int i = 0; i < 40; i++) {
            String words = "guest's notes " + i;
            book = book.adopting(PlanBook.EMPTY.changing(SEASON, "noted", plan -> plan.noted(words)));
        }
        assertThat(book.ofSeason(SEASON)).hasSize(PlanBook.MOST_ADOPTED);
    }

    @Test
    void everyFaultOfAPlanIsNamedWithWhereItIs() {
        Assertions.assertThatThrownBy(() -> PlanJson.read("[1,", "1"))
                .isInstanceOf(FaultyPlanException.class)
                .hasMessageContaining("not JSON");
        Assertions.assertThatThrownBy(() -> PlanJson.read("{\"format\":\"other\"}", "1"))
                .hasMessageContaining("not a plan");
        Assertions.assertThatThrownBy(() -> PlanJson.read("""
                        {"format":"ample-ledger-plan","version":1,"name":" ","season":"Autumn!",
                         "sections":[{"term":"autumn-2031","entry":"12"},{"entry":"40127","standing":"maybe"}],
                         "busy":[{"label":"x","date":"2031-02-30","starts":"9","ends":"10"},
                                 {"label":"x","days":["mon"],"first":"2031-09-08","last":"2031-12-19","starts":"10","ends":"9"}]}
                        """, "1"))
                .isInstanceOfSatisfying(
                        FaultyPlanException.class,
                        faulty -> assertThat(faulty.faults())
                                .hasSize(7)
                                .anyMatch(fault -> fault.startsWith("sections[0].entry: "))
                                .anyMatch(fault -> fault.startsWith("sections[1].standing: "))
                                .anyMatch(fault -> fault.startsWith("sections[1].term: "))
                                .anyMatch(fault -> fault.startsWith("busy[0]: "))
                                .anyMatch(fault -> fault.startsWith("busy[1]: ")));
    }
}

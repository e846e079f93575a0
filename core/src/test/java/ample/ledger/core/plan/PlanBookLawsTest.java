package ample.ledger.core.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.SEASON;
import static ample.ledger.core.plan.PlansOfTheKernel.TERM;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.exchange.PlanJson;
import ample.ledger.core.schedule.SeasonCode;
import java.time.LocalDate;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** What holds of the plans of a student whatever was done to them. */
class PlanBookLawsTest {

    /** Something that is done to the plans, and what it would be called. */
    private record Act(String name, UnaryOperator<PlanBook> on) {

        @Override
        public String toString() {
            return name;
        }
    }

    @Property(tries = 300)
    void whateverIsTakenBackIsAsItWasBefore(@ForAll("acts") List<Act> acts, @ForAll("act") Act last) {
        PlanBook before = after(acts);
        PlanBook done = last.on().apply(before);

        if (done.past().equals(before.past())) {
            assertThat(done.plans())
                    .as("not to be taken back, as no plan was changed")
                    .isEqualTo(before.plans());
        } else {
            PlanBook back = done.undone();
            assertThat(back.plans()).containsExactlyInAnyOrderElementsOf(before.plans());
            assertThat(back.current(SEASON)).isEqualTo(before.current(SEASON));
            assertThat(back.version()).isGreaterThan(done.version());
        }
    }

    @Property(tries = 200)
    void everythingCanBeTakenBackStepByStep(@ForAll("acts") List<Act> acts) {
        PlanBook book = after(acts);
        boolean whole = book.past().size() < PlanBook.MOST_PAST;
        while (!book.past().isEmpty()) {
            book = book.undone();
        }

        assertThat(book.undone()).isSameAs(book);
        if (whole) {
            assertThat(book.plans()).isEmpty();
        }
    }

    @Property(tries = 200)
    void plansHaveIdsOfTheirOwnAndTheOneLookedAtIsThere(@ForAll("acts") List<Act> acts) {
        PlanBook book = after(acts);

        for (SeasonCode season : List.of(SEASON, new SeasonCode("spring-2032"))) {
            assertThat(book.ofSeason(season))
                    .hasSizeLessThanOrEqualTo(PlanBook.MOST_PLANS)
                    .extracting(Plan::id)
                    .doesNotHaveDuplicates();
            if (!book.ofSeason(season).isEmpty()) {
                assertThat(book.ofSeason(season)).contains(book.current(season));
            }
        }
        assertThat(book.current())
                .containsExactlyInAnyOrderElementsOf(Stream.of(SEASON, new SeasonCode("spring-2032"))
                        .filter(season -> !book.ofSeason(season).isEmpty())
                        .map(book::current)
                        .toList());
    }

    @Property(tries = 200)
    void aBookComesBackAsItWasWritten(@ForAll("acts") List<Act> acts) {
        PlanBook book = after(acts);
        assertThat(PlanJson.readBook(PlanJson.writeBook(book))).isEqualTo(book);
        for (Plan plan : book.plans()) {
            assertThat(PlanJson.read(PlanJson.write(plan), plan.id())).isEqualTo(plan);
        }
    }

    @Property(tries = 200)
    void aGuestsPlansComeBesideTheStudentsAndASecondTimeChangeNothing(
            @ForAll("acts") List<Act> students, @ForAll("acts") List<Act> guests) {
        PlanBook student = after(students);
        PlanBook guest = after(guests);

        PlanBook both = student.adopting(guest);

        assertThat(both.plans()).containsAll(student.plans());
        assertThat(both.plans())
                .map(PlanBookLawsTest::held)
                .containsAll(guest.plans().stream().map(PlanBookLawsTest::held).toList());
        assertThat(both.adopting(guest)).isSameAs(both);
        assertThat(both.ofSeason(SEASON)).extracting(Plan::id).doesNotHaveDuplicates();
    }

    @Example
    void noPlanOfAGuestIsLostToAStudentWhoHasEnough() {
        PlanBook student = PlanBook.EMPTY;
        for (int i = 0; i < PlanBook.MOST_PLANS; i++) {
            student = student.beginning(SEASON, "Plan " + i);
        }
        PlanBook guest = PlanBook.EMPTY.changing(SEASON, "noted", plan -> plan.noted("made as a guest"));

        assertThat(student.adopting(guest).current(SEASON).notes()).isEqualTo("made as a guest");
    }

    /** What is in a plan, whatever it is called. */
    private static Plan held(Plan plan) {
        return plan.copy("", "x");
    }

    private static PlanBook after(List<Act> acts) {
        PlanBook book = PlanBook.EMPTY;
        for (Act act : acts) {
            book = act.on().apply(book);
        }
        return book;
    }

    @Provide
    Arbitrary<List<Act>> acts() {
        return act().list().ofMaxSize(12);
    }

    @Provide
    Arbitrary<Act> act() {
        Arbitrary<SeasonCode> seasons = Arbitraries.of(SEASON, SEASON, new SeasonCode("spring-2032"));
        Arbitrary<Integer> numbers = Arbitraries.integers().between(1, 4);
        return Arbitraries.oneOf(
                Combinators.combine(seasons, picks()).as(PlanBookLawsTest::taking),
                Combinators.combine(seasons, numbers).as(PlanBookLawsTest::noting),
                Combinators.combine(seasons, numbers).as(PlanBookLawsTest::busy),
                seasons.map(season -> new Act("begin in " + season, book -> book.beginning(season, "Begun"))),
                seasons.map(season -> new Act("copy in " + season, book -> book.copying(season, "Copied"))),
                Combinators.combine(seasons, numbers)
                        .as((season, id) ->
                                new Act("drop " + id + " of " + season, book -> book.dropping(season, "" + id))),
                Combinators.combine(seasons, numbers)
                        .as((season, id) ->
                                new Act("look at " + id + " of " + season, book -> book.looking(season, "" + id))));
    }

    private static Arbitrary<Pick> picks() {
        return Combinators.combine(Arbitraries.of(KERNEL.sections()), Arbitraries.of(Standing.class))
                .as((section, standing) -> new Pick(TERM, section.entry(), standing));
    }

    private static Act taking(SeasonCode season, Pick pick) {
        return new Act(
                "take " + pick.entry() + " in " + season,
                book -> book.changing(season, "taken in", plan -> plan.adding(List.of(pick))));
    }

    private static Act noting(SeasonCode season, int number) {
        return new Act(
                "note in " + season, book -> book.changing(season, "noted", plan -> plan.noted("notes " + number)));
    }

    private static Act busy(SeasonCode season, int number) {
        BusyTime time = new BusyTime(
                "shift " + number,
                new Timing.Once(LocalDate.of(2031, 10, number), TimeRange.of("9:00", "1" + number + ":00")));
        return new Act(
                "busy in " + season, book -> book.changing(season, "busy", plan -> plan.busy(none -> List.of(time))));
    }
}

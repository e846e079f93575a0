package ample.ledger.core.browse.answer;

import static ample.ledger.core.fixtures.SectionBuilder.days;
import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.Between;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Entries;
import ample.ledger.core.browse.brief.Having;
import ample.ledger.core.browse.brief.Not;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Seats;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Kind;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Whether a section fits is judged with its companions. */
class CompleteSetsTest {

    private static final Campus FELL = new Campus(new CampusCode("upper-fell"), "Upper Fell", false);

    @Test
    void aLectureFitsOnlyWhenOneOfItsLabsDoes() {
        TermIndex index = Schedules.indexOf(
                lecture().meets("Mon Wed", "9:00-9:50").build(),
                lab("a").meets("Fri", "9:00-10:50").build(),
                lab("b").meets("Mon", "14:00-15:50").build());

        assertThat(codes(index, new OnDays(OnDays.Rule.ONLY, days("Mon Wed")))).containsExactly("L", "b");
        assertThat(codes(index, new OnDays(OnDays.Rule.ONLY, days("Mon Wed")), until("12:00")))
                .isEmpty();
        assertThat(codes(index, new OnDays(OnDays.Rule.ANY, days("Fri")))).containsExactly("a");
    }

    @Test
    void aLabThatClashesWithItsLectureCompletesNothing() {
        TermIndex index = Schedules.indexOf(
                lecture().meets("Mon", "9:00-9:50").build(),
                lab("a").meets("Mon", "9:30-10:50").build(),
                lab("b").meets("Tue", "9:30-10:50").at(FELL).build());

        assertThat(codes(index)).containsExactly("L", "b");
        assertThat(Findings.of(Schedules.now(index), Brief.EVERYTHING).account().incomplete())
                .isEqualTo(1);
        assertThat(codes(index, Having.any(Facet.CAMPUS, Set.of("tidewall")))).isEmpty();
    }

    @Test
    void twoHalvesOfATermDoNotClash() {
        DateRange first = new DateRange(SectionBuilder.TERM.first(), LocalDate.of(2031, 10, 24));
        DateRange second = new DateRange(LocalDate.of(2031, 11, 3), SectionBuilder.TERM.last());
        TermIndex index = Schedules.indexOf(
                lecture().runs("first-half", first).meets("Mon", "9:00-9:50").build(),
                lab("a").runs("second-half", second).meets("Mon", "9:00-9:50").build());

        assertThat(codes(index)).containsExactly("L", "a");
    }

    @Test
    void ofEachChoiceOneIsNeeded() {
        Section discussion = section("TIDE 214")
                .entry("40400")
                .code("d")
                .meets("Thu", "9:00-9:50")
                .companion("discussion", Optional.empty())
                .build();
        TermIndex index = Schedules.indexOf(
                lecture().meets("Mon", "9:00-9:50").build(),
                lab("a").meets("Tue", "9:00-9:50").build(),
                discussion);

        assertThat(codes(index, new OnDays(OnDays.Rule.NONE, days("Thu")))).isEmpty();
        assertThat(codes(index, Having.any(Facet.KIND, Set.of("lab")))).containsExactly("a");
    }

    /** Common practice, no source: three seats open and nobody waiting, which may be spread over the groups. */
    @Test
    void aSafePickMaySpreadItsSeatsOverTheGroups() {
        Seats safe = new Seats(3, OptionalInt.of(0));

        assertThat(codes(groups(1, 1, 1, 0), safe)).containsExactly("L");
        assertThat(codes(groups(1, 1, 0, 0), safe)).isEmpty();
        assertThat(codes(groups(3, 0, 0, 0), safe)).containsExactly("L", "a");
        // The seats of a group with people waiting are not there to be had.
        assertThat(codes(groups(1, 1, 5, 2), safe)).isEmpty();
        assertThat(codes(groups(1, 1, 5, 2), new Seats(3, OptionalInt.empty()))).containsExactly("L", "c");
        assertThat(codes(groups(1, 1, 0, 0), new Not(safe))).containsExactly("L", "a", "b", "c");
    }

    @Test
    void seatsOfGroupsThatDoNotFitTheBriefDoNotMakeASetThatDoes() {
        TermIndex index = Schedules.indexOf(
                lecture().seats(40, 30, 0).meets("Mon", "9:00-9:50").build(),
                lab("a").seats(10, 10, 0).meets("Tue", "9:00-9:50").build(),
                lab("b").seats(10, 2, 0).meets("Fri", "9:00-9:50").build());

        assertThat(codes(index, new Seats(3, OptionalInt.empty()))).containsExactly("L", "b");
        assertThat(codes(index, new Seats(3, OptionalInt.empty()), new OnDays(OnDays.Rule.NONE, days("Fri"))))
                .isEmpty();
    }

    /** Readers beside a writer: an answer is of one moment, in which two sections of one pool have the same seats. */
    @Test
    void answersAreOfOneMomentWhileSeatsChange() throws Exception {
        TermIndex index = new TermIndex(Schedules.kernelSchedule(), Schedules.TODAY);
        Section one = index.schedule().sections().stream()
                .filter(section -> !index.schedule().twinsOf(section).isEmpty()
                        && section.companion().isEmpty())
                .findFirst()
                .orElseThrow();
        Section twin = index.schedule().twinsOf(one).get(0);
        Brief open = Brief.of(new Entries(Set.of(one.entry(), twin.entry())), new Seats(1, OptionalInt.empty()));
        int capacity = one.pool().capacity();
        AtomicBoolean done = new AtomicBoolean();
        ExecutorService readers = Executors.newFixedThreadPool(2);
        List<Future<Boolean>> answers = Stream.of(1, 2)
                .map(reader -> readers.submit(() -> {
                    boolean whole = true;
                    while (!done.get()) {
                        Findings findings = Findings.of(Schedules.now(index), open);
                        whole &= findings.size() != 1
                                && findings.fitting().size()
                                        == findings.account().left();
                    }
                    return whole;
                }))
                .toList();
        for (int change = 0; change <= 2000; change++) {
            SeatPool.Count full = new SeatPool.Count(capacity, 0, 0);
            index.seatsNow(Map.of(one.pool().code(), change % 2 == 0 ? full : new SeatPool.Count(0, 0, 0)));
        }
        done.set(true);
        for (Future<Boolean> answer : answers) {
            assertThat(answer.get()).isTrue();
        }
        readers.shutdown();
        assertThat(Findings.of(Schedules.now(index), open).size()).isZero();
        assertThat(Schedules.now(index).reading(one).open()).isZero();
    }

    private static TermIndex groups(int first, int second, int third, int waitingForThird) {
        return Schedules.indexOf(
                lecture().seats(60, 30, 0).meets("Mon", "9:00-9:50").build(),
                lab("a").seats(10, 10 - first, 0).meets("Tue", "9:00-9:50").build(),
                lab("b").seats(10, 10 - second, 0).meets("Wed", "9:00-9:50").build(),
                lab("c").seats(10, 10 - third, waitingForThird)
                        .meets("Thu", "9:00-9:50")
                        .build());
    }

    private static SectionBuilder lecture() {
        return section("TIDE 214").entry("40100").code("L");
    }

    private static SectionBuilder lab(String code) {
        return section("TIDE 214")
                .entry("402" + (int) code.charAt(0))
                .code(code)
                .kind(Kind.LAB)
                .companion("lab", Optional.of("40100"));
    }

    private static Between until(String time) {
        return new Between(Optional.empty(), Optional.of(LocalTime.parse(time)));
    }

    private static List<String> codes(TermIndex index, Condition... conditions) {
        return Findings.of(Schedules.now(index), Brief.of(conditions)).fitting().stream()
                .map(Section::code)
                .toList();
    }
}

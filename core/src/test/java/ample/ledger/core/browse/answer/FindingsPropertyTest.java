package ample.ledger.core.browse.answer;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Having;
import ample.ledger.core.browse.brief.Not;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Seats;
import ample.ledger.core.browse.brief.Timed;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Order;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.fixtures.PlainPerson;
import ample.ledger.core.fixtures.PlainReading;
import ample.ledger.core.fixtures.RandomBriefs;
import ample.ledger.core.fixtures.RandomPeople;
import ample.ledger.core.fixtures.RandomSchedules;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.ShrinkingMode;

/** The index against the plain reading of the definitions, and the laws of the account, over random briefs. */
class FindingsPropertyTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();

    /** A schedule, its index, its plain reading and a brief for it. */
    record Case(PostedSchedules posted, TermIndex index, PlainPerson person, PlainReading plain, Brief brief) {

        Schedule schedule() {
            return index.schedule();
        }

        Moment moment() {
            return index.now(person.background(), posted);
        }

        Findings findings() {
            return Findings.of(moment(), brief);
        }

        @Override
        public String toString() {
            return brief + " for " + person + " over " + schedule().sections();
        }
    }

    /** Half of them over the demo's kernel, half over small random schedules. */
    @Provide
    Arbitrary<Case> cases() {
        TermIndex kernel = new TermIndex(KERNEL, Schedules.TODAY);
        return Arbitraries.oneOf(
                cases(KERNEL, kernel),
                RandomSchedules.schedules()
                        .flatMap(schedule -> cases(schedule, new TermIndex(schedule, Schedules.TODAY))));
    }

    private static Arbitrary<Case> cases(Schedule schedule, TermIndex index) {
        PlainReading plain = new PlainReading(schedule);
        PostedSchedules posted = Schedules.alone(schedule);
        return Combinators.combine(RandomPeople.of(schedule), RandomBriefs.of(schedule))
                .as((person, brief) -> new Case(posted, index, person, plain.as(person), brief));
    }

    @Property(tries = 600, shrinking = ShrinkingMode.OFF)
    void listAndAccountEqualThePlainReading(@ForAll("cases") Case each) {
        assertThat(each.findings().fitting()).isEqualTo(each.plain().fitting(each.brief()));
        assertThat(each.findings().account()).isEqualTo(each.plain().account(each.brief()));
    }

    @Property(tries = 250, shrinking = ShrinkingMode.OFF)
    void anEmptyAnswerNamesEverySmallestWayBack(@ForAll("cases") Case each) {
        List<Findings.WayBack> ways = each.findings().waysBack();
        for (Findings.WayBack way : ways) {
            List<Condition> kept = new ArrayList<>(each.brief().conditions());
            kept.removeAll(way.dropped());
            assertThat(each.plain().fitting(kept)).hasSize(way.sections()).isNotEmpty();
            for (Condition spared : way.dropped()) {
                List<Condition> one = new ArrayList<>(kept);
                one.add(spared);
                assertThat(each.plain().fitting(one)).isEmpty();
            }
        }
        boolean nothing = each.plain().fitting(each.brief()).isEmpty()
                && !each.plain().fitting(List.of()).isEmpty();
        assertThat(ways.isEmpty()).isEqualTo(!nothing);
        if (nothing) {
            assertThat(ways).extracting(Findings.WayBack::dropped).containsAll(smallestByTrying(each));
        }
    }

    /** Every set of conditions, the small ones first, that brings something back and holds no other that does. */
    private static List<List<Condition>> smallestByTrying(Case each) {
        List<Condition> all = each.brief().conditions();
        List<List<Condition>> smallest = new ArrayList<>();
        IntStream.range(1, 1 << all.size())
                .boxed()
                .sorted(Comparator.comparing(Integer::bitCount))
                .map(mask -> IntStream.range(0, all.size())
                        .filter(i -> (mask & 1 << i) != 0)
                        .mapToObj(all::get)
                        .toList())
                .filter(dropped -> smallest.stream().noneMatch(dropped::containsAll))
                .filter(dropped -> {
                    List<Condition> kept = new ArrayList<>(all);
                    kept.removeAll(dropped);
                    return !each.plain().fitting(kept).isEmpty();
                })
                .forEach(smallest::add);
        return smallest;
    }

    @Property(tries = 150, shrinking = ShrinkingMode.OFF)
    void everyValueIsCountedWithTheOtherConditionsAsTheyAre(@ForAll("cases") Case each) {
        ValueCounts counts = each.findings().valueCounts();

        for (Facet facet : Facet.values()) {
            Map<String, Integer> expected = facet.values(each.schedule()).stream()
                    .collect(Collectors.toMap(
                            Facet.Value::code, value -> size(each, Having.any(facet, Set.of(value.code())))));
            assertThat(counts.of(facet)).as(facet.name()).isEqualTo(expected);
        }
        assertThat(counts.of(Facet.STATUS).values().stream()
                        .mapToInt(Integer::intValue)
                        .sum())
                .as("every section has one status")
                .isEqualTo(each.findings().besides(Topic.STATUS).size());
        OnDays asked = each.brief().condition(OnDays.class).orElse(new OnDays(OnDays.Rule.ONLY, Days.ALL));
        for (DayOfWeek day : DayOfWeek.values()) {
            assertThat(counts.of(day)).isEqualTo(size(each, asked.on(Days.of(day))));
        }
        assertThat(counts.timed()).isEqualTo(size(each, new Timed()));
        assertThat(counts.untimed()).isEqualTo(size(each, new OnDays(OnDays.Rule.NONE, Days.ALL, asked.alone())));
    }

    private static int size(Case each, Condition instead) {
        return each.plain().fitting(each.brief().with(instead)).size();
    }

    @Property(tries = 150, shrinking = ShrinkingMode.OFF)
    void densityCountsTheSectionsOfEachHalfHour(@ForAll("cases") Case each) {
        Density density = each.findings().density();
        List<Section> fitting = each.plain().fitting(each.brief());
        List<Section> open = each.plain()
                .fitting(each.brief().without(Topic.DAYS).without(Topic.TIMES).without(Topic.CLOSED));
        for (DayOfWeek day : List.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY, DayOfWeek.SATURDAY)) {
            for (int half = 16; half < 42; half++) {
                assertThat(density.fitting(day, half)).isEqualTo(PlainReading.meeting(fitting, day, half));
                assertThat(density.open(day, half)).isEqualTo(PlainReading.meeting(open, day, half));
            }
        }
    }

    @Property(tries = 250, shrinking = ShrinkingMode.OFF)
    void theOrderOfConditionsChangesOnlyTheDebits(@ForAll("cases") Case each, @ForAll Random random) {
        List<Condition> shuffled = new ArrayList<>(each.brief().conditions());
        Collections.shuffle(shuffled, random);

        RunningAccount account = each.findings().account();
        RunningAccount other =
                Findings.inOrder(shuffled, each.findings().moment()).account();

        assertThat(other.left()).isEqualTo(account.left());
        assertThat(onlyThis(other)).isEqualTo(onlyThis(account));
    }

    private static Map<Condition, Integer> onlyThis(RunningAccount account) {
        return account.lines().stream()
                .collect(Collectors.toMap(RunningAccount.Line::condition, RunningAccount.Line::onlyThis));
    }

    @Property(tries = 250, shrinking = ShrinkingMode.OFF)
    void addingAConditionNeverAddsASection(@ForAll("cases") Case each) {
        for (Condition condition : each.brief().conditions()) {
            assertThat(Findings.of(each.moment(), each.brief().without(condition.topic()))
                            .fitting())
                    .containsAll(each.findings().fitting());
        }
    }

    @Property(tries = 250, shrinking = ShrinkingMode.OFF)
    void aBriefReadsBackFromItsAddress(@ForAll("cases") Case each) {
        Map<String, List<String>> parameters = each.brief().parameters().entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, entry -> List.of(entry.getValue())));

        assertThat(BriefAddress.read(parameters, Vocabulary.of(each.schedule())))
                .isEqualTo(new BriefAddress.Reading(each.brief(), List.of()));
    }

    @Provide
    Arbitrary<PlainPerson> people() {
        return RandomPeople.of(KERNEL);
    }

    @Property(tries = 150, shrinking = ShrinkingMode.OFF)
    void changedSeatsShowInTheNextAnswer(@ForAll Random random, @ForAll("people") PlainPerson person) {
        Case each = new Case(
                Schedules.alone(KERNEL),
                new TermIndex(KERNEL, Schedules.TODAY),
                person,
                new PlainReading(person),
                Brief.EVERYTHING);
        boolean askedBefore = random.nextBoolean();
        if (askedBefore) {
            assertThat(each.findings().size()).isPositive();
        }
        for (int change = 0; change < 5; change++) {
            Section section =
                    KERNEL.sections().get(random.nextInt(KERNEL.sections().size()));
            SeatPool.Count count = new SeatPool.Count(random.nextInt(60), random.nextInt(80), random.nextInt(3));
            each.index().seatsNow(Map.of(section.pool().code(), count));
            each.plain().seatsNow(section.pool().code(), count);
        }
        for (Condition condition : List.of(
                new Seats(3, OptionalInt.of(0)),
                new Seats(1, OptionalInt.empty()),
                Having.any(Facet.STATUS, Set.of("open", "full")),
                new Not(Having.any(Facet.STATUS, Set.of("open"))))) {
            assertThat(Findings.of(each.moment(), Brief.of(condition)).fitting())
                    .isEqualTo(each.plain().fitting(List.of(condition)));
        }
        Map<String, Integer> statuses = Facet.STATUS.values(KERNEL).stream()
                .collect(Collectors.toMap(
                        Facet.Value::code, value -> size(each, Having.any(Facet.STATUS, Set.of(value.code())))));
        assertThat(each.findings().valueCounts().of(Facet.STATUS)).isEqualTo(statuses);
    }

    @Property(tries = 150, shrinking = ShrinkingMode.OFF)
    void theFirstInAnOrderAreTheFirstOfAllSorted(@ForAll("cases") Case each, @ForAll Order order) {
        List<Section> fitting = each.findings().fitting();

        List<Section> all = each.findings().first(order, Integer.MAX_VALUE);

        assertThat(all).as(order.name()).containsExactlyInAnyOrderElementsOf(fitting);
        assertThat(each.findings().first(order, 3)).isEqualTo(all.subList(0, Math.min(3, all.size())));
        assertThat(all)
                .as(order.name())
                .isSortedAccordingTo(OrderTest.comparator(order, each.person()).thenComparing(fitting::indexOf));
    }

    @Property(tries = 150, shrinking = ShrinkingMode.OFF)
    void aNearMissFailsOneConditionAndItsOwnRemedyLetsItIn(@ForAll("cases") Case each) {
        List<NearMiss> misses = each.findings().nearMisses(Integer.MAX_VALUE, Wording.of(each.schedule()));

        assertThat(misses).isSortedAccordingTo(Comparator.comparingInt(NearMiss::weight));
        assertThat(each.findings().nearMisses(3, Wording.of(each.schedule())))
                .isEqualTo(misses.subList(0, Math.min(3, misses.size())));
        assertThat(misses)
                .hasSize(each.findings().account().lines().stream()
                        .mapToInt(RunningAccount.Line::onlyThis)
                        .sum());
        // A few of them, for the plain reading goes through everything again for each.
        for (int i = 0; i < misses.size(); i += 1 + misses.size() / 4) {
            NearMiss miss = misses.get(i);
            Brief without = each.brief().without(miss.condition().topic());
            assertThat(each.plain().fitting(each.brief())).doesNotContain(miss.section());
            assertThat(each.plain().fitting(without)).contains(miss.section());
            assertThat(each.plain().fitting(miss.remedy())).as(miss.toString()).contains(miss.section());
            assertThat(miss.remedy().without(miss.condition().topic())).isEqualTo(without);
            assertThat(miss.distance()).isPositive();
            assertThat(miss.sentence()).isNotBlank();
        }
    }
}

package ample.ledger.core.browse.index;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.answer.RunningAccount;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.fixtures.RandomSchedules;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** Sets of candidates and columns of numbers against the collections of the Java library. */
class CandidateSetTest {

    @Provide
    Arbitrary<Schedule> schedules() {
        return RandomSchedules.schedules();
    }

    @Property(tries = 300)
    void behavesAsASetOfCandidatesAndCountsSections(@ForAll("schedules") Schedule schedule, @ForAll Random random) {
        behaves(Candidates.of(schedule), random);
    }

    /** A lab that goes with any of 70 lectures fills more than a word; one of 40 shares none. */
    @Property(tries = 20)
    void countsSectionsWithMoreCandidatesThanBitsOfAWord(@ForAll Random random) {
        List<Section> sections = new ArrayList<>();
        for (int lead = 0; lead < 70; lead++) {
            sections.add(section("TIDE 214")
                    .entry("4" + (1000 + lead))
                    .code("L" + lead)
                    .build());
        }
        for (int lead = 0; lead < 40; lead++) {
            sections.add(section("GLAC 214")
                    .entry("5" + (1000 + lead))
                    .code("L" + lead)
                    .build());
        }
        for (String course : List.of("TIDE 214", "GLAC 214")) {
            for (int lab = 0; lab < 3; lab++) {
                sections.add(section(course)
                        .entry("6" + (1000 + sections.size()))
                        .code("lab" + lab)
                        .companion("lab", Optional.empty())
                        .build());
            }
        }
        behaves(Candidates.of(Schedules.of(sections)), random);
    }

    private static void behaves(Candidates layout, Random random) {
        Set<Integer> a = some(layout, random);
        Set<Integer> b = some(layout, random);
        CandidateSet setA = layout.where(a::contains);
        CandidateSet setB = layout.where(b::contains);

        Set<Integer> both = new TreeSet<>(a);
        both.retainAll(b);
        Set<Integer> either = new TreeSet<>(a);
        either.addAll(b);
        Set<Integer> onlyA = new TreeSet<>(a);
        onlyA.removeAll(b);

        assertThat(positions(setA.and(setB))).isEqualTo(both);
        assertThat(positions(setA.or(setB))).isEqualTo(either);
        assertThat(positions(setA.minus(setB))).isEqualTo(onlyA);
        assertThat(setA.isEmpty()).isEqualTo(a.isEmpty());
        assertThat(setA.size()).isEqualTo(sections(layout, a).size());
        assertThat(setA.sizeOfAnd(setB)).isEqualTo(sections(layout, both).size());
        assertThat(setA.sections().sorted().boxed()).containsExactlyElementsOf(sections(layout, a));
        assertThat(setA.sections().size()).isEqualTo(setA.size());
        int[] backwards = IntStream.range(0, layout.sections())
                .map(section -> layout.representative(layout.sections() - 1 - section))
                .filter(position -> position >= 0)
                .toArray();
        assertThat(setA.sections().first(backwards, 2))
                .containsExactly(sections(layout, a).stream()
                        .sorted(Comparator.reverseOrder())
                        .limit(2)
                        .toArray(Integer[]::new));
        Set<Integer> ofB = sections(layout, b);
        assertThat(setA.sections().sizeOfAnd(layout.where(position -> ofB.contains(layout.sectionAt(position)))))
                .isEqualTo(
                        (int) sections(layout, a).stream().filter(ofB::contains).count());
        assertThat(positions(setA.complement().or(setA))).isEqualTo(positions(layout.all()));
    }

    @Property(tries = 300)
    void columnsCompareEachNumber(@ForAll("schedules") Schedule schedule, @ForAll Random random) {
        Candidates layout = Candidates.of(schedule);
        int[] numbers = random.ints(layout.words() * 64L, -20, 300).toArray();
        SlicedColumn column = SlicedColumn.of(layout, position -> numbers[position]);
        int[] changed = positions(layout.all()).stream()
                .filter(position -> random.nextInt(4) == 0)
                .mapToInt(Integer::intValue)
                .toArray();
        for (int position : changed) {
            numbers[position] = random.nextInt(random.nextBoolean() ? 50 : 2000);
        }

        SlicedColumn after = column.with(changed, position -> numbers[position]);

        int bound = random.nextInt(340) - 30;
        assertThat(positions(after.atLeast(bound)))
                .isEqualTo(positions(layout.where(position -> numbers[position] >= bound)));
        assertThat(positions(after.atMost(bound)))
                .isEqualTo(positions(layout.where(position -> numbers[position] <= bound)));
    }

    @Test
    void aSectionThatNoSetHoldsHasNoCandidate() {
        Schedule schedule = Schedules.of(
                section("TIDE 214")
                        .entry("101")
                        .code("A")
                        .meets("Mon", "9:00-10:00")
                        .build(),
                section("TIDE 214")
                        .entry("102")
                        .code("B")
                        .meets("Mon", "9:30-10:30")
                        .companion("lab", Optional.empty())
                        .build());

        assertThat(Candidates.of(schedule).all().isEmpty()).isTrue();
        assertThat(Findings.of(new TermIndex(schedule, Schedules.TODAY), Brief.EVERYTHING)
                        .account())
                .isEqualTo(new RunningAccount(2, 2, List.of(), 0));
    }

    private static Set<Integer> some(Candidates layout, Random random) {
        int share = 1 + random.nextInt(8);
        return positions(layout.all()).stream()
                .filter(position -> random.nextInt(share) == 0)
                .collect(Collectors.toSet());
    }

    private static Set<Integer> sections(Candidates layout, Set<Integer> positions) {
        return positions.stream().map(layout::sectionAt).collect(Collectors.toCollection(TreeSet::new));
    }

    private static Set<Integer> positions(CandidateSet set) {
        Set<Integer> positions = new TreeSet<>();
        set.forEach(positions::add);
        return positions;
    }
}

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
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
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

    private static final Comparator<SectionAt> BY_PLACE = Comparator.comparingInt(SectionAt::place);

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
        Set<CandidateAt> a = some(layout, random);
        Set<CandidateAt> b = some(layout, random);
        CandidateSet setA = layout.where(a::contains);
        CandidateSet setB = layout.where(b::contains);

        Set<CandidateAt> both = new HashSet<>(a);
        both.retainAll(b);
        Set<CandidateAt> either = new HashSet<>(a);
        either.addAll(b);
        Set<CandidateAt> onlyA = new HashSet<>(a);
        onlyA.removeAll(b);

        assertThat(candidates(setA.and(setB))).isEqualTo(both);
        assertThat(candidates(setA.or(setB))).isEqualTo(either);
        assertThat(candidates(setA.minus(setB))).isEqualTo(onlyA);
        assertThat(setA.isEmpty()).isEqualTo(a.isEmpty());
        assertThat(setA.size()).isEqualTo(sections(layout, a).size());
        assertThat(setA.sizeOfAnd(setB)).isEqualTo(sections(layout, both).size());
        assertThat(setA.sections().sorted()).containsExactlyElementsOf(sections(layout, a));
        assertThat(setA.sections().size()).isEqualTo(setA.size());
        CandidatesInOrder backwards = new CandidatesInOrder(IntStream.range(0, layout.sections())
                .mapToObj(section -> layout.representative(new SectionAt(layout.sections() - 1 - section)))
                .filter(Objects::nonNull));
        assertThat(setA.sections().first(backwards, 2))
                .containsExactly(sections(layout, a).stream()
                        .sorted(BY_PLACE.reversed())
                        .limit(2)
                        .toArray(SectionAt[]::new));
        Set<SectionAt> ofB = sections(layout, b);
        assertThat(setA.sections().sizeOfAnd(layout.where(candidate -> ofB.contains(layout.sectionOf(candidate)))))
                .isEqualTo(
                        (int) sections(layout, a).stream().filter(ofB::contains).count());
        assertThat(candidates(setA.complement().or(setA))).isEqualTo(candidates(layout.all()));
    }

    @Property(tries = 300)
    void columnsCompareEachNumber(@ForAll("schedules") Schedule schedule, @ForAll Random random) {
        Candidates layout = Candidates.of(schedule);
        int[] numbers = random.ints(layout.words() * 64L, -20, 300).toArray();
        SlicedColumn column = SlicedColumn.of(layout, candidate -> numbers[candidate.position()]);
        List<CandidateAt> changed = candidates(layout.all()).stream()
                .filter(candidate -> random.nextInt(4) == 0)
                .toList();
        for (CandidateAt candidate : changed) {
            numbers[candidate.position()] = random.nextInt(random.nextBoolean() ? 50 : 2000);
        }

        SlicedColumn after = column.with(changed, candidate -> numbers[candidate.position()]);

        int bound = random.nextInt(340) - 30;
        assertThat(candidates(after.atLeast(bound)))
                .isEqualTo(candidates(layout.where(candidate -> numbers[candidate.position()] >= bound)));
        assertThat(candidates(after.atMost(bound)))
                .isEqualTo(candidates(layout.where(candidate -> numbers[candidate.position()] <= bound)));
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
        assertThat(Findings.of(Schedules.now(new TermIndex(schedule, Schedules.TODAY)), Brief.EVERYTHING)
                        .account())
                .isEqualTo(new RunningAccount(2, 2, List.of(), 0, 0));
    }

    private static Set<CandidateAt> some(Candidates layout, Random random) {
        int share = 1 + random.nextInt(8);
        return candidates(layout.all()).stream()
                .filter(candidate -> random.nextInt(share) == 0)
                .collect(Collectors.toSet());
    }

    private static Set<SectionAt> sections(Candidates layout, Set<CandidateAt> some) {
        return some.stream().map(layout::sectionOf).collect(Collectors.toCollection(() -> new TreeSet<>(BY_PLACE)));
    }

    private static Set<CandidateAt> candidates(CandidateSet set) {
        Set<CandidateAt> some = new LinkedHashSet<>();
        set.forEach(some::add);
        return some;
    }
}

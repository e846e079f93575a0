package ample.ledger.core.browse;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** Sets of sections against the sets of the Java library. */
class SectionSetTest {

    private static final int UNIVERSE = 200;

    @Property(tries = 300)
    void behavesAsASetOfPositions(
            @ForAll @Size(max = 60) List<@IntRange(max = UNIVERSE - 1) Integer> one,
            @ForAll @Size(max = 60) List<@IntRange(max = UNIVERSE - 1) Integer> other) {
        Set<Integer> a = new HashSet<>(one);
        Set<Integer> b = new HashSet<>(other);
        SectionSet setA = SectionSet.where(UNIVERSE, a::contains);
        SectionSet setB = SectionSet.where(UNIVERSE, b::contains);

        Set<Integer> both = new TreeSet<>(a);
        both.retainAll(b);
        Set<Integer> either = new TreeSet<>(a);
        either.addAll(b);
        Set<Integer> onlyA = new TreeSet<>(a);
        onlyA.removeAll(b);

        assertThat(positions(setA.and(setB))).isEqualTo(List.copyOf(both));
        assertThat(positions(setA.or(setB))).isEqualTo(List.copyOf(either));
        assertThat(positions(setA.minus(setB))).isEqualTo(List.copyOf(onlyA));
        assertThat(setA.sizeOfAnd(setB)).isEqualTo(both.size());
        assertThat(setA.size()).isEqualTo(a.size());
        assertThat(setA.isEmpty()).isEqualTo(a.isEmpty());
        assertThat(setA.complement().size()).isEqualTo(UNIVERSE - a.size());
    }

    private static List<Integer> positions(SectionSet set) {
        return set.positions().boxed().collect(Collectors.toList());
    }
}

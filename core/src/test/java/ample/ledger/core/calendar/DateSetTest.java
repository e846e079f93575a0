package ample.ledger.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.TreeSet;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** Sets of dates as bits, against the same sets as the library keeps them. */
class DateSetTest {

    /** Around the day on which counting begins, so that dates before it are among them. */
    @Provide
    Arbitrary<List<LocalDate>> dates() {
        return Arbitraries.longs()
                .between(-200, 200)
                .map(LocalDate::ofEpochDay)
                .list()
                .ofMaxSize(12);
    }

    @Property
    void itHoldsWhatASortedSetHolds(@ForAll("dates") List<LocalDate> some, @ForAll("dates") List<LocalDate> others) {
        TreeSet<LocalDate> expected = new TreeSet<>(some);
        DateSet dates = DateSet.of(some);
        assertThat(dates.list()).containsExactlyElementsOf(expected);
        assertThat(dates.size()).isEqualTo(expected.size());
        if (!expected.isEmpty()) {
            assertThat(dates.first()).isEqualTo(expected.first());
            assertThat(dates.last()).isEqualTo(expected.last());
        }

        TreeSet<LocalDate> either = new TreeSet<>(expected);
        either.addAll(others);
        assertThat(dates.plus(DateSet.of(others))).isEqualTo(DateSet.of(either));
        expected.retainAll(others);
        assertThat(dates.and(DateSet.of(others)))
                .isEqualTo(DateSet.of(expected))
                .hasSameHashCodeAs(DateSet.of(expected));
        assertThat(dates.meets(DateSet.of(others))).isEqualTo(!expected.isEmpty());
    }

    @Test
    void noneHasNoFirstAndNoLast() {
        assertThatThrownBy(DateSet.NONE::first).isInstanceOf(NoSuchElementException.class);
        assertThatThrownBy(DateSet.NONE::last).isInstanceOf(NoSuchElementException.class);
    }
}

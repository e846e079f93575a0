package ample.ledger.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WeekHoursTest {

    /** What is painted comes back from an address as it was. */
    @Property(tries = 300)
    void stretchesSayExactlyTheCellsAndInTheirOrder(@ForAll("hours") WeekHours hours) {
        List<WeekHours.Stretch> stretches = hours.stretches();

        assertThat(stretches.stream()
                        .map(stretch -> WeekHours.parse(stretch.toString()).orElseThrow())
                        .reduce(WeekHours.NONE, WeekHours::plus))
                .isEqualTo(hours)
                .hasSameHashCodeAs(hours);
        assertThat(stretches)
                .extracting(stretch -> WeekHours.cell(
                        stretch.day(),
                        stretch.from().getHour() * 60 + stretch.from().getMinute()))
                .isSorted();
        assertThat(stretches.stream().mapToInt(WeekHours.Stretch::minutes).sum())
                .isEqualTo(hours.size() * WeekHours.MINUTES);
    }

    @Property(tries = 200)
    void hoursAreTheSetsOfTheirCells(@ForAll("hours") WeekHours one, @ForAll("hours") WeekHours other) {
        Set<Integer> both = cells(one);
        both.retainAll(cells(other));
        Set<Integer> either = cells(one);
        either.addAll(cells(other));
        Set<Integer> left = cells(one);
        left.removeAll(cells(other));

        assertThat(cells(one.and(other))).isEqualTo(both);
        assertThat(cells(one.plus(other))).isEqualTo(either);
        assertThat(cells(one.minus(other))).isEqualTo(left);
        assertThat(one.meets(other)).isEqualTo(!both.isEmpty());
        assertThat(BitSet.valueOf(one.words()).stream().boxed()).containsExactlyElementsOf(cells(one));
        assertThat(one.words()).hasSameSizeAs(other.words());
    }

    @Provide
    Arbitrary<WeekHours> hours() {
        Arbitrary<WeekHours> stretch = Arbitraries.of(DayOfWeek.class)
                .flatMap(day -> Arbitraries.integers()
                        .between(0, WeekHours.CELLS_A_DAY - 1)
                        .flatMap(from -> Arbitraries.integers()
                                .between(from + 1, WeekHours.CELLS_A_DAY)
                                .map(to -> WeekHours.of(day, from * WeekHours.MINUTES, to * WeekHours.MINUTES))));
        return stretch.list().ofMaxSize(8).map(all -> all.stream().reduce(WeekHours.NONE, WeekHours::plus));
    }

    @ParameterizedTest
    @CsvSource({
        "mon:9:00-12:00, 'Mon 9:00–12:00'",
        "mon 9-12, 'Mon 9:00–12:00'",
        "monday:09:00–12:00, 'Mon 9:00–12:00'",
        "tue:0:00-12:00, 'Tue before 12:00'",
        "thu:16:30-24:00, 'Thu from 16:30'",
        "sat, Sat",
        "9:00-10:00, 'any day 9:00–10:00'",
        "0-24, any day",
    })
    void readsStretchesAndSaysThem(String text, String words) {
        assertThat(WeekHours.parse(text).orElseThrow().inWords(ClockStyle.HOURS_24))
                .containsExactly(words);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "mon:12:00-9:00", "mon:9:00-9:00", "mon:9:03-10:00", "m0n:9-10", "mon:9:00-25:00", "noon"})
    void readsNothingIntoWhatIsNoStretch(String text) {
        assertThat(WeekHours.parse(text)).isEmpty();
    }

    @Test
    void daysOfTheSameHoursAreSaidTogether() {
        WeekHours mornings = List.of("mon:9-12", "wed:9-12", "tue:0-12", "fri:9-12").stream()
                .map(text -> WeekHours.parse(text).orElseThrow())
                .reduce(WeekHours.NONE, WeekHours::plus);

        assertThat(mornings.inWords(ClockStyle.HOURS_24))
                .containsExactly("Mon, Wed, Fri 9:00–12:00", "Tue before 12:00");
        assertThat(mornings.inWords(ClockStyle.HOURS_12))
                .containsExactly("Mon, Wed, Fri 9 am–12 pm", "Tue before 12 pm");
        assertThat(WeekHours.NONE.inWords(ClockStyle.HOURS_24)).isEmpty();
    }

    @Test
    void whatHasAMinuteInACellMeetsIt() {
        WeekHours nineToTenTwenty = WeekHours.of(
                List.of(new Timing.Weekly(Days.of(DayOfWeek.TUESDAY), TimeRange.of("9:08", "10:21"), TERM, 1)));

        assertThat(nineToTenTwenty.contains(WeekHours.cell(DayOfWeek.TUESDAY, 9 * 60 + 5)))
                .isTrue();
        assertThat(nineToTenTwenty.contains(WeekHours.cell(DayOfWeek.TUESDAY, 10 * 60 + 20)))
                .isTrue();
        assertThat(nineToTenTwenty.contains(WeekHours.cell(DayOfWeek.TUESDAY, 10 * 60 + 25)))
                .isFalse();
        assertThat(nineToTenTwenty.size()).isEqualTo(16);
        assertThat(WeekHours.ofCells(IntStream.range(0, WeekHours.CELLS)).size())
                .isEqualTo(7 * 24 * 12);
    }

    private static final DateRange TERM = new DateRange(LocalDate.of(2031, 9, 8), LocalDate.of(2031, 12, 19));

    private static Set<Integer> cells(WeekHours hours) {
        return hours.cells().boxed().collect(Collectors.toCollection(TreeSet::new));
    }
}

package ample.ledger.web.words;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static ample.ledger.core.fixtures.SectionBuilder.weekly;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Span;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordsTest {

    @Test
    void saysWhenInTheWordsOfTheTrade() {
        LocalDate saturday = LocalDate.of(2031, 9, 20);

        assertThat(Words.when(weekly("Mon Wed", "9:30-10:50", 1), ClockStyle.HOURS_24))
                .isEqualTo("Mon Wed 9:30–10:50");
        assertThat(Words.when(weekly("Wed", "14:30-16:30", 2), ClockStyle.HOURS_24))
                .isEqualTo("Every other Wed 14:30–16:30");
        assertThat(Words.when(new Timing.Once(saturday, TimeRange.of("8:00", "16:00")), ClockStyle.HOURS_24))
                .isEqualTo("Sat 20 Sep 8:00–16:00");
        assertThat(Words.when(new Timing.Arranged(new BigDecimal("2.50"), SectionBuilder.TERM), ClockStyle.HOURS_24))
                .isEqualTo("No set time, 2.5 h a week");
    }

    @Test
    void writesDatesOutAndTellsTheYearWhereItChanges() {
        assertThat(Words.dates(SectionBuilder.TERM)).isEqualTo("Mon 8 Sep to Fri 19 Dec 2031");
        assertThat(Words.dates(new DateRange(LocalDate.of(2031, 9, 8), LocalDate.of(2032, 4, 30))))
                .isEqualTo("Mon 8 Sep 2031 to Fri 30 Apr 2032");
        LocalDateTime opens = LocalDate.of(2032, 3, 2).atTime(8, 0);
        assertThat(Words.moment(opens, opens.minusMonths(9))).isEqualTo("Tue 2 Mar 2032, 8:00");
        assertThat(Words.moment(opens, opens.minusDays(9))).isEqualTo("Tue 2 Mar, 8:00");
        assertThat(Words.moment(LocalDate.of(2031, 6, 17).atTime(9, 41).atZone(ZoneOffset.UTC)))
                .isEqualTo("Tue 17 Jun, 9:41");
    }

    @ParameterizedTest
    @CsvSource({"4, 4 credits", "1, 1 credit", "1.50, 1.5 credits", "0, 0 credits"})
    void aNumberHasItsUnit(String credits, String words) {
        assertThat(Words.credits(new BigDecimal(credits))).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({"50, 50 min", "120, 2 h", "4698, 78 h 18 min"})
    void durationsAreHoursAndMinutes(int minutes, String words) {
        assertThat(Words.duration(minutes)).isEqualTo(words);
    }

    @Test
    void theWholeTermIsWeeksAndAnythingElseHasItsName() {
        var half = new DateRange(LocalDate.of(2031, 9, 8), LocalDate.of(2031, 10, 24));

        assertThat(Words.runs(
                        new Span("full-term", "Full term", SectionBuilder.TERM, Optional.empty()), SectionBuilder.TERM))
                .isEqualTo("15\u00a0wk");
        assertThat(Words.runs(new Span("first-half", "First half", half, Optional.empty()), SectionBuilder.TERM))
                .isEqualTo("First half, 7\u00a0wk");
    }

    @Test
    void theRegularPlaceStandsForASectionWithAFieldDay() {
        Section section = section("GLAC 240d")
                .meets("Tue Thu", "17:30-18:50")
                .meetsOnce(LocalDate.of(2031, 9, 20), "8:00-16:00")
                .build();

        assertThat(Words.where(section)).isEqualTo("Sluice Hall 101, Tidewall");
        assertThat(Words.where(section("MYCO 144m")
                        .meetsOnce(LocalDate.of(2031, 9, 20), "8:00-16:00")
                        .build()))
                .isEqualTo("The Boathouse steps, Tidewall");
        assertThat(Words.where(section("MYCO 101").arrangedOnline("2.5").build()))
                .isEqualTo("Online");
        assertThat(Words.where(section("CART 395").build())).isEqualTo("Place to be announced, Tidewall");
        assertThat(Words.who(section)).isEqualTo("Instructor to be announced");
    }

    @Test
    void aCountIsOnceAndAQuotationWithinAnotherHasSingleMarks() {
        assertThat(Words.times(1)).isEqualTo("once");
        assertThat(Words.times(14)).isEqualTo("14 times");
        assertThat(Words.quoted("about “tide”")).isEqualTo("“about ‘tide’”");
    }
}

package ample.ledger.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.DayOfWeek;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TimesAndDaysTest {

    @ParameterizedTest
    @CsvSource({"mon,MONDAY", "TH,THURSDAY", "Tuesday,TUESDAY", "su,SUNDAY", "sa,SATURDAY"})
    void readsDaysByAnyBeginning(String text, DayOfWeek day) {
        assertThat(Days.parseDay(text)).contains(day);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "t", "moon", "monx", "8"})
    void readsNothingIntoOtherWords(String text) {
        assertThat(Days.parseDay(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"9,9:00", "09:05,9:05", "0:00,0:00", "23:59,23:59"})
    void readsAndWritesTimes(String text, String written) {
        assertThat(ClockTime.parse(text).map(ClockTime::format)).contains(written);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "24:00", "9:60", "9.30", "9:3", "noon", "-1"})
    void refusesWhatIsNoTime(String text) {
        assertThat(ClockTime.parse(text)).isEmpty();
    }

    @Test
    void meetingsThatMerelyTouchDoNotOverlap() {
        var early = TimeRange.of("9:00", "10:20");

        assertThat(early.overlapMinutes(TimeRange.of("10:20", "11:00"))).isZero();
        assertThat(early.overlapMinutes(TimeRange.of("10:00", "11:00"))).isEqualTo(20);
        assertThat(early.overlapMinutes(TimeRange.of("8:00", "12:00"))).isEqualTo(80);
    }

    @Test
    void whatTouchesTheEdgeOfAWindowIsInside() {
        assertThat(TimeRange.of("9:00", "15:30").encloses(TimeRange.of("9:00", "15:30")))
                .isTrue();
        assertThat(TimeRange.of("9:00", "15:30").encloses(TimeRange.of("8:59", "15:30")))
                .isFalse();
    }

    @Test
    void refusesNonsenseAndNamesIt() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> TimeRange.of("10:00", "10:00"))
                .withMessageContaining("10:00");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new DateRange(LocalDate.of(2031, 9, 9), LocalDate.of(2031, 9, 8)))
                .withMessageContaining("2031-09-09");
    }

    /** Common practice, no source: the dates, not the label, tell how long a span is. */
    @Test
    void countsWeeksByDates() {
        assertThat(weeks("2031-09-08", "2031-12-19")).isEqualTo(15);
        assertThat(weeks("2031-09-08", "2031-10-24")).isEqualTo(7);
        assertThat(weeks("2031-11-03", "2031-12-19")).isEqualTo(7);
    }

    private static int weeks(String first, String last) {
        return new DateRange(LocalDate.parse(first), LocalDate.parse(last)).weeks();
    }
}

package ample.ledger.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClockStyleTest {

    @ParameterizedTest
    @CsvSource({
        "0:00,  0:00,  12 am",
        "9:30,  9:30,  9:30 am",
        "12:00, 12:00, 12 pm",
        "12:05, 12:05, 12:05 pm",
        "15:30, 15:30, 3:30 pm",
    })
    void writesATime(String time, String in24, String in12) {
        LocalTime read = ClockTime.parse(time).orElseThrow();

        assertThat(ClockStyle.HOURS_24.format(read)).isEqualTo(in24);
        assertThat(ClockStyle.HOURS_12.format(read)).isEqualTo(in12);
    }

    @Test
    void saysOnceWhichHalfOfTheDayARangeLiesIn() {
        assertThat(ClockStyle.HOURS_12.format(TimeRange.of("9:30", "10:50"))).isEqualTo("9:30–10:50 am");
        assertThat(ClockStyle.HOURS_12.format(TimeRange.of("11:00", "13:20"))).isEqualTo("11 am–1:20 pm");
        assertThat(ClockStyle.HOURS_24.format(TimeRange.of("11:00", "13:20"))).isEqualTo("11:00–13:20");
    }
}

package ample.ledger.web.preferences;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.WeekFrame;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.preferences.Preferences.Keys;
import ample.ledger.web.preferences.Preferences.Light;
import ample.ledger.web.preferences.Preferences.Lines;
import java.time.DayOfWeek;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PreferencesTest {

    private static final Preferences OWN = new Preferences(
            ClockStyle.HOURS_12,
            Optional.of(DayOfWeek.SUNDAY),
            Lines.TIGHT,
            Light.DARK,
            Keys.OFF,
            Optional.of(new CampusCode("upper-fell")),
            true);

    @Test
    void areReadBackFromTheirCookie() {
        assertThat(Preferences.read(OWN.written())).isEqualTo(OWN);
        assertThat(OWN.written()).matches("[a-z0-9:.-]+");
        assertThat(Preferences.read(Preferences.USUAL.written())).isEqualTo(Preferences.USUAL);
        Preferences none = Preferences.USUAL.at("");
        assertThat(none.saidHome()).as("asked for no more").isTrue();
        assertThat(Preferences.read(none.written())).isEqualTo(none);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "nonsense", "clock:13.week:tuesday.house:<b>", "....", "clock", "light:purple"})
    void whatMakesNoSenseIsAsUsual(String written) {
        assertThat(Preferences.read(written)).isEqualTo(Preferences.USUAL);
    }

    @Test
    void aWeekBeginsAsTheReaderSaysOrElseTheInstitution() {
        Schedule halvermere = Schedules.kernelSchedule();
        Schedule samiq = Schedules.samiq();

        assertThat(OWN.week(halvermere).days())
                .hasSize(7)
                .startsWith(DayOfWeek.SUNDAY, DayOfWeek.MONDAY)
                .endsWith(DayOfWeek.SATURDAY);
        assertThat(Preferences.USUAL.week(halvermere).days()).startsWith(DayOfWeek.MONDAY);
        assertThat(Preferences.USUAL.week(samiq).days())
                .startsWith(DayOfWeek.SUNDAY)
                .endsWith(DayOfWeek.FRIDAY, DayOfWeek.SATURDAY);
    }

    @Test
    void picturesShowTheHoursInWhichSomethingMeets() {
        WeekFrame frame = Preferences.USUAL.frame(List.of(Schedules.samiq()));

        assertThat(frame.firstHour()).as("the field days begin at 6:10").isEqualTo(6);
        assertThat(frame.lastHour()).as("a lecture ends at 24:00").isEqualTo(24);
    }
}

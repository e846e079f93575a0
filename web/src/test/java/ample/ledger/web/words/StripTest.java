package ample.ledger.web.words;

import static ample.ledger.core.fixtures.SectionBuilder.days;
import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.Between;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.calendar.WeekFrame;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.words.Strip.Bar;
import java.time.DayOfWeek;
import org.junit.jupiter.api.Test;

class StripTest {

    private static final Days MET = days("Mon Sat");
    private static final WeekFrame USUAL = new WeekFrame(WeekForm.USUAL, 7, 22);

    @Test
    void hasADayForEachThatClassesMeetOn() {
        assertThat(ground(Brief.EVERYTHING).days())
                .extracting(Strip.Day::name)
                .containsExactly("Mon", "Tue", "Wed", "Thu", "Fri", "Sat");
        assertThat(Strip.ground(Days.ALL, Brief.EVERYTHING, new WeekFrame(WeekForm.USUAL.from(DayOfWeek.SUNDAY), 7, 22))
                        .days())
                .extracting(Strip.Day::name)
                .startsWith("Sun", "Mon")
                .hasSize(7);
    }

    /** A day is 37 pixels for the 15 hours from 7:00 to 22:00, and starts 41 pixels after the one before. */
    @Test
    void aMeetingIsABarAtItsHours() {
        Section section = section("TIDE 214").meets("Mon Tue", "7:00-14:30").build();

        assertThat(Strip.of(section, ground(Brief.EVERYTHING)).bars())
                .containsExactly(new Bar("0.0", "18.5", "on-site"), new Bar("41.0", "18.5", "on-site"));
    }

    @Test
    void showsWhatIsOnlineAndWhatIsNotEveryWeek() {
        Section section = section("NUMB 210")
                .meetsOnline("Mon", "17:00-18:20")
                .meetsEveryOtherWeek("Fri", "13:00-14:50")
                .build();

        assertThat(Strip.of(section, ground(Brief.EVERYTHING)).bars())
                .extracting(Bar::style)
                .containsExactly("online", "on-site some-weeks");
    }

    @Test
    void hoursOutsideTheStripLieOnItsEdge() {
        Section section = section("TIDE 341")
                .meets("Mon", "5:00-6:00")
                .meets("Mon", "22:30-23:30")
                .build();

        assertThat(Strip.of(section, ground(Brief.EVERYTHING)).bars())
                .containsExactly(new Bar("0.0", "2.0", "on-site"), new Bar("35.0", "2.0", "on-site"));
    }

    @Test
    void theWindowIsTheDaysAndHoursAskedFor() {
        var onDays = new OnDays(OnDays.Rule.ONLY, days("Mon Sun"));
        var between = new Between(ClockTime.parse("9:00"), ClockTime.parse("12:00"));

        assertThat(ground(Brief.EVERYTHING).shaded()).isEmpty();
        assertThat(ground(Brief.of(onDays)).shaded()).isEqualTo("M0.0 0h37.0v14h-37.0z");
        assertThat(ground(Brief.of(between)).shaded())
                .matches("(M[0-9.]+ 0h7.4v14h-7.4z){6}")
                .startsWith("M4.9 0h");
    }

    private static Strip.Ground ground(Brief brief) {
        return Strip.ground(MET, brief, USUAL);
    }
}

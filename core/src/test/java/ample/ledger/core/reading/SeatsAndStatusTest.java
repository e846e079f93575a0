package ample.ledger.core.reading;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeatsAndStatusTest {

    private static final LocalDate LAST_DAY_HELD = LocalDate.of(2031, 8, 1);

    @Test
    void capacityComesDownToTheSeatsOpenToYou() {
        Section section = section("GLAC 240d")
                .seats(30, 22, 0)
                .held("Glaciology majors", 5, LAST_DAY_HELD)
                .build();

        assertThat(account(section, LAST_DAY_HELD).open()).isEqualTo(3);
        assertThat(account(section, LAST_DAY_HELD.plusDays(1)).open()).isEqualTo(8);
    }

    @Test
    void seatsPromisedToTheWaitlistAreNotYours() {
        Section section = section("CART 331").seats(18, 14, 4).promised(4).build();

        assertThat(account(section, LAST_DAY_HELD).open()).isZero();
        assertThat(status(section)).isEqualTo(Status.FULL_WAITLIST_OPEN);
    }

    @Test
    void overEnrolmentIsSaidAndNeverANegativeNumberOfSeats() {
        Section section = section("TIDE 235").seats(30, 31, 0).waitlist(0).build();

        assertThat(account(section, LAST_DAY_HELD).open()).isZero();
        assertThat(account(section, LAST_DAY_HELD).overEnrolled()).isEqualTo(1);
        assertThat(status(section)).isEqualTo(Status.FULL);
    }

    @Test
    void everyStatusHasItsReason() {
        assertThat(status(section("RHET 101").seats(20, 19, 0).build())).isEqualTo(Status.OPEN);
        assertThat(status(section("RHET 101").seats(20, 20, 2).build())).isEqualTo(Status.FULL_WAITLIST_OPEN);
        assertThat(status(section("RHET 101").seats(20, 20, 10).build())).isEqualTo(Status.FULL);
        assertThat(status(section("RHET 101").seats(20, 5, 0).cancelled().build()))
                .isEqualTo(Status.CANCELLED);
        assertThat(status(section("LOOM 355")
                        .seats(18, 15, 0)
                        .held("Boat Building diploma students", 3, LAST_DAY_HELD)
                        .build()))
                .isEqualTo(Status.OPEN_TO_SOME);
    }

    /** Held seats are free only while fewer are enrolled and promised than there are. */
    @ParameterizedTest
    @CsvSource({
        "17, 0, 0, OPEN_TO_SOME",
        "18, 0, 0, FULL_WAITLIST_OPEN",
        "19, 0, 0, FULL_WAITLIST_OPEN",
        "15, 2, 2, OPEN_TO_SOME",
        "15, 3, 3, FULL_WAITLIST_OPEN",
        "14, 0, 0, OPEN",
    })
    void theBorderOfFullAndOpenToSome(int enrolled, int promised, int waiting, Status expected) {
        Section section = section("LOOM 355")
                .seats(18, enrolled, waiting)
                .promised(promised)
                .held("Boat Building diploma students", 3, LAST_DAY_HELD)
                .build();

        assertThat(status(section)).isEqualTo(expected);
    }

    @Test
    void withoutHeldSeatsNothingIsOpenToOthersOnly() {
        assertThat(status(section("LOOM 355").seats(18, 15, 3).promised(3).build()))
                .isEqualTo(Status.FULL_WAITLIST_OPEN);
    }

    /** Common practice, no source: two rows of 3.4 hours a week are 6.8 hours a week. */
    @Test
    void arrangedHoursOfSeveralRowsAddUp() {
        Section section =
                section("RHET 310").arrangedOnline("3.4").arrangedOnline("3.4").build();

        assertThat(ClassHours.of(section, TermCalendar.PLAIN).arrangedPerWeek()).isEqualByComparingTo("6.8");
    }

    @Test
    void classHoursAreCountedOnDates() {
        Section section = section("GLAC 205")
                .meetsEveryOtherWeek("Wed", "14:30-16:30")
                .meetsOnce(LocalDate.of(2031, 9, 20), "8:00-16:00")
                .build();

        ClassHours hours = ClassHours.of(section, TermCalendar.PLAIN);

        assertThat(SectionBuilder.TERM.weeks()).isEqualTo(15);
        assertThat(hours.meetings()).isEqualTo(8 + 1);
        assertThat(hours.minutes()).isEqualTo(8 * 120 + 480);
    }

    private static SeatAccount account(Section section, LocalDate today) {
        return SeatAccount.of(section.pool(), today);
    }

    private static Status status(Section section) {
        Schedule schedule = Schedules.of(section);
        return new Readings(schedule, Person.nobody(schedule, LAST_DAY_HELD.atTime(9, 0)))
                .of(section, section.pool())
                .status();
    }
}

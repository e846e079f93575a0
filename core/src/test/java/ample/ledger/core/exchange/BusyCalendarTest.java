package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.plan.BusyTime;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.DateList;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.Recur;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.ExDate;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.RecurrenceId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Busy times out of files that ical4j wrote: RFC 5545. */
class BusyCalendarTest {

    private static final ZoneId LISBON = ZoneId.of("Europe/Lisbon");
    private static final DateRange AUTUMN = new DateRange(LocalDate.of(2031, 9, 8), LocalDate.of(2031, 12, 19));

    private static final BooleanSupplier IN_TIME = () -> false;

    /** Rules of the kinds in RFC 5545, section 3.8.5.3, each expanded by ical4j itself. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "FREQ=WEEKLY;BYDAY=MO,WE",
                "FREQ=WEEKLY;INTERVAL=2;BYDAY=FR",
                "FREQ=WEEKLY;INTERVAL=3;BYDAY=TU",
                "FREQ=DAILY;COUNT=20",
                "FREQ=DAILY;INTERVAL=5",
                "FREQ=MONTHLY;BYDAY=1FR",
                "FREQ=MONTHLY;BYMONTHDAY=13",
                "FREQ=WEEKLY;COUNT=10;BYDAY=TU,TH",
                "FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1"
            })
    void repeatsAreThoseOfIcal4j(String rule) {
        ZonedDateTime start = ZonedDateTime.of(2031, 9, 2, 9, 30, 0, 0, LISBON);
        VEvent event = new VEvent(start, start.plusMinutes(80), "Shift");
        event.add(new Uid("one"));
        event.add(new RRule<ZonedDateTime>(new Recur<ZonedDateTime>(rule)));

        Set<LocalDate> expected = event
                .<ZonedDateTime>calculateRecurrenceSet(new Period<>(
                        AUTUMN.first().atStartOfDay(LISBON),
                        AUTUMN.last().plusDays(1).atStartOfDay(LISBON)))
                .stream()
                .map(period -> period.getStart().withZoneSameInstant(LISBON))
                .peek(begin -> assertThat(begin.toLocalTime()).isEqualTo(start.toLocalTime()))
                .map(ZonedDateTime::toLocalDate)
                .collect(Collectors.toCollection(TreeSet::new));

        assertThat(expected).isNotEmpty();
        assertThat(dates(read(event))).isEqualTo(expected);
    }

    @Test
    void aWeeklyShiftWithExceptionsIsOneBusyTime() {
        ZonedDateTime start = ZonedDateTime.of(2031, 9, 12, 11, 30, 0, 0, LISBON);
        VEvent event = new VEvent(start, start.plusMinutes(90), "Ferry crew");
        event.add(new Uid("one"));
        event.add(new RRule<ZonedDateTime>("FREQ=WEEKLY;BYDAY=FR"));
        event.add(new ExDate<>(new DateList<>(List.of(start.plusWeeks(2), start.plusWeeks(7)))));

        assertThat(read(event).busy())
                .containsExactly(new BusyTime(
                        "Ferry crew",
                        new Timing.Weekly(
                                Days.of(DayOfWeek.FRIDAY),
                                TimeRange.of("11:30", "13:00"),
                                new DateRange(LocalDate.of(2031, 9, 12), LocalDate.of(2031, 12, 19)),
                                1),
                        new TreeSet<>(Set.of(LocalDate.of(2031, 9, 26), LocalDate.of(2031, 10, 31)))));
    }

    /** Across the end of summer time an hour in another zone without one moves on the reader's clock. */
    @Test
    void timesOfOtherZonesAreReadOnTheReadersClock() {
        ZonedDateTime start = ZonedDateTime.of(2031, 10, 20, 18, 0, 0, 0, ZoneId.of("Asia/Tokyo"));
        VEvent event = new VEvent(start, start.plusHours(1), "Call");
        event.add(new Uid("one"));
        event.add(new RRule<ZonedDateTime>("FREQ=WEEKLY;BYDAY=MO;COUNT=2"));

        assertThat(read(event).busy())
                .extracting(BusyTime::timing)
                .containsExactly(
                        new Timing.Once(LocalDate.of(2031, 10, 20), TimeRange.of("10:00", "11:00")),
                        new Timing.Once(LocalDate.of(2031, 10, 27), TimeRange.of("9:00", "10:00")));
    }

    @Test
    void aTimeThatWasMovedIsWhereItWasMovedTo() {
        ZonedDateTime start = ZonedDateTime.of(2031, 9, 8, 9, 0, 0, 0, LISBON);
        VEvent series = new VEvent(start, start.plusHours(1), "Band");
        series.add(new Uid("band"));
        series.add(new RRule<ZonedDateTime>("FREQ=WEEKLY;COUNT=3"));
        VEvent moved = new VEvent(start.plusDays(9), start.plusDays(9).plusHours(1), "Band");
        moved.add(new Uid("band"));
        moved.add(new RecurrenceId<>(start.plusWeeks(1)));

        assertThat(dates(read(series, moved)))
                .containsExactlyInAnyOrder(
                        LocalDate.of(2031, 9, 8), LocalDate.of(2031, 9, 17), LocalDate.of(2031, 9, 22));
    }

    @Test
    void overMidnightIsTwoAndAllDayIsLeftOut() {
        ZonedDateTime start = ZonedDateTime.of(2031, 9, 12, 22, 0, 0, 0, LISBON);
        VEvent night = new VEvent(start, start.plusHours(8), "Night shift");
        night.add(new Uid("night"));
        VEvent day = new VEvent(LocalDate.of(2031, 10, 1), "Birthday");
        day.add(new Uid("day"));
        VEvent before = new VEvent(start.minusYears(1), start.minusYears(1).plusHours(1), "Long ago");
        before.add(new Uid("before"));

        BusyCalendar.Reading reading = read(night, day, before);

        assertThat(reading.allDay()).isEqualTo(1);
        assertThat(reading.outside()).isEqualTo(1);
        assertThat(reading.busy())
                .extracting(BusyTime::timing)
                .containsExactly(
                        new Timing.Once(LocalDate.of(2031, 9, 12), TimeRange.of("22:00", "23:59")),
                        new Timing.Once(LocalDate.of(2031, 9, 13), TimeRange.of("0:00", "6:00")));
    }

    /** Rules that a hostile file could keep a server busy with. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "FREQ=SECONDLY",
                "FREQ=MINUTELY;BYMONTH=2",
                "FREQ=HOURLY;INTERVAL=3",
                "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30",
                "FREQ=DAILY;BYMONTH=2;BYMONTHDAY=31",
                "FREQ=MONTHLY;BYSETPOS=31;BYDAY=MO",
                "FREQ=DAILY;INTERVAL=0",
                "FREQ=NEVER",
                "UNTIL=tomorrow"
            })
    void rulesWithoutEndOrSenseEnd(String rule) {
        String file = calendar(event("DTSTART:00010101T000000Z", "DTEND:00010101T010000Z", "RRULE:" + rule));

        Assertions.assertTimeoutPreemptively(
                Duration.ofSeconds(20),
                () -> BusyCalendar.read(file, LISBON, AUTUMN, IN_TIME).orElseThrow());
    }

    /** Few lines that ask for more dates than anybody can count: each event is left out, and none of its times is looked at. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "RRULE:FREQ=DAILY;BYHOUR=0,1,2,3;BYMINUTE=0,1,2,3,4,5,6,7,8,9",
                "RRULE:FREQ=WEEKLY;BYSECOND=1,2",
                "RRULE:FREQ=DAILY;INTERVAL=2147483647",
                "RRULE:FREQ=DAILY\r\nEXRULE:FREQ=DAILY",
                "RRULE:FREQ=DAILY\r\nRRULE:FREQ=SECONDLY",
                "RRULE:FREQ=DAILY\r\nRRULE:FREQ=DAILY\r\nRRULE:FREQ=DAILY\r\nRRULE:FREQ=DAILY\r\nRRULE:FREQ=DAILY"
            })
    void eventsThatNobodyIsBusyWithAreLeftOut(String rules) {
        AtomicInteger asked = new AtomicInteger();
        String hostile = event("DTSTART:20310908T080000Z", "DTEND:20310908T090000Z", rules);
        String plain = event("DTSTART:20310911T090000", "DTEND:20310911T100000", "SUMMARY:Choir");

        BusyCalendar.Reading reading = BusyCalendar.read(
                        calendar(hostile, plain), LISBON, AUTUMN, () -> asked.incrementAndGet() < 0)
                .orElseThrow();

        assertThat(reading.outside()).isEqualTo(1);
        assertThat(reading.busy()).extracting(BusyTime::label).containsExactly("Choir");
        assertThat(asked.get())
                .as("once for each event: no time was walked through")
                .isEqualTo(2);
    }

    @Test
    void whatLastsForEverIsBusyOnlyInTheDatesAskedFor() {
        String endless = event("DTSTART:19700101T000000Z", "DTEND:99991231T000000Z", "SUMMARY:For ever");

        assertThat(read(endless).busy())
                .containsExactly(new BusyTime(
                        "For ever",
                        new Timing.Weekly(Days.of(DayOfWeek.values()), TimeRange.of("0:00", "23:59"), AUTUMN, 1)));
    }

    /** What was refused with which words; the file is small, the work would not be. */
    @Test
    void aFileThatAsksForTooMuchWorkIsRefused() {
        String daily = event("DTSTART:20310908T080000Z", "DTEND:20310908T090000Z", "RRULE:FREQ=DAILY");
        String once = event("DTSTART:20310908T080000Z", "DTEND:20310908T090000Z");
        String zone = "BEGIN:VTIMEZONE\r\nTZID:x\r\nBEGIN:STANDARD\r\nDTSTART:19700101T000000\r\nTZOFFSETFROM:+0000\r\n"
                + "TZOFFSETTO:+0100\r\nRRULE:FREQ=SECO\r\n NDLY\r\nEND:STANDARD\r\nEND:VTIMEZONE\r\n";

        assertRefused(calendar(daily.repeat(400)), "repeat more than 20,000 times");
        assertRefused(calendar(once.repeat(2_001)), "2,001 events");
        assertRefused(calendar(once).repeat(201), "201 calendars");
        assertRefused(
                calendar(zone.replace("SECO\r\n NDLY", "YEARLY").repeat(1_000), once.repeat(500)),
                "changes of the clock");
        assertRefused(calendar(zone, once), "a time zone in it changes the clock");
        assertRefused(calendar(zone.replace("SECO\r\n NDLY", "YEARLY;BYMINUTE=1,2,3"), once), "a time zone in it");
        assertThat(BusyCalendar.read(calendar(zone.replace("SECO\r\n NDLY", "YEARLY"), once), LISBON, AUTUMN, IN_TIME))
                .isPresent();
        assertThatThrownBy(() -> BusyCalendar.read(calendar(once), LISBON, AUTUMN, () -> true))
                .isInstanceOf(CalendarRefusedException.class)
                .hasMessageContaining("took longer");
    }

    private static void assertRefused(String file, String why) {
        assertThatThrownBy(() -> BusyCalendar.read(file, LISBON, AUTUMN, IN_TIME))
                .isInstanceOf(CalendarRefusedException.class)
                .hasMessageContaining(why);
    }

    /** RFC 5545, sections 3.6.1 (a duration instead of an end), 3.8.2.7 (transparent) and 3.8.1.11 (cancelled). */
    @Test
    void onlyWhatTakesTimeIsBusyHoweverItsLengthIsSaid() {
        BusyCalendar.Reading reading = read(
                event("DTSTART:20310910T090000", "DURATION:PT1H30M", "SUMMARY:Rehearsal"),
                event("DTSTART:20310911T090000", "DTEND:20310911T100000", "SUMMARY:  "),
                event("DTSTART:20310912T090000", "DTEND:20310912T100000", "TRANSP:TRANSPARENT"),
                event("DTSTART:20310912T110000", "DTEND:20310912T120000", "STATUS:CANCELLED"),
                event("DTSTART:20310912T130000", "SUMMARY:A mark, and no time"),
                event("DTSTART:20310912T150000", "DTEND:20310912T140000", "SUMMARY:Backward"),
                event("DTSTART:20310912T160000", "DURATION:-PT1H", "SUMMARY:Backward too"),
                event("SUMMARY:Some day"));

        assertThat(reading.busy())
                .containsExactly(
                        new BusyTime(
                                "Rehearsal", new Timing.Once(LocalDate.of(2031, 9, 10), TimeRange.of("9:00", "10:30"))),
                        new BusyTime(
                                "Busy", new Timing.Once(LocalDate.of(2031, 9, 11), TimeRange.of("9:00", "10:00"))));
        assertThat(reading.outside())
                .as("without a length there is nothing to be busy")
                .isEqualTo(3);
        assertThat(reading.allDay()).isZero();
    }

    @Test
    void ofSeveralCalendarsInOneFileAllAreRead() {
        String first = calendar(event("DTSTART:20310910T090000", "DTEND:20310910T100000", "SUMMARY:Work"));
        String second = calendar(event("DTSTART:20310911T090000Z", "DTEND:20310911T100000Z", "SUMMARY:Choir"));

        assertThat(BusyCalendar.read(first + second, LISBON, AUTUMN, IN_TIME)
                        .orElseThrow()
                        .busy())
                .extracting(BusyTime::label)
                .containsExactlyInAnyOrder("Work", "Choir");
    }

    @Test
    void timesWithoutAZoneAreOnTheReadersClock() {
        String floating = calendar(event("DTSTART:20310911T090000", "DTEND:20310911T100000", "SUMMARY:Choir"));

        for (ZoneId zone : List.of(LISBON, ZoneId.of("Asia/Tokyo"))) {
            assertThat(BusyCalendar.read(floating, zone, AUTUMN, IN_TIME)
                            .orElseThrow()
                            .busy())
                    .extracting(BusyTime::timing)
                    .containsExactly(new Timing.Once(LocalDate.of(2031, 9, 11), TimeRange.of("9:00", "10:00")));
        }
    }

    private static String event(String... lines) {
        return "BEGIN:VEVENT\r\nUID:" + Objects.hash((Object[]) lines) + "\r\n" + String.join("\r\n", lines)
                + "\r\nEND:VEVENT\r\n";
    }

    private static String calendar(String... events) {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n" + String.join("", events) + "END:VCALENDAR\r\n";
    }

    private static BusyCalendar.Reading read(String... events) {
        return BusyCalendar.read(calendar(events), LISBON, AUTUMN, IN_TIME).orElseThrow();
    }

    @Test
    void whatIsNoCalendarIsTold() {
        assertThat(BusyCalendar.read("name,date\nx,2031-09-08\n", LISBON, AUTUMN, IN_TIME))
                .isEmpty();
        assertThat(BusyCalendar.read("", LISBON, AUTUMN, IN_TIME)).isEmpty();
    }

    private static BusyCalendar.Reading read(VEvent... events) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Test//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        for (String zone : List.of("Europe/Lisbon", "Asia/Tokyo")) {
            calendar.add(TimeZoneRegistryFactory.getInstance()
                    .createRegistry()
                    .getTimeZone(zone)
                    .getVTimeZone());
        }
        for (VEvent event : events) {
            calendar.add(event);
        }
        return BusyCalendar.read(calendar.toString(), LISBON, AUTUMN, IN_TIME).orElseThrow();
    }

    private static Set<LocalDate> dates(BusyCalendar.Reading reading) {
        List<LocalDate> dates = new ArrayList<>();
        reading.busy().stream().map(BusyTime::dates).map(DateSet::list).forEach(dates::addAll);
        return new TreeSet<>(dates);
    }
}

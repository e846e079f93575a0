package ample.ledger.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.recur.InvalidRecurrenceRuleException;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRuleIterator;
import org.junit.jupiter.api.Test;

class TermCalendarTest {

    private static final TimeRange NINE = TimeRange.of("9:00", "10:00");

    /** RFC 5545, section 3.8.5.3: "Weekly on Tuesday and Thursday for five weeks". */
    @Test
    void weeklyOnTwoDays() {
        var timing = weekly("1997-09-02", "1997-10-06", 1, DayOfWeek.TUESDAY, DayOfWeek.THURSDAY);

        assertThat(TermCalendar.PLAIN.datesOf(timing))
                .containsExactlyElementsOf(
                        Stream.concat(dates("1997-09-", 2, 4, 9, 11, 16, 18, 23, 25, 30), dates("1997-10-", 2))
                                .toList());
    }

    /** RFC 5545, section 3.8.5.3: "Every other week on Monday, Wednesday, and Friday until December 24, 1997". */
    @Test
    void everyOtherWeek() {
        var timing = weekly("1997-09-01", "1997-12-23", 2, DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY);

        assertThat(TermCalendar.PLAIN.datesOf(timing))
                .containsExactlyElementsOf(Stream.of(
                                dates("1997-09-", 1, 3, 5, 15, 17, 19, 29),
                                dates("1997-10-", 1, 3, 13, 15, 17, 27, 29, 31),
                                dates("1997-11-", 10, 12, 14, 24, 26, 28),
                                dates("1997-12-", 8, 10, 12, 22))
                        .flatMap(month -> month)
                        .toList());
    }

    @Test
    void aWeekWithoutClassesAndADayThatFollowsMondaysTimetable() {
        var calendar = new TermCalendar(List.of(
                new TermCalendar.ExceptionalDay(LocalDate.of(2031, 10, 27), Optional.empty(), "Harvest Week"),
                new TermCalendar.ExceptionalDay(
                        LocalDate.of(2031, 12, 16), Optional.of(DayOfWeek.MONDAY), "Monday timetable")));

        assertThat(calendar.datesOf(weekly("2031-10-20", "2031-11-03", 1, DayOfWeek.MONDAY)))
                .containsExactly(LocalDate.of(2031, 10, 20), LocalDate.of(2031, 11, 3));
        assertThat(calendar.datesOf(weekly("2031-12-15", "2031-12-19", 1, DayOfWeek.MONDAY)))
                .containsExactly(LocalDate.of(2031, 12, 15), LocalDate.of(2031, 12, 16));
        assertThat(calendar.datesOf(weekly("2031-12-15", "2031-12-19", 1, DayOfWeek.TUESDAY)))
                .isEmpty();
    }

    @Test
    void oneDateIsHeldWhateverTheCalendarSaysAndArrangedHoursHaveNone() {
        LocalDate harvest = LocalDate.of(2031, 10, 27);
        var calendar =
                new TermCalendar(List.of(new TermCalendar.ExceptionalDay(harvest, Optional.empty(), "Harvest Week")));

        assertThat(calendar.datesOf(new Timing.Once(harvest, NINE))).containsExactly(harvest);
        assertThat(calendar.datesOf(new Timing.Arranged(BigDecimal.ONE, new DateRange(harvest, harvest))))
                .isEmpty();
    }

    /** An independent expander of recurrences, lib-recur, gives the same dates for any days, weeks, first day and day that they count from. */
    @Property(tries = 2000)
    void agreesWithAnIndependentExpander(
            @ForAll @IntRange(min = 1, max = 127) int days,
            @ForAll @IntRange(min = 1, max = 2) int everyWeeks,
            @ForAll @IntRange(max = 400) int startsAfter,
            @ForAll @IntRange(max = 250) int length,
            @ForAll @IntRange(max = 40) int countedBefore)
            throws InvalidRecurrenceRuleException {
        LocalDate first = LocalDate.of(2031, 1, 1).plusDays(startsAfter);
        LocalDate last = first.plusDays(length);
        LocalDate counted = first.minusDays(countedBefore);
        var timing = new Timing.Weekly(new Days(days), NINE, new DateRange(first, last), everyWeeks, counted);

        assertThat(TermCalendar.PLAIN.datesOf(timing))
                .containsExactlyElementsOf(expandedByLibRecur(timing.days(), everyWeeks, counted, last).stream()
                        .filter(date -> !date.isBefore(first))
                        .toList());
    }

    private static List<LocalDate> expandedByLibRecur(Days days, int everyWeeks, LocalDate counted, LocalDate last)
            throws InvalidRecurrenceRuleException {
        String byDay =
                days.list().stream().map(day -> day.name().substring(0, 2)).collect(Collectors.joining(","));
        String weekBegins = counted.getDayOfWeek().name().substring(0, 2);
        var rule =
                new RecurrenceRule("FREQ=WEEKLY;WKST=%s;INTERVAL=%d;BYDAY=%s".formatted(weekBegins, everyWeeks, byDay));
        RecurrenceRuleIterator iterator =
                rule.iterator(new DateTime(counted.getYear(), counted.getMonthValue() - 1, counted.getDayOfMonth()));
        List<LocalDate> dates = new ArrayList<>();
        while (iterator.hasNext()) {
            DateTime next = iterator.nextDateTime();
            LocalDate date = LocalDate.of(next.getYear(), next.getMonth() + 1, next.getDayOfMonth());
            if (date.isAfter(last)) {
                break;
            }
            // RFC 5545 counts the start as the first instance even where the rule leaves it out; a timetable does not.
            if (days.contains(date.getDayOfWeek())) {
                dates.add(date);
            }
        }
        return dates;
    }

    private static Timing.Weekly weekly(String first, String last, int everyWeeks, DayOfWeek... days) {
        return new Timing.Weekly(
                Days.of(days), NINE, new DateRange(LocalDate.parse(first), LocalDate.parse(last)), everyWeeks);
    }

    private static Stream<LocalDate> dates(String month, int... days) {
        return Arrays.stream(days).mapToObj(day -> LocalDate.parse(month + "%02d".formatted(day)));
    }
}

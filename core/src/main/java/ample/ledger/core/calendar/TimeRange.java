package ample.ledger.core.calendar;

import java.time.LocalTime;
import java.util.Optional;

/**
 * The half-open stretch of one day between two wall-clock times, such as 9:30–10:50.
 *
 * <p>Never empty and never across midnight, at which it may end: {@link ClockTime#END_OF_DAY}. Minutes are the resolution: registrars post
 * nothing finer.
 */
public record TimeRange(LocalTime start, LocalTime end) {

    public TimeRange {
        if (!isToTheMinute(start) || !isToTheMinute(end) && !end.equals(ClockTime.END_OF_DAY)) {
            throw new IllegalArgumentException("Times are posted to the minute: " + start + " to " + end);
        }
        if (!start.isBefore(end)) {
            throw new IllegalArgumentException("A meeting must end after it starts: " + start + " to " + end);
        }
    }

    private static boolean isToTheMinute(LocalTime time) {
        return time.getSecond() == 0 && time.getNano() == 0;
    }

    /** Reads {@code 9:30} or {@code 09:30} twice, the second of which may be {@code 24:00}. */
    public static TimeRange of(String start, String end) {
        return new TimeRange(
                ClockTime.parse(start).orElseThrow(), ClockTime.parseEnd(end).orElseThrow());
    }

    public int startMinute() {
        return ClockTime.minuteOfDay(start);
    }

    public int endMinute() {
        return ClockTime.minuteOfDay(end);
    }

    /** Length in minutes; at least 1. */
    public int minutes() {
        return endMinute() - startMinute();
    }

    /** The time that both have; empty where one ends before the other begins, or as it does. */
    public Optional<TimeRange> overlap(TimeRange other) {
        LocalTime from = start.isAfter(other.start) ? start : other.start;
        LocalTime to = end.isBefore(other.end) ? end : other.end;
        return from.isBefore(to) ? Optional.of(new TimeRange(from, to)) : Optional.empty();
    }

    /** Minutes shared with {@code other}; 0 when they merely touch. */
    public int overlapMinutes(TimeRange other) {
        return Math.max(0, Math.min(endMinute(), other.endMinute()) - Math.max(startMinute(), other.startMinute()));
    }

    /** Whether {@code other} lies entirely in this range; a common edge counts as inside. */
    public boolean encloses(TimeRange other) {
        return !other.start.isBefore(start) && !other.end.isAfter(end);
    }

    /** As people write it, in 24 hours: "9:30–10:50". */
    @Override
    public String toString() {
        return ClockTime.format(start) + "–" + ClockTime.format(end);
    }
}

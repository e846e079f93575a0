package ample.ledger.core.calendar;

import java.time.LocalTime;

/** How a reader likes wall-clock times to be written. */
public enum ClockStyle {
    /** "9:30", "13:00". */
    HOURS_24,
    /** "9:30 am", "1 pm". */
    HOURS_12;

    private static final int NOON = 12;

    /** "9:30", or "9:30 am"; a full hour of twelve is said without its minutes. */
    public String format(LocalTime time) {
        if (this == HOURS_24) {
            return ClockTime.format(time);
        }
        return time.equals(ClockTime.END_OF_DAY) ? "midnight" : digits(time) + " " + half(time);
    }

    /** "9:30–10:50", or "9:30–10:50 am": what both ends share is said once. */
    public String format(TimeRange range) {
        if (this == HOURS_24) {
            return range.toString();
        }
        boolean sameHalf =
                half(range.start()).equals(half(range.end())) && !range.end().equals(ClockTime.END_OF_DAY);
        return (sameHalf ? digits(range.start()) : format(range.start())) + "–" + format(range.end());
    }

    /** An hour of the day as it heads a row: "13", or "1 pm". */
    public String formatHour(int hour) {
        return this == HOURS_24 ? String.valueOf(hour) : hour == 24 ? "midnight" : format(LocalTime.of(hour, 0));
    }

    private static String digits(LocalTime time) {
        int hour = time.getHour() % NOON == 0 ? NOON : time.getHour() % NOON;
        return time.getMinute() == 0 ? String.valueOf(hour) : ClockTime.digits(hour, time.getMinute());
    }

    private static String half(LocalTime time) {
        return time.getHour() < NOON ? "am" : "pm";
    }
}

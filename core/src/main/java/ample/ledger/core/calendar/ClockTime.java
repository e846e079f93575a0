package ample.ledger.core.calendar;

import java.time.LocalTime;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How a wall-clock time to the minute is written and read: "9:30" of 24 hours. */
public final class ClockTime {

    private static final Pattern FORM = Pattern.compile("(\\d{1,2})(?::(\\d{2}))?");

    private ClockTime() {}

    /** Reads {@code 9}, {@code 9:30} or {@code 09:30}; empty for anything else, 24:00 included. */
    public static Optional<LocalTime> parse(String text) {
        Matcher matcher = FORM.matcher(text.strip());
        if (!matcher.matches()) {
            return Optional.empty();
        }
        int hour = Integer.parseInt(matcher.group(1));
        int minute = matcher.group(2) == null ? 0 : Integer.parseInt(matcher.group(2));
        return hour < 24 && minute < 60 ? Optional.of(LocalTime.of(hour, minute)) : Optional.empty();
    }

    /** "9:30", without a leading zero. */
    public static String format(LocalTime time) {
        return digits(time.getHour(), time.getMinute());
    }

    /** Without a format, which takes ten times as long: pages write hundreds of times. */
    static String digits(int hour, int minute) {
        return hour + (minute < 10 ? ":0" : ":") + minute;
    }

    /** Minutes since midnight; 0 to 1439. */
    public static int minuteOfDay(LocalTime time) {
        return time.getHour() * 60 + time.getMinute();
    }
}

package ample.ledger.core.calendar;

import java.time.LocalTime;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How a wall-clock time to the minute is written and read: "9:30" of 24 hours. */
public final class ClockTime {

    /** The end of a day, 24:00, which Java has no time for; PostgreSQL's driver gives it in the same way. */
    public static final LocalTime END_OF_DAY = LocalTime.MAX;

    private static final Pattern FORM = Pattern.compile("(\\d{1,2})(?::(\\d{2}))?");

    private ClockTime() {}

    /** As {@link #parse}, and 24:00, which is {@link #END_OF_DAY}. */
    public static Optional<LocalTime> parseEnd(String text) {
        return text.strip().equals("24:00") ? Optional.of(END_OF_DAY) : parse(text);
    }

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
        return time.equals(END_OF_DAY) ? "24:00" : digits(time.getHour(), time.getMinute());
    }

    /** The same with two digits for the hour, as programs write it: "09:30". */
    public static String formatForPrograms(LocalTime time) {
        return time.equals(END_OF_DAY) ? "24:00" : time.toString();
    }

    /** Without a format, which takes ten times as long: pages write hundreds of times. */
    static String digits(int hour, int minute) {
        return hour + (minute < 10 ? ":0" : ":") + minute;
    }

    /** Minutes since midnight; 0 to 1440, which is the end of the day. */
    public static int minuteOfDay(LocalTime time) {
        return time.equals(END_OF_DAY) ? 24 * 60 : time.getHour() * 60 + time.getMinute();
    }
}

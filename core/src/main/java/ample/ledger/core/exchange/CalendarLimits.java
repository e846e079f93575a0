package ample.ledger.core.exchange;

import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Looks through the text of a calendar file before anything is worked out from it. The library that reads it follows any rule
 * that it finds; a few lines can ask for more dates than a processor counts in a year.
 *
 * <p>What an event may ask for is judged event by event, where {@link BusyCalendar} leaves it out. Time zones are judged here, for
 * the library follows their rules while it reads.
 */
final class CalendarLimits {

    /** A calendar of ten years with an event every other day. */
    static final int MOST_EVENTS = 2_000;

    private static final int MOST_CALENDARS = 200;

    /** Each time of each event is looked for among all changes of the clock. */
    private static final long MOST_LOOKED_UP = 400_000;

    /** Lines that are continued on the next: RFC 5545, section 3.1. */
    private static final Pattern FOLD = Pattern.compile("\\r?\\n[ \\t]");

    private static final Pattern PART = Pattern.compile("[;:]");
    private static final Set<String> WITHIN_A_DAY = Set.of("BYHOUR", "BYMINUTE", "BYSECOND");

    private int calendars;
    private int events;
    private int clockChanges;

    private CalendarLimits() {}

    /** @throws CalendarRefusedException when the file asks for more work than any calendar needs */
    static void check(String text) {
        CalendarLimits limits = new CalendarLimits();
        boolean inZone = false;
        for (String line : FOLD.matcher(text).replaceAll("").split("\\r?\\n|\\r")) {
            String upper = line.strip().toUpperCase(Locale.ROOT);
            limits.count(upper);
            if (upper.equals("BEGIN:VTIMEZONE")) {
                inZone = true;
            } else if (upper.equals("END:VTIMEZONE")) {
                inZone = false;
            } else if (inZone && isRule(upper) && !isYearly(upper)) {
                throw new CalendarRefusedException(
                        "a time zone in it changes the clock by the rule “%s”; clocks are changed once a year"
                                .formatted(line.substring(0, Math.min(80, line.length()))));
            }
        }
        limits.judge();
    }

    private void count(String line) {
        switch (line) {
            case "BEGIN:VCALENDAR" -> calendars++;
            case "BEGIN:VEVENT" -> events++;
            case "BEGIN:STANDARD", "BEGIN:DAYLIGHT" -> clockChanges++;
            default -> {
                // Every other line is read when its event is.
            }
        }
    }

    private void judge() {
        if (calendars > MOST_CALENDARS || events > MOST_EVENTS || (long) events * clockChanges > MOST_LOOKED_UP) {
            throw new CalendarRefusedException(
                    "it holds %,d calendars with %,d events and %,d changes of the clock, and at most %,d with %,d events are read; export fewer months"
                            .formatted(calendars, events, clockChanges, MOST_CALENDARS, MOST_EVENTS));
        }
    }

    private static boolean isRule(String line) {
        return Arrays.stream(PART.split(line, 2)).findFirst().stream()
                .anyMatch(name -> name.equals("RRULE") || name.equals("EXRULE"));
    }

    private static boolean isYearly(String line) {
        Set<String> parts = Set.copyOf(Arrays.asList(PART.split(line)));
        return parts.contains("FREQ=YEARLY")
                && parts.stream().map(part -> part.replaceAll("=.*", "")).noneMatch(WITHIN_A_DAY::contains);
    }
}

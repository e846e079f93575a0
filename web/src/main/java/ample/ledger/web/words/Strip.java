package ample.ledger.web.words;

import ample.ledger.core.browse.Brief;
import ample.ledger.core.browse.SectionCondition.Between;
import ample.ledger.core.browse.SectionCondition.OnDays;
import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The week strip of one section: days side by side, hours running left to right, a bar for each meeting. What is the same
 * in every strip of a page, the {@link Ground}, is drawn once and used by all. Measures are pixels of its own drawing,
 * {@link Ground#width()} by {@link #HEIGHT}.
 */
public record Strip(List<Bar> bars) {

    public static final int HEIGHT = 15;

    private static final String SOME_WEEKS = " some-weeks";
    private static final int DAY_WIDTH = 41;
    private static final int GAP = 5;
    private static final int FIRST_MINUTE = 7 * 60;
    private static final int LAST_MINUTE = 22 * 60;

    /** One day of the strip, at {@code x}. */
    public record Day(String name, int x) {

        public int end() {
            return x + DAY_WIDTH;
        }

        public int middle() {
            return x + DAY_WIDTH / 2;
        }

        /** Where twelve o'clock is. */
        public String noon() {
            return figure(x + offset(12 * 60));
        }
    }

    /** Behind the bars of every strip: the days, and the student's window shaded. */
    public record Ground(List<Day> days, List<Bar> window) {

        public int width() {
            return days.get(days.size() - 1).end();
        }
    }

    /** A stretch of one day. */
    public record Bar(String x, String width, String style) {

        /** Whether it is drawn low: not every week. */
        public boolean low() {
            return style.endsWith(SOME_WEEKS);
        }
    }

    /** The ground under {@code brief}: Monday to Saturday, and Sunday where {@code met} has it. */
    public static Ground ground(Days met, Brief brief) {
        List<Day> days = new ArrayList<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            if (day != DayOfWeek.SUNDAY || met.contains(day)) {
                days.add(new Day(Days.shortName(day), x(day)));
            }
        }
        return new Ground(List.copyOf(days), window(brief, days.size()));
    }

    public static Strip of(Section section) {
        List<Bar> bars = new ArrayList<>();
        for (Meeting meeting : section.meetings()) {
            meeting.timing()
                    .time()
                    .ifPresent(time ->
                            meeting.timing().days().list().forEach(day -> bars.add(bar(day, time, style(meeting)))));
        }
        return new Strip(List.copyOf(bars));
    }

    /** The days and hours the brief asks for; nothing where it asks for none. */
    private static List<Bar> window(Brief brief, int shown) {
        Optional<OnDays> onDays = brief.condition(OnDays.class);
        Optional<Between> between = brief.condition(Between.class);
        if (onDays.isEmpty() && between.isEmpty()) {
            return List.of();
        }
        int from = between.flatMap(Between::from).map(ClockTime::minuteOfDay).orElse(FIRST_MINUTE);
        int to = between.flatMap(Between::to).map(ClockTime::minuteOfDay).orElse(LAST_MINUTE);
        return onDays.map(OnDays::days).orElse(Days.ALL).list().stream()
                .filter(day -> day.getValue() <= shown)
                .map(day -> bar(day, from, to, "window"))
                .toList();
    }

    private static Bar bar(DayOfWeek day, TimeRange time, String style) {
        return bar(day, time.startMinute(), time.endMinute(), style);
    }

    private static Bar bar(DayOfWeek day, int fromMinute, int toMinute, String style) {
        double from = offset(fromMinute);
        double width = Math.max(2, offset(toMinute) - from);
        return new Bar(figure(x(day) + Math.min(from, DAY_WIDTH - width)), figure(width), style);
    }

    private static String style(Meeting meeting) {
        String place = meeting.place() instanceof Place.Online ? "online" : "on-site";
        boolean everyWeek = meeting.timing() instanceof Timing.Weekly weekly && weekly.everyWeeks() == 1;
        return everyWeek ? place : place + SOME_WEEKS;
    }

    private static int x(DayOfWeek day) {
        return (day.getValue() - 1) * (DAY_WIDTH + GAP);
    }

    /** Pixels from the left edge of the day; hours outside the strip's own lie on its edge. */
    private static double offset(int minute) {
        int within = Math.max(FIRST_MINUTE, Math.min(LAST_MINUTE, minute));
        return (double) (within - FIRST_MINUTE) * DAY_WIDTH / (LAST_MINUTE - FIRST_MINUTE);
    }

    private static String figure(double pixels) {
        return String.format(Locale.ROOT, "%.1f", pixels);
    }
}

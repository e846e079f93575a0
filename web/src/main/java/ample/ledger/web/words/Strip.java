package ample.ledger.web.words;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.WeekPainting;
import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WeekFrame;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.plan.Clash;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The week strip of one section: days side by side, hours running left to right, a bar for each meeting. What is the same
 * in every strip of a page is the {@link Ground}. Measures are pixels of its own drawing, {@link Ground#width()} by
 * {@link #HEIGHT}.
 */
public record Strip(List<Bar> bars) {

    public static final int HEIGHT = 15;

    private static final String SOME_WEEKS = " some-weeks";
    private static final int DAY_WIDTH = 37;
    private static final int GAP = 4;

    /** What the style sheet draws where nothing else is said. */
    private static final long USUAL_NOON = 12;

    /** One day of the strip, at {@code x}; {@code noon} is where twelve o'clock is. */
    public record Day(DayOfWeek day, int x, String noon) {

        public String name() {
            return Days.shortName(day);
        }

        public int end() {
            return x + DAY_WIDTH;
        }

        public int middle() {
            return x + DAY_WIDTH / 2;
        }
    }

    /**
     * Behind the bars of every strip: the days, and the student's window shaded.
     *
     * @param shaded the window as one outline; empty where nothing is shaded
     */
    public record Ground(WeekFrame frame, List<Day> days, String shaded) {

        Ground(WeekFrame frame, List<Day> days, List<Bar> window) {
            this(
                    frame,
                    List.copyOf(days),
                    window.stream()
                            .map(bar -> "M" + bar.x() + " 0h" + bar.width() + "v14h-" + bar.width() + "z")
                            .collect(Collectors.joining()));
        }

        /**
         * Through the marks of noon, of which the style sheet makes dashes as long as a day; on what is shaded. Elsewhere the
         * style sheet draws them, and the line under the days, behind every strip.
         */
        public String noons() {
            return "M" + days.get(0).noon() + " 12.5H" + width();
        }

        public int width() {
            return days.get(days.size() - 1).end();
        }

        /** Of every strip, where its days do not run from 7 to 22: where the style sheet draws noon, in pixels from the left edge of a day. */
        public String style() {
            long noon = Math.round(offset(12 * 60, frame) - 0.3);
            return noon == USUAL_NOON ? "strip" : "strip noon-" + noon;
        }

        /** Where a day begins; nothing for a day that is not shown. */
        private Optional<Integer> x(DayOfWeek day) {
            return days.stream().filter(shown -> shown.day() == day).map(Day::x).findFirst();
        }
    }

    /** A stretch of one day. */
    public record Bar(String x, String width, String style) {}

    /**
     * The ground under {@code brief}: the days of the week in their order, without those of the weekend that none of {@code met} has.
     */
    public static Ground ground(Days met, Brief brief, WeekFrame frame) {
        List<Day> days = new ArrayList<>();
        for (DayOfWeek day : frame.days()) {
            if (!frame.form().weekend().contains(day) || met.contains(day)) {
                int x = days.size() * (DAY_WIDTH + GAP);
                days.add(new Day(day, x, figure(x + offset(12 * 60, frame))));
            }
        }
        return window(new Ground(frame, days, List.of()), brief);
    }

    public static Strip of(Section section, Ground ground) {
        return new Strip(section.meetings().stream()
                .flatMap(meeting -> meeting.timing().time().stream()
                        .flatMap(time -> bars(meeting.timing().days(), time, style(meeting), ground)))
                .toList());
    }

    /** Of several sections, one over the other. */
    public static Strip of(List<Section> sections, Ground ground) {
        return new Strip(sections.stream()
                .flatMap(section -> of(section, ground).bars().stream())
                .toList());
    }

    /** When sections are in each other's time. */
    public static Strip ofClashes(List<Clash> clashes, Ground ground) {
        return new Strip(clashes.stream()
                .flatMap(clash -> clash.hours().stream())
                .flatMap(hours -> bars(hours.days(), hours.time(), "clash", ground))
                .distinct()
                .toList());
    }

    private static Stream<Bar> bars(Days days, TimeRange time, String style, Ground ground) {
        return days.list().stream()
                .flatMap(day -> ground.x(day).stream())
                .map(x -> bar(x, time.startMinute(), time.endMinute(), style, ground.frame()));
    }

    /** With the hours open that the brief leaves open; with nothing shaded where it closes none. */
    private static Ground window(Ground ground, Brief brief) {
        WeekHours closed = WeekPainting.closed(brief);
        if (closed.isEmpty()) {
            return ground;
        }
        List<Bar> window = new ArrayList<>();
        for (Day shown : ground.days()) {
            WeekHours.of(
                            shown.day(),
                            ground.frame().firstMinute(),
                            ground.frame().lastMinute())
                    .minus(closed)
                    .stretches()
                    .forEach(stretch -> {
                        int from = ClockTime.minuteOfDay(stretch.from());
                        window.add(bar(shown.x(), from, from + stretch.minutes(), "window", ground.frame()));
                    });
        }
        return new Ground(ground.frame(), ground.days(), window);
    }

    private static Bar bar(int x, int fromMinute, int toMinute, String style, WeekFrame frame) {
        double from = offset(fromMinute, frame);
        double width = Math.max(2, offset(toMinute, frame) - from);
        return new Bar(figure(x + Math.min(from, DAY_WIDTH - width)), figure(width), style);
    }

    private static String style(Meeting meeting) {
        String place = meeting.place() instanceof Place.Online ? "online" : "on-site";
        boolean everyWeek = meeting.timing() instanceof Timing.Weekly weekly && weekly.everyWeeks() == 1;
        return everyWeek ? place : place + SOME_WEEKS;
    }

    /** Pixels from the left edge of the day; hours outside the strip's own lie on its edge. */
    private static double offset(int minute, WeekFrame frame) {
        return (double) (frame.nearest(minute) - frame.firstMinute()) * DAY_WIDTH / (frame.hours() * 60);
    }

    private static String figure(double pixels) {
        return String.format(Locale.ROOT, "%.1f", pixels);
    }
}

package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.Density;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.WeekPainting;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * The week to be painted: days side by side, hours from top to bottom, each half hour shaded by how many fitting sections
 * meet then, closed hours hatched.
 *
 * @param days the heads of its columns
 * @param hours the heads of its rows
 * @param shades outlines of the half hours of one shade together
 * @param hatch outline of the closed hours
 * @param counts for each day, from its first to its last hour, how many fitting sections meet in each half hour
 * @param opened the same were no hours closed
 * @param closed as the parameter of an address; empty where no hour shown is closed
 */
public record WeekPicture(
        List<Head> days,
        List<Head> hours,
        List<Shade> shades,
        String hatch,
        String counts,
        String opened,
        String closed) {

    static final int FIRST_HOUR = 7;
    static final int LAST_HOUR = 22;
    private static final int LEFT = 34;
    private static final int TOP = 18;
    private static final int DAY_WIDTH = 33;
    private static final int HOUR_HEIGHT = 18;
    private static final int QUARTER = 60 / WeekHours.MINUTES;
    private static final int SHADES = 6;

    /**
     * A day or an hour, which can be closed or opened whole.
     *
     * @param code of an address: "tue", or "9:00-10:00"
     * @param closed whether all of it is closed, so that choosing it opens it
     */
    public record Head(String label, String code, int at, String address, boolean closed, String says) {}

    /** @param style "fits-1" to "fits-6", or "else-1" to "else-6" for what only fits were hours open */
    public record Shade(String style, String outline) {}

    public int left() {
        return LEFT;
    }

    public int top() {
        return TOP;
    }

    public int dayWidth() {
        return DAY_WIDTH;
    }

    public int hourHeight() {
        return HOUR_HEIGHT;
    }

    public int firstHour() {
        return FIRST_HOUR;
    }

    public int lastHour() {
        return LAST_HOUR;
    }

    public int width() {
        return LEFT + 7 * DAY_WIDTH;
    }

    public int height() {
        return TOP + (LAST_HOUR - FIRST_HOUR) * HOUR_HEIGHT + 2;
    }

    /** @param here the address that painting changes */
    static WeekPicture of(Brief brief, Density density, Preferences preferences, String here) {
        WeekHours closed = WeekPainting.closed(brief);
        List<DayOfWeek> week = preferences.week();
        List<Head> days = new ArrayList<>();
        for (int at = 0; at < week.size(); at++) {
            String name = Days.shortName(week.get(at));
            boolean all = WeekHours.of(week.get(at), 0, 24 * 60).minus(closed).isEmpty();
            days.add(head(name, name.toLowerCase(Locale.ROOT), LEFT + at * DAY_WIDTH, all, here, "all " + name));
        }
        List<Head> hours = new ArrayList<>();
        for (int hour = FIRST_HOUR; hour < LAST_HOUR; hour++) {
            String label = preferences.clock().formatHour(hour);
            boolean all = hour(hour).minus(closed).isEmpty();
            String code = "%d:00-%d:00".formatted(hour, hour + 1);
            hours.add(head(label, code, TOP + (hour - FIRST_HOUR) * HOUR_HEIGHT, all, here, "the hour from " + label));
        }
        return new WeekPicture(
                days,
                hours,
                shades(week, density),
                hatch(week, closed),
                counts(week, density::fitting),
                counts(week, density::open),
                closed.toString());
    }

    private static Head head(String label, String code, int at, boolean closed, String here, String what) {
        return new Head(
                label,
                code,
                at,
                Addresses.with(here, closed ? "reopen" : "close", code),
                closed,
                (closed ? "Open " : "Close ") + what);
    }

    private static WeekHours hour(int hour) {
        return Days.ALL.list().stream()
                .map(day -> WeekHours.of(day, hour * 60, (hour + 1) * 60))
                .reduce(WeekHours.NONE, WeekHours::plus);
    }

    /** A number of sections for a half hour of a day. */
    private interface Count {
        int at(DayOfWeek day, int halfHour);
    }

    private static String counts(List<DayOfWeek> week, Count count) {
        return week.stream()
                .map(day -> {
                    List<String> figures = new ArrayList<>();
                    for (int half = FIRST_HOUR * 2; half < LAST_HOUR * 2; half++) {
                        figures.add(String.valueOf(count.at(day, half)));
                    }
                    return String.join(",", figures);
                })
                .collect(Collectors.joining(";"));
    }

    private static List<Shade> shades(List<DayOfWeek> week, Density density) {
        int mostFitting = most(week, density::fitting);
        int mostOpen = most(week, density::open);
        List<Shade> shades = new ArrayList<>();
        for (int shade = 1; shade <= SHADES; shade++) {
            int wanted = shade;
            shades.add(new Shade(
                    "fits-" + shade,
                    halves(week, (day, half) -> shade(density.fitting(day, half), mostFitting) == wanted)));
            shades.add(new Shade(
                    "else-" + shade,
                    halves(
                            week,
                            (day, half) -> density.fitting(day, half) == 0
                                    && shade(density.open(day, half), mostOpen) == wanted)));
        }
        shades.removeIf(shade -> shade.outline().isEmpty());
        return shades;
    }

    /** The greatest count of the hours shown; 1 where there is none. */
    private static int most(List<DayOfWeek> week, Count count) {
        return week.stream()
                .flatMapToInt(
                        day -> IntStream.range(FIRST_HOUR * 2, LAST_HOUR * 2).map(half -> count.at(day, half)))
                .reduce(1, Math::max);
    }

    /** From 0, for none, to {@link #SHADES}, for the most there are. */
    private static int shade(int count, int most) {
        return (count * SHADES + most - 1) / most;
    }

    /** Whether a half hour of a day belongs to an outline. */
    private interface Belongs {
        boolean at(DayOfWeek day, int step);
    }

    private static String halves(List<DayOfWeek> week, Belongs belongs) {
        return outline(week, 2, belongs);
    }

    private static String hatch(List<DayOfWeek> week, WeekHours closed) {
        return outline(
                week, QUARTER, (day, quarter) -> closed.contains(WeekHours.cell(day, quarter * WeekHours.MINUTES)));
    }

    /** The steps of all days that belong together, those below each other as one. */
    private static String outline(List<DayOfWeek> week, int stepsAnHour, Belongs belongs) {
        StringBuilder outline = new StringBuilder();
        for (int at = 0; at < week.size(); at++) {
            int step = FIRST_HOUR * stepsAnHour;
            while (step < LAST_HOUR * stepsAnHour) {
                int from = step;
                while (step < LAST_HOUR * stepsAnHour && belongs.at(week.get(at), step)) {
                    step++;
                }
                if (step > from) {
                    outline.append(box(LEFT + at * DAY_WIDTH, y(from, stepsAnHour), y(step, stepsAnHour)));
                }
                step = step == from ? step + 1 : step;
            }
        }
        return outline.toString();
    }

    private static String box(int x, double top, double bottom) {
        return String.format(
                Locale.ROOT, "M%d %sh%dv%sh-%dz", x, figure(top), DAY_WIDTH - 1, figure(bottom - top), DAY_WIDTH - 1);
    }

    private static double y(int step, int stepsAnHour) {
        return TOP + (step - FIRST_HOUR * stepsAnHour) * (double) HOUR_HEIGHT / stepsAnHour;
    }

    private static String figure(double pixels) {
        return pixels == Math.rint(pixels) ? String.valueOf((int) pixels) : String.valueOf(pixels);
    }
}

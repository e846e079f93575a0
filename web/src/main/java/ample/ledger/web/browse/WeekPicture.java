package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.Density;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.WeekPainting;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekFrame;
import ample.ledger.core.calendar.WeekHours;
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
 * @param frame its days and hours
 * @param days the heads of its columns
 * @param hours the heads of its rows
 * @param shades outlines of the half hours of one shade together
 * @param hatch outline of the closed hours
 * @param counts for each day, from its first to its last hour, how many fitting sections meet in each half hour
 * @param opened the same were no hours closed
 * @param closed as the parameter of an address; empty where no hour shown is closed
 */
public record WeekPicture(
        WeekFrame frame,
        List<Head> days,
        List<Head> hours,
        List<Shade> shades,
        String hatch,
        String counts,
        String opened,
        String closed) {

    private static final int LEFT = 34;
    private static final int TOP = 18;
    private static final int DAY_WIDTH = 33;
    private static final int HOUR_HEIGHT = 18;
    private static final int CELLS_AN_HOUR = 60 / WeekHours.MINUTES;
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

    public int width() {
        return LEFT + 7 * DAY_WIDTH;
    }

    public int height() {
        return TOP + frame.hours() * HOUR_HEIGHT + 2;
    }

    /** @param here the address that painting changes */
    static WeekPicture of(Brief brief, Density density, WeekFrame frame, ClockStyle clock, String here) {
        WeekHours closed = WeekPainting.closed(brief);
        List<DayOfWeek> week = frame.days();
        List<Head> days = new ArrayList<>();
        for (int at = 0; at < week.size(); at++) {
            String name = Days.shortName(week.get(at));
            boolean all = WeekHours.of(week.get(at), 0, 24 * 60).minus(closed).isEmpty();
            days.add(head(name, name.toLowerCase(Locale.ROOT), LEFT + at * DAY_WIDTH, all, here, "all " + name));
        }
        List<Head> hours = new ArrayList<>();
        for (int hour = frame.firstHour(); hour < frame.lastHour(); hour++) {
            String label = clock.formatHour(hour);
            boolean all = hour(hour).minus(closed).isEmpty();
            String code = "%d:00-%d:00".formatted(hour, hour + 1);
            hours.add(head(
                    label, code, TOP + (hour - frame.firstHour()) * HOUR_HEIGHT, all, here, "the hour from " + label));
        }
        return new WeekPicture(
                frame,
                days,
                hours,
                shades(frame, density),
                hatch(frame, closed),
                counts(frame, density::fitting),
                counts(frame, density::open),
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

    private static String counts(WeekFrame frame, Count count) {
        return frame.days().stream()
                .map(day -> {
                    List<String> figures = new ArrayList<>();
                    for (int half = frame.firstHour() * 2; half < frame.lastHour() * 2; half++) {
                        figures.add(String.valueOf(count.at(day, half)));
                    }
                    return String.join(",", figures);
                })
                .collect(Collectors.joining(";"));
    }

    private static List<Shade> shades(WeekFrame frame, Density density) {
        int mostFitting = most(frame, density::fitting);
        int mostOpen = most(frame, density::open);
        List<Shade> shades = new ArrayList<>();
        for (int shade = 1; shade <= SHADES; shade++) {
            int wanted = shade;
            shades.add(new Shade(
                    "fits-" + shade,
                    halves(frame, (day, half) -> shade(density.fitting(day, half), mostFitting) == wanted)));
            shades.add(new Shade(
                    "else-" + shade,
                    halves(
                            frame,
                            (day, half) -> density.fitting(day, half) == 0
                                    && shade(density.open(day, half), mostOpen) == wanted)));
        }
        shades.removeIf(shade -> shade.outline().isEmpty());
        return shades;
    }

    /** The greatest count of the hours shown; 1 where there is none. */
    private static int most(WeekFrame frame, Count count) {
        return frame.days().stream()
                .flatMapToInt(day -> IntStream.range(frame.firstHour() * 2, frame.lastHour() * 2)
                        .map(half -> count.at(day, half)))
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

    private static String halves(WeekFrame frame, Belongs belongs) {
        return outline(frame, 2, belongs);
    }

    private static String hatch(WeekFrame frame, WeekHours closed) {
        return outline(
                frame, CELLS_AN_HOUR, (day, cell) -> closed.contains(WeekHours.cell(day, cell * WeekHours.MINUTES)));
    }

    /** The steps of all days that belong together, those below each other as one. */
    private static String outline(WeekFrame frame, int stepsAnHour, Belongs belongs) {
        StringBuilder outline = new StringBuilder();
        List<DayOfWeek> week = frame.days();
        int last = frame.lastHour() * stepsAnHour;
        for (int at = 0; at < week.size(); at++) {
            int step = frame.firstHour() * stepsAnHour;
            while (step < last) {
                int from = step;
                while (step < last && belongs.at(week.get(at), step)) {
                    step++;
                }
                if (step > from) {
                    outline.append(
                            box(LEFT + at * DAY_WIDTH, y(from, stepsAnHour, frame), y(step, stepsAnHour, frame)));
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

    private static double y(int step, int stepsAnHour, WeekFrame frame) {
        return TOP + (step - frame.firstHour() * stepsAnHour) * (double) HOUR_HEIGHT / stepsAnHour;
    }

    private static String figure(double pixels) {
        return pixels == Math.rint(pixels) ? String.valueOf((int) pixels) : String.valueOf(pixels);
    }
}

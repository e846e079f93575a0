package ample.ledger.core.browse.answer;

import ample.ledger.core.browse.index.SectionSet;
import ample.ledger.core.browse.index.Timetable;
import java.time.DayOfWeek;
import java.util.Arrays;

/**
 * How many sections meet in each half hour of each day of the week, on whatever dates: of those that fit, and of those that
 * would fit if no days and no hours were asked for or closed.
 */
public final class Density {

    /** Half hours of a day. */
    public static final int HALF_HOURS = 48;

    private final int[] fitting;
    private final int[] open;

    private Density(int[] fitting, int[] open) {
        this.fitting = fitting;
        this.open = open;
    }

    /** Both added up. */
    Density plus(Density other) {
        return new Density(sum(fitting, other.fitting), sum(open, other.open));
    }

    private static int[] sum(int[] some, int[] others) {
        int[] sum = some.clone();
        Arrays.setAll(sum, i -> some[i] + others[i]);
        return sum;
    }

    /** Cost: {@link Timetable#meetingByHalfHour}. */
    static Density of(Timetable timetable, SectionSet fitting, SectionSet open) {
        int[] now = timetable.meetingByHalfHour(fitting);
        return new Density(now, open == fitting ? now : timetable.meetingByHalfHour(open));
    }

    /**
     * Sections that fit and meet then.
     *
     * @param halfHour from 0, for midnight, to 47
     */
    public int fitting(DayOfWeek day, int halfHour) {
        return fitting[place(day, halfHour)];
    }

    /** Sections that meet then and fit every condition but those on days and hours. */
    public int open(DayOfWeek day, int halfHour) {
        return open[place(day, halfHour)];
    }

    private static int place(DayOfWeek day, int halfHour) {
        return (day.getValue() - 1) * HALF_HOURS + halfHour;
    }
}

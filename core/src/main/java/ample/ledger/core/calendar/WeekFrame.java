package ample.ledger.core.calendar;

import java.time.DayOfWeek;
import java.util.Collection;
import java.util.List;

/**
 * The part of a week that pictures show: its days in order, and its hours as far as something meets in them.
 *
 * @param firstHour where every day begins; 0 to 7
 * @param lastHour where every day ends; 22 to 24
 */
public record WeekFrame(WeekForm form, int firstHour, int lastHour) {

    /** Hours that are shown even if nothing meets in them: common practice, no source. */
    private static final int FIRST_HOUR = 7;

    private static final int LAST_HOUR = 22;

    /** @param met the hours from the first class to the last, of each schedule that is shown */
    public static WeekFrame of(WeekForm form, Collection<TimeRange> met) {
        return new WeekFrame(
                form,
                met.stream().mapToInt(time -> time.startMinute() / 60).reduce(FIRST_HOUR, Math::min),
                met.stream().mapToInt(time -> (time.endMinute() + 59) / 60).reduce(LAST_HOUR, Math::max));
    }

    /** The seven days in order. */
    public List<DayOfWeek> days() {
        return form.days();
    }

    public int firstMinute() {
        return firstHour * 60;
    }

    public int lastMinute() {
        return lastHour * 60;
    }

    /** The minute of the day shown that lies nearest to {@code minute}: what goes on from another season may meet outside these hours. */
    public int nearest(int minute) {
        return Math.max(firstMinute(), Math.min(lastMinute(), minute));
    }

    /** How many hours. */
    public int hours() {
        return lastHour - firstHour;
    }
}

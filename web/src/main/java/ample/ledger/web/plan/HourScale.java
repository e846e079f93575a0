package ample.ledger.web.plan;

import ample.ledger.core.calendar.TimeRange;
import java.math.BigDecimal;
import java.util.List;

/**
 * The hours of the bands from left to right; measures across are shares of their width in per cent.
 *
 * @param from the minute of the day at the left edge, a full hour
 * @param to the same at the right edge
 */
record HourScale(int from, int to) {

    private static final int HOUR = 60;
    private static final int FIRST_HOUR = 8;
    private static final int LAST_HOUR = 18;

    /** From 8:00 to 18:00, and as much more as these times need. */
    static HourScale of(List<TimeRange> times) {
        int first = times.stream().mapToInt(TimeRange::startMinute).min().orElse(FIRST_HOUR * HOUR);
        int last = times.stream().mapToInt(TimeRange::endMinute).max().orElse(LAST_HOUR * HOUR);
        return new HourScale(
                HOUR * Math.min(FIRST_HOUR, first / HOUR), HOUR * Math.max(LAST_HOUR, (last + HOUR - 1) / HOUR));
    }

    int minutes() {
        return to - from;
    }

    /** Where a minute of the day stands. */
    String x(int minute) {
        return share(minute - from);
    }

    String width(TimeRange time) {
        return share(time.minutes());
    }

    /** So many minutes as a share of all, to a hundredth. */
    String share(double some) {
        return BigDecimal.valueOf(Math.round(some * 100 * 100 / minutes()), 2) + "%";
    }
}

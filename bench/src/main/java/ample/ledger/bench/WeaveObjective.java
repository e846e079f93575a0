package ample.ledger.bench;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.weave.WeaveModel;
import ample.ledger.core.weave.Wish;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;

/** The wishes of the measurement, and what solvers need to know of them. */
final class WeaveObjective {

    static final LocalTime EARLIEST = LocalTime.of(10, 0);
    static final int EARLIEST_MINUTE = ClockTime.minuteOfDay(EARLIEST);
    static final int MIDNIGHT = 24 * 60;
    static final int DAYS = 7;

    /** The weightiest first: weights of 4, 2 and 1. */
    static final List<Wish> WISHES =
            List.of(new Wish.DaysFree(Days.ALL), Wish.Plain.FEW_GAPS, new Wish.NotBefore(EARLIEST));

    static final int FREE_WEIGHT = 4 * Wish.FREE_DAY;
    static final int GAP_WEIGHT = 2;

    private WeaveObjective() {}

    /** The typical days on which any option meets. */
    static int[] days(WeaveModel model) {
        return model.options().stream()
                .flatMapToInt(option -> Arrays.stream(option.days()))
                .distinct()
                .sorted()
                .toArray();
    }

    /** The earliest start of the option on a day; midnight where it does not meet. */
    static int start(WeaveModel.Option option, int day) {
        int first = MIDNIGHT;
        for (int i = 0; i < option.days().length; i++) {
            if (option.days()[i] == day) {
                first = Math.min(first, option.starts()[i]);
            }
        }
        return first;
    }

    /** Its latest end on a day; 0 where it does not meet. */
    static int end(WeaveModel.Option option, int day) {
        int last = 0;
        for (int i = 0; i < option.days().length; i++) {
            if (option.days()[i] == day) {
                last = Math.max(last, option.ends()[i]);
            }
        }
        return last;
    }

    /** Its minutes on a day. */
    static int minutes(WeaveModel.Option option, int day) {
        int minutes = 0;
        for (int i = 0; i < option.days().length; i++) {
            if (option.days()[i] == day) {
                minutes += option.ends()[i] - option.starts()[i];
            }
        }
        return minutes;
    }
}

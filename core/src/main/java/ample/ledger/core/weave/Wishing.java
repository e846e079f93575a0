package ample.ledger.core.weave;

import ample.ledger.core.calendar.ClockTime;
import java.time.DayOfWeek;
import java.util.List;

/**
 * Wishes in their order of weight, each weighing twice the next, ready to be counted on one day of one week.
 *
 * <p>A day is given as its classes, each a long that {@link #pack} makes, in the order of their starts.
 */
final class Wishing {

    private static final int LUNCH_FROM = 11 * 60 + 30;
    private static final int LUNCH_TO = 13 * 60 + 30;
    private static final int LUNCH = 30;
    private static final int MOST_WEIGHED = 12;

    private final List<Wish> wishes;

    Wishing(List<Wish> wishes) {
        if (wishes.size() > MOST_WEIGHED) {
            throw new IllegalArgumentException(
                    "No more than " + MOST_WEIGHED + " wishes can be weighed, not " + wishes.size());
        }
        this.wishes = List.copyOf(wishes);
    }

    List<Wish> wishes() {
        return wishes;
    }

    int weight(int wish) {
        return 1 << (wishes.size() - 1 - wish);
    }

    /** All weights together; at least 1. */
    int allWeights() {
        return Math.max(1, (1 << wishes.size()) - 1);
    }

    /**
     * One class of a day.
     *
     * @param campus any number from 0 to 1,000; −1 for none
     */
    static long pack(int start, int end, int campus) {
        return (long) start << 40 | (long) end << 20 | campus + 1;
    }

    static int start(long packed) {
        return (int) (packed >>> 40);
    }

    static int end(long packed) {
        return (int) (packed >>> 20) & 0xFFFFF;
    }

    private static int campus(long packed) {
        return (int) packed & 0xFFFFF;
    }

    /**
     * The weighed points of one day.
     *
     * @param fill how many of the minutes between classes may still be filled; 0 counts the day as it is, more gives the
     *     least that it can come to
     */
    long points(DayOfWeek day, long[] classes, int count, int fill) {
        if (count == 0) {
            return 0;
        }
        long points = 0;
        for (int wish = 0; wish < wishes.size(); wish++) {
            points += (long) weight(wish) * points(wishes.get(wish), day, classes, count, fill);
        }
        return points;
    }

    /** The points of one wish on one day, not weighed. */
    int points(Wish wish, DayOfWeek day, long[] classes, int count, int fill) {
        if (count == 0) {
            return 0;
        }
        int first = start(classes[0]);
        if (wish instanceof Wish.DaysFree free) {
            return free.days().contains(day) ? Wish.FREE_DAY : 0;
        }
        if (wish instanceof Wish.NotBefore early) {
            return Math.max(0, ClockTime.minuteOfDay(early.time()) - first);
        }
        if (wish instanceof Wish.NotAfter late) {
            return Math.max(0, last(classes, count) - ClockTime.minuteOfDay(late.time()));
        }
        if (!(wish instanceof Wish.Plain plain)) {
            return 0;
        }
        return switch (plain) {
            case FEW_GAPS -> Math.max(0, gaps(classes, count) - fill);
            case ONE_CAMPUS -> Wish.ONE_TIME * changes(classes, count);
            case SHORT_DAYS -> Math.max(0, last(classes, count) - first - Wish.SHORT_DAY);
            case LUNCH -> lunch(classes, count) < LUNCH ? Wish.ONE_TIME : 0;
            case SEATS_TO_SPARE -> 0;
        };
    }

    private static int last(long[] classes, int count) {
        int last = 0;
        for (int i = 0; i < count; i++) {
            last = Math.max(last, end(classes[i]));
        }
        return last;
    }

    private static int gaps(long[] classes, int count) {
        int gaps = 0;
        int reached = end(classes[0]);
        for (int i = 1; i < count; i++) {
            gaps += Math.max(0, start(classes[i]) - reached);
            reached = Math.max(reached, end(classes[i]));
        }
        return gaps;
    }

    private static int changes(long[] classes, int count) {
        int changes = 0;
        int at = 0;
        for (int i = 0; i < count; i++) {
            int campus = campus(classes[i]);
            if (campus != 0) {
                if (at != 0 && at != campus) {
                    changes++;
                }
                at = campus;
            }
        }
        return changes;
    }

    /** The longest stretch of lunchtime without class, in minutes. */
    private static int lunch(long[] classes, int count) {
        int longest = 0;
        int free = LUNCH_FROM;
        for (int i = 0; i < count; i++) {
            longest = Math.max(longest, Math.min(LUNCH_TO, start(classes[i])) - free);
            free = Math.max(free, Math.min(LUNCH_TO, end(classes[i])));
        }
        return Math.max(longest, LUNCH_TO - free);
    }
}

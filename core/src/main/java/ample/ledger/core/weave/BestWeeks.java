package ample.ledger.core.weave;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/**
 * Finds the best choices of one option of each group under wishes: branch and bound (A. H. Land and A. G. Doig, 1960), with the
 * group that has the fewest options left next, its most promising option first.
 *
 * <p>A week that is only begun is given up when no way to finish it can be good enough. The least points it can end with: its
 * points so far, less the gaps that the remaining groups could fill at most, plus the cheapest option of each of them. For one
 * more class never makes a day cheaper, except by filling a gap. Cost: in the worst case all weeks.
 */
final class BestWeeks {

    private static final int DAYS = 7;
    private static final int STEPS_BETWEEN_LOOKS = 1 << 10;

    private final Compatibility compatibility;
    private final Footprint[] footprints;
    private final Wishing wishing;
    private final int[] weeksOf;
    private final int most;
    private final Watch watch;

    /** Of each group and cell the most minutes that an option of it fills there. */
    private final int[][] fills;

    private final long[][] dayClasses;
    private final int[] dayCounts;
    private final int[] dayFill;
    private final long[] dayPoints;
    private final int[] chosen;
    private final PriorityQueue<Found> best;
    private int steps;
    private boolean ended;

    /** One choice: an option of each group, by its number, and its points. */
    record Found(long points, int[] options) {}

    /** @param exact whether every choice was looked at or ruled out */
    record Result(List<Found> best, boolean exact) {}

    /**
     * @param footprints of each option
     * @param weeksOf how many weeks of term are like each of the typical weeks
     * @param most how many choices are wanted
     */
    BestWeeks(
            Compatibility compatibility,
            Footprint[] footprints,
            Wishing wishing,
            int[] weeksOf,
            int most,
            Watch watch) {
        this.compatibility = compatibility;
        this.footprints = footprints;
        this.wishing = wishing;
        this.weeksOf = weeksOf;
        this.most = most;
        this.watch = watch;
        int cells = weeksOf.length * DAYS;
        this.fills = new int[compatibility.groups()][cells];
        this.dayCounts = new int[cells];
        this.dayFill = new int[cells];
        this.dayPoints = new long[cells];
        this.chosen = new int[compatibility.groups()];
        this.best = new PriorityQueue<>(Comparator.comparingLong(Found::points).reversed());
        int[] room = new int[cells];
        for (int group = 0; group < compatibility.groups(); group++) {
            int[] mostClasses = new int[cells];
            for (int option = compatibility.firstOf(group);
                    option < compatibility.firstOf(group) + compatibility.size(group);
                    option++) {
                int[] minutes = new int[cells];
                int[] classes = new int[cells];
                Footprint footprint = footprints[option];
                for (int i = 0; i < footprint.cells().length; i++) {
                    int cell = footprint.cells()[i];
                    long packed = footprint.classes()[i];
                    minutes[cell] += Wishing.end(packed) - Wishing.start(packed);
                    classes[cell]++;
                    fills[group][cell] = Math.max(fills[group][cell], minutes[cell]);
                    mostClasses[cell] = Math.max(mostClasses[cell], classes[cell]);
                }
            }
            for (int cell = 0; cell < cells; cell++) {
                room[cell] += mostClasses[cell];
                dayFill[cell] += fills[group][cell];
            }
        }
        this.dayClasses = new long[cells][];
        for (int cell = 0; cell < cells; cell++) {
            dayClasses[cell] = new long[room[cell]];
        }
    }

    /** The best, the best first; of those with the same points the order is that of their options. */
    Result find() {
        int[] left = new int[compatibility.groups()];
        for (int group = 0; group < left.length; group++) {
            left[group] = group;
        }
        Arrays.fill(chosen, -1);
        search(compatibility.all(), left, left.length, 0, 0, 1);
        List<Found> found = new ArrayList<>(best);
        found.sort(Comparator.comparingLong(Found::points).thenComparing(Found::options, Arrays::compare));
        return new Result(found, !ended);
    }

    /** One option of a group with the bound of the weeks that have it. */
    private record Step(int option, long bound, long own, long[] allowed) {}

    /**
     * @param left groups to come: the first {@code count}; the others are chosen
     * @param own what the chosen options cost by themselves
     * @param from how much of the work was done before this
     * @param share how much of it this is
     */
    private void search(long[] allowed, int[] left, int count, long own, double from, double share) {
        if (count == 0) {
            take(own);
            return;
        }
        int tightest = tightest(allowed, left, count);
        int group = left[tightest];
        left[tightest] = left[count - 1];
        left[count - 1] = group;
        changeFill(group, -1);
        List<Step> options = options(allowed, left, count, group, own);
        double each = share / Math.max(1, options.size());
        for (int i = 0; i < options.size() && !ended; i++) {
            Step next = options.get(i);
            if (best.size() == most && next.bound() >= best.element().points()) {
                break;
            }
            if (++steps % STEPS_BETWEEN_LOOKS == 0) {
                ended = watch.stopped();
            }
            chosen[group] = next.option();
            place(next.option());
            search(next.allowed(), left, count - 1, next.own(), from + i * each, each);
            unplace(next.option());
            if (share > 0.001) {
                watch.reached(from + (i + 1) * each);
            }
        }
        changeFill(group, 1);
        left[count - 1] = left[tightest];
        left[tightest] = group;
    }

    private int tightest(long[] allowed, int[] left, int count) {
        int tightest = 0;
        int fewest = Integer.MAX_VALUE;
        for (int i = 0; i < count; i++) {
            int size = compatibility.size(allowed, left[i]);
            if (size < fewest) {
                fewest = size;
                tightest = i;
            }
        }
        return tightest;
    }

    /** The options of the group that leave each of the others one, the most promising first. */
    private List<Step> options(long[] allowed, int[] left, int count, int group, long own) {
        List<Step> options = new ArrayList<>();
        int first = compatibility.firstOf(group);
        for (int option = first; option < first + compatibility.size(group); option++) {
            if ((allowed[option >> 6] & 1L << option) == 0) {
                continue;
            }
            long[] narrowed = compatibility.narrowed(allowed, option);
            long ownAfter = own + footprints[option].own();
            long least = leastOwn(narrowed, left, count - 1);
            if (least < 0) {
                continue;
            }
            place(option);
            long bound = ownAfter + least + bound();
            unplace(option);
            if (best.size() < most || bound < best.element().points()) {
                options.add(new Step(option, bound, ownAfter, narrowed));
            }
        }
        options.sort(Comparator.comparingLong(Step::bound));
        return options;
    }

    /** What the groups to come cost at least by themselves; −1 where one of them has no option left. */
    private long leastOwn(long[] allowed, int[] left, int count) {
        long all = 0;
        for (int i = 0; i < count; i++) {
            long least = Long.MAX_VALUE;
            int first = compatibility.firstOf(left[i]);
            for (int option = first; option < first + compatibility.size(left[i]); option++) {
                if ((allowed[option >> 6] & 1L << option) != 0) {
                    least = Math.min(least, footprints[option].own());
                }
            }
            if (least == Long.MAX_VALUE) {
                return -1;
            }
            all += least;
        }
        return all;
    }

    private long bound() {
        long bound = 0;
        for (long points : dayPoints) {
            bound += points;
        }
        return bound;
    }

    private void changeFill(int group, int sign) {
        for (int cell = 0; cell < dayFill.length; cell++) {
            if (fills[group][cell] > 0) {
                dayFill[cell] += sign * fills[group][cell];
                count(cell);
            }
        }
    }

    private void place(int option) {
        Footprint footprint = footprints[option];
        for (int i = 0; i < footprint.cells().length; i++) {
            int cell = footprint.cells()[i];
            long[] classes = dayClasses[cell];
            long packed = footprint.classes()[i];
            int at = dayCounts[cell]++;
            while (at > 0 && classes[at - 1] > packed) {
                classes[at] = classes[at - 1];
                at--;
            }
            classes[at] = packed;
        }
        countDays(footprint);
    }

    private void unplace(int option) {
        Footprint footprint = footprints[option];
        for (int i = 0; i < footprint.cells().length; i++) {
            int cell = footprint.cells()[i];
            long[] classes = dayClasses[cell];
            int at = 0;
            while (classes[at] != footprint.classes()[i]) {
                at++;
            }
            int last = --dayCounts[cell];
            System.arraycopy(classes, at + 1, classes, at, last - at);
        }
        countDays(footprint);
    }

    private void countDays(Footprint footprint) {
        int before = -1;
        for (int cell : footprint.cells()) {
            if (cell != before) {
                count(cell);
                before = cell;
            }
        }
    }

    private void count(int cell) {
        dayPoints[cell] = weeksOf[cell / DAYS]
                * wishing.points(DayOfWeek.of(cell % DAYS + 1), dayClasses[cell], dayCounts[cell], dayFill[cell]);
    }

    private void take(long own) {
        long points = own + bound();
        if (best.size() == most) {
            if (points >= best.element().points()) {
                return;
            }
            best.remove();
        }
        best.add(new Found(points, chosen.clone()));
    }
}

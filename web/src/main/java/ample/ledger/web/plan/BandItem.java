package ample.ledger.web.plan;

import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.plan.Engagement;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.schedule.Term;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Something drawn in a band.
 *
 * @param lane the upper one, the lower one or both, as bits
 * @param column which of those that are held at once in its lanes, from top to bottom
 * @param columns how many there are among all that hang together by being held at once
 * @param parted whether each column has an upper and a lower lane, and not each lane its columns: where one of those that hang
 *     together takes both lanes
 */
record BandItem(Engagement engagement, Stay stay, int lane, int column, int columns, boolean parted) {

    static final int UPPER = 1;
    static final int LOWER = 2;
    static final int WHOLE = UPPER | LOWER;

    private static final int LANE = 33;
    private static final int HALF_LANE = 26;

    /** A stay this many days from the middle of term belongs to one half of it. */
    private static final int MIDDLE = 10;

    /** By itself. */
    static BandItem of(Engagement engagement, Stay stay, int lane) {
        return new BandItem(engagement, stay, lane, 0, 1, lane == WHOLE);
    }

    boolean beside(BandItem other) {
        return stay.time().overlapMinutes(other.stay.time()) > 0 && (lane & other.lane) != 0;
    }

    int y(int height) {
        return top(height) + 2;
    }

    int tall(int height) {
        int all = parted ? height * (column + 1) / columns - height * column / columns : height / 2 / columns;
        return (parted && lane != WHOLE ? all / 2 : all) - 3;
    }

    private int top(int height) {
        if (!parted) {
            return (lane == LOWER ? height / 2 : 0) + height / 2 * column / columns;
        }
        int top = height * column / columns;
        return lane == LOWER ? top + (height * (column + 1) / columns - top) / 2 : top;
    }

    /** How high the band must be for it. */
    int needs() {
        return lane == WHOLE ? columns * LANE : 2 * columns * HALF_LANE;
    }

    /** Which lanes of the whole term these dates take. */
    static int lane(DateSet dates, Term term) {
        LocalDate middle = LocalDate.ofEpochDay(
                (term.dates().first().toEpochDay() + term.dates().last().toEpochDay()) / 2);
        boolean endsEarly = dates.last().isBefore(middle.plusDays(MIDDLE));
        boolean beginsLate = dates.first().isAfter(middle.minusDays(MIDDLE));
        if (dates.size() == 1 || endsEarly == beginsLate) {
            return WHOLE;
        }
        return endsEarly ? UPPER : LOWER;
    }

    /** What is held at once in one lane stands one above the other. */
    static List<BandItem> inColumns(List<BandItem> items) {
        int[] columns = new int[items.size()];
        for (int i = 0; i < items.size(); i++) {
            Set<Integer> taken = new LinkedHashSet<>();
            for (int j = 0; j < i; j++) {
                if (items.get(i).beside(items.get(j))) {
                    taken.add(columns[j]);
                }
            }
            while (taken.contains(columns[i])) {
                columns[i]++;
            }
        }
        int[] together = together(items);
        List<BandItem> placed = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            int group = together[i];
            int[] members = IntStream.range(0, items.size())
                    .filter(j -> together[j] == group)
                    .toArray();
            BandItem item = items.get(i);
            placed.add(new BandItem(
                    item.engagement(),
                    item.stay(),
                    item.lane(),
                    columns[i],
                    Arrays.stream(members).map(j -> columns[j]).max().orElseThrow() + 1,
                    Arrays.stream(members).anyMatch(j -> items.get(j).lane() == WHOLE)));
        }
        return placed;
    }

    /** For each a number that it shares with what is beside it, and with what is beside that. */
    private static int[] together(List<BandItem> items) {
        int[] group = IntStream.range(0, items.size()).toArray();
        for (int i = 0; i < items.size(); i++) {
            for (int j = 0; j < i; j++) {
                if (items.get(i).beside(items.get(j))) {
                    int from = group[i];
                    int to = group[j];
                    Arrays.setAll(group, k -> group[k] == from ? to : group[k]);
                }
            }
        }
        return group;
    }
}

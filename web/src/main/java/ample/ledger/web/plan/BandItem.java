package ample.ledger.web.plan;

import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.plan.Engagement;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.schedule.Term;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Something drawn in a band.
 *
 * @param lane the upper one, the lower one or both, as bits
 * @param column which of those that are held at once in its lanes, from top to bottom
 * @param columns how many there are
 */
record BandItem(Engagement engagement, Stay stay, int lane, int column, int columns) {

    static final int UPPER = 1;
    static final int LOWER = 2;
    static final int WHOLE = UPPER | LOWER;

    private static final int LANE = 33;
    private static final int HALF_LANE = 26;

    /** A stay this many days from the middle of term belongs to one half of it. */
    private static final int MIDDLE = 10;

    boolean beside(BandItem other) {
        return stay.time().overlapMinutes(other.stay.time()) > 0 && (lane & other.lane) != 0;
    }

    int y(int height) {
        int top = lane == LOWER ? height / 2 : 0;
        int room = lane == WHOLE ? height : height / 2;
        return top + room * column / columns + 2;
    }

    int tall(int height) {
        int room = lane == WHOLE ? height : height / 2;
        return room / columns - 3;
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
        List<BandItem> placed = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            int most = columns[i];
            for (int j = 0; j < items.size(); j++) {
                if (i != j && items.get(i).beside(items.get(j))) {
                    most = Math.max(most, columns[j]);
                }
            }
            BandItem item = items.get(i);
            placed.add(new BandItem(item.engagement(), item.stay(), item.lane(), columns[i], most + 1));
        }
        return placed;
    }
}

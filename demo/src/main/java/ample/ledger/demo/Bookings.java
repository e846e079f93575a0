package ample.ledger.demo;

import java.time.LocalTime;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * When each room and each person is taken, so that none is in two places at once. Kept for each half of a term as one week
 * of quarter hours.
 */
final class Bookings {

    private static final int QUARTERS_OF_A_DAY = 24 * 4;
    private static final int QUARTERS_OF_A_WEEK = 7 * QUARTERS_OF_A_DAY;

    /** The halves of a term that something runs in. */
    enum Halves {
        FIRST,
        SECOND,
        BOTH
    }

    private final Map<String, BitSet> taken = new HashMap<>();

    boolean isFree(String holder, List<Integer> days, LocalTime start, LocalTime end, Halves halves) {
        BitSet own = taken.get(holder);
        return own == null || !own.intersects(quarters(days, start, end, halves));
    }

    void take(String holder, List<Integer> days, LocalTime start, LocalTime end, Halves halves) {
        taken.computeIfAbsent(holder, absent -> new BitSet()).or(quarters(days, start, end, halves));
    }

    private static BitSet quarters(List<Integer> days, LocalTime start, LocalTime end, Halves halves) {
        BitSet quarters = new BitSet();
        int from = start.toSecondOfDay() / 900;
        int to = (end.toSecondOfDay() + 899) / 900;
        for (int day : days) {
            int at = day * QUARTERS_OF_A_DAY;
            if (halves != Halves.SECOND) {
                quarters.set(at + from, at + to);
            }
            if (halves != Halves.FIRST) {
                quarters.set(QUARTERS_OF_A_WEEK + at + from, QUARTERS_OF_A_WEEK + at + to);
            }
        }
        return quarters;
    }
}

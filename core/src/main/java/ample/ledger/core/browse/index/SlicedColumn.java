package ample.ledger.core.browse.index;

import java.util.function.IntUnaryOperator;

/**
 * A number for each candidate, stored bit by bit: one bitmap for each binary digit. Compares all of them with a bound in one
 * pass over as many bitmaps as the numbers have digits, and takes a changed number without being built again. Immutable.
 *
 * <p>After O'Neil and Quass, "Improved query performance with variant indexes", SIGMOD 1997, algorithm 4.2.
 */
public final class SlicedColumn {

    private final Candidates layout;
    private final int base;
    private final long[][] slices;

    private SlicedColumn(Candidates layout, int base, long[][] slices) {
        this.layout = layout;
        this.base = base;
        this.slices = slices;
    }

    /** The column of {@code valueAt} each candidate's position. Cost: linear in the candidates. */
    static SlicedColumn of(Candidates layout, IntUnaryOperator valueAt) {
        int least = Integer.MAX_VALUE;
        int most = Integer.MIN_VALUE;
        int positions = layout.words() * 64;
        int[] values = new int[positions];
        for (int position = 0; position < positions; position++) {
            if (layout.sectionAt(position) >= 0) {
                values[position] = valueAt.applyAsInt(position);
                least = Math.min(least, values[position]);
                most = Math.max(most, values[position]);
            }
        }
        int width = least > most ? 0 : 32 - Integer.numberOfLeadingZeros(Math.subtractExact(most, least));
        long[][] slices = new long[width][layout.words()];
        for (int position = 0; position < positions; position++) {
            if (layout.sectionAt(position) >= 0) {
                set(slices, position, values[position] - least);
            }
        }
        return new SlicedColumn(layout, least, slices);
    }

    /**
     * This column with other numbers for some candidates.
     *
     * @param positions of the changed ones
     * @param valueAt what they, and where a number needs more digits all others, are now
     */
    SlicedColumn with(int[] positions, IntUnaryOperator valueAt) {
        for (int position : positions) {
            int value = valueAt.applyAsInt(position) - base;
            if (value < 0 || value >> slices.length != 0) {
                return of(layout, valueAt);
            }
        }
        long[][] changed = new long[slices.length][];
        for (int digit = 0; digit < slices.length; digit++) {
            changed[digit] = slices[digit].clone();
        }
        for (int position : positions) {
            set(changed, position, valueAt.applyAsInt(position) - base);
        }
        return new SlicedColumn(layout, base, changed);
    }

    private static void set(long[][] slices, int position, int value) {
        for (int digit = 0; digit < slices.length; digit++) {
            long bit = 1L << position;
            if ((value >> digit & 1) == 1) {
                slices[digit][position >> 6] |= bit;
            } else {
                slices[digit][position >> 6] &= ~bit;
            }
        }
    }

    /** The candidates whose number is {@code bound} or more. */
    public CandidateSet atLeast(int bound) {
        long wanted = (long) bound - base;
        if (wanted <= 0) {
            return layout.all();
        }
        if (wanted >> slices.length != 0) {
            return layout.none();
        }
        // Digit by digit over all words, which the compiler turns into vector instructions, rather than word by word.
        long[] more = new long[layout.words()];
        long[] equal = layout.used().clone();
        for (int digit = slices.length - 1; digit >= 0; digit--) {
            long[] slice = slices[digit];
            if ((wanted >> digit & 1) == 1) {
                for (int word = 0; word < equal.length; word++) {
                    equal[word] &= slice[word];
                }
            } else {
                for (int word = 0; word < equal.length; word++) {
                    more[word] |= equal[word] & slice[word];
                }
                for (int word = 0; word < equal.length; word++) {
                    equal[word] &= ~slice[word];
                }
            }
        }
        for (int word = 0; word < equal.length; word++) {
            more[word] |= equal[word];
        }
        return new CandidateSet(layout, more);
    }

    /** The candidates whose number is {@code bound} or less. */
    public CandidateSet atMost(int bound) {
        return bound == Integer.MAX_VALUE ? layout.all() : atLeast(bound + 1).complement();
    }
}

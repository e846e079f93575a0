package ample.ledger.core.browse.index;

import java.util.Collection;
import java.util.IntSummaryStatistics;
import java.util.function.ToIntFunction;

/**
 * A number for each candidate, stored bit by bit: one bitmap for each binary digit. To compare all of them with a bound, each
 * of these bitmaps is gone through once. A number can be changed without building the column again. Immutable.
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

    /** The column of the value of each candidate. Cost: linear in the candidates. */
    static SlicedColumn of(Candidates layout, ToIntFunction<CandidateAt> valueOf) {
        int[] values = new int[layout.words() * Long.SIZE];
        IntSummaryStatistics range = new IntSummaryStatistics();
        layout.all().forEach(candidate -> {
            values[candidate.position()] = valueOf.applyAsInt(candidate);
            range.accept(values[candidate.position()]);
        });
        int width = range.getCount() == 0
                ? 0
                : 32 - Integer.numberOfLeadingZeros(Math.subtractExact(range.getMax(), range.getMin()));
        long[][] slices = new long[width][layout.words()];
        layout.all().forEach(candidate -> set(slices, candidate, values[candidate.position()] - range.getMin()));
        return new SlicedColumn(layout, range.getMin(), slices);
    }

    /**
     * This column with other numbers for some candidates.
     *
     * @param some the changed ones
     * @param valueOf what they, and where a number needs more digits all others, are now
     */
    SlicedColumn with(Collection<CandidateAt> some, ToIntFunction<CandidateAt> valueOf) {
        for (CandidateAt candidate : some) {
            int value = valueOf.applyAsInt(candidate) - base;
            if (value < 0 || value >> slices.length != 0) {
                return of(layout, valueOf);
            }
        }
        long[][] changed = new long[slices.length][];
        for (int digit = 0; digit < slices.length; digit++) {
            changed[digit] = slices[digit].clone();
        }
        for (CandidateAt candidate : some) {
            set(changed, candidate, valueOf.applyAsInt(candidate) - base);
        }
        return new SlicedColumn(layout, base, changed);
    }

    private static void set(long[][] slices, CandidateAt candidate, int value) {
        for (int digit = 0; digit < slices.length; digit++) {
            if ((value >> digit & 1) == 1) {
                slices[digit][candidate.word()] |= candidate.bit();
            } else {
                slices[digit][candidate.word()] &= ~candidate.bit();
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

package ample.ledger.core.browse.index;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A set of sections of one {@link TermIndex}: a bitmap in which one candidate stands for each section. Immutable. What all
 * candidates of a section agree on is counted over it bit by bit.
 */
public final class SectionSet {

    private final Candidates layout;
    private final long[] representatives;
    private final int size;

    /** Drawn up when first asked for. */
    private volatile int @Nullable [] positions;

    SectionSet(Candidates layout, long[] representatives) {
        this.layout = layout;
        this.representatives = representatives;
        int bits = 0;
        for (long word : representatives) {
            bits += Long.bitCount(word);
        }
        this.size = bits;
    }

    public int size() {
        return size;
    }

    /** How many of the sections have their candidates in {@code set}, which has all of a section's or none. */
    int sizeOfAnd(CandidateSet set) {
        long[] bits = set.bits();
        int both = 0;
        for (int i = 0; i < bits.length; i++) {
            both += Long.bitCount(representatives[i] & bits[i]);
        }
        return both;
    }

    /** The first sections in an order of all, given by their representatives; at most {@code most} of them. */
    int[] first(int[] representativesInOrder, int most) {
        int[] found = new int[Math.min(most, size)];
        int held = 0;
        for (int place = 0; held < found.length; place++) {
            int position = representativesInOrder[place];
            if ((representatives[position >> 6] & 1L << position) != 0) {
                found[held++] = layout.sectionAt(position);
            }
        }
        return found;
    }

    /** The candidates that stand for them, ascending; not to be written to. */
    public int[] positions() {
        int[] known = positions;
        if (known == null) {
            known = new int[size];
            int held = 0;
            for (int i = 0; i < representatives.length; i++) {
                for (long left = representatives[i]; left != 0; left &= left - 1) {
                    known[held++] = (i << 6) + Long.numberOfTrailingZeros(left);
                }
            }
            positions = known;
        }
        return known;
    }

    /** By their positions in the schedule, in no particular order. */
    public int[] toArray() {
        int[] sections = positions().clone();
        for (int i = 0; i < sections.length; i++) {
            sections[i] = layout.sectionAt(sections[i]);
        }
        return sections;
    }

    /** By their positions in the schedule, ascending. */
    public IntStream sorted() {
        return Arrays.stream(toArray()).sorted();
    }
}

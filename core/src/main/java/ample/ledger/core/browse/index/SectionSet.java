package ample.ledger.core.browse.index;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
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
    List<SectionAt> first(CandidatesInOrder representativesInOrder, int most) {
        int wanted = Math.min(most, size);
        List<SectionAt> found = new ArrayList<>(wanted);
        for (int place = 0; found.size() < wanted; place++) {
            CandidateAt candidate = representativesInOrder.get(place);
            if ((representatives[candidate.word()] & candidate.bit()) != 0) {
                found.add(layout.sectionOf(candidate));
            }
        }
        return found;
    }

    /**
     * The positions of the candidates that stand for them, ascending; not to be written to. Numbers, not objects: every value of
     * every facet is counted over them.
     */
    int[] positions() {
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

    /** Each of them, in no particular order. */
    public void forEach(Consumer<SectionAt> section) {
        for (int position : positions()) {
            section.accept(layout.sectionOf(new CandidateAt(position)));
        }
    }

    /** In the order of the schedule. */
    public Stream<SectionAt> sorted() {
        return Arrays.stream(positions())
                .map(position -> layout.sectionOf(new CandidateAt(position)).place())
                .sorted()
                .mapToObj(SectionAt::new);
    }
}

package ample.ledger.core.browse.index;

import java.util.function.Consumer;
import java.util.function.Predicate;

/**
 * A set of the candidates of one {@link TermIndex}: sections, each in one of its complete sets. Immutable. It is as large
 * as the sections that have a candidate in it.
 *
 * <p>One bit a candidate: at the sizes of a term, 2,400 to 100,000 sections, that is 0.4 to 20 KB, and every operation is
 * one pass over its words.
 */
public final class CandidateSet {

    private final Candidates layout;
    private final long[] bits;

    /** @param bits handed over, one for each candidate; none where there is no candidate */
    CandidateSet(Candidates layout, long[] bits) {
        this.layout = layout;
        this.bits = bits;
    }

    public CandidateSet and(CandidateSet other) {
        if (bits == layout.used()) {
            return other;
        }
        if (other.bits == layout.used()) {
            return this;
        }
        long[] result = new long[bits.length];
        for (int i = 0; i < result.length; i++) {
            result[i] = bits[i] & other.bits[i];
        }
        return new CandidateSet(layout, result);
    }

    public CandidateSet or(CandidateSet other) {
        long[] result = new long[bits.length];
        for (int i = 0; i < result.length; i++) {
            result[i] = bits[i] | other.bits[i];
        }
        return new CandidateSet(layout, result);
    }

    /** What is in this set and not in {@code other}. */
    CandidateSet minus(CandidateSet other) {
        long[] result = new long[bits.length];
        for (int i = 0; i < result.length; i++) {
            result[i] = bits[i] & ~other.bits[i];
        }
        return new CandidateSet(layout, result);
    }

    /** Every candidate that is not in this set. */
    public CandidateSet complement() {
        return layout.all().minus(this);
    }

    /** Those of this set for which {@code holds}. */
    CandidateSet filter(Predicate<CandidateAt> holds) {
        long[] result = new long[bits.length];
        forEach(candidate -> {
            if (holds.test(candidate)) {
                result[candidate.word()] |= candidate.bit();
            }
        });
        return new CandidateSet(layout, result);
    }

    public boolean contains(CandidateAt candidate) {
        return (bits[candidate.word()] & candidate.bit()) != 0;
    }

    /** Whether one of the candidates of this section is in the set. */
    public boolean containsSection(SectionAt section) {
        return layout.anyOf(section, this);
    }

    /** How many sections have a candidate in the set. */
    public int size() {
        return layout.size(bits);
    }

    /** How many sections have a candidate in both; without making the set of them. */
    public int sizeOfAnd(CandidateSet other) {
        return layout.sizeOfAnd(bits, other.bits);
    }

    public boolean isEmpty() {
        for (long word : bits) {
            if (word != 0) {
                return false;
            }
        }
        return true;
    }

    /** Passes each candidate, by position. */
    public void forEach(Consumer<CandidateAt> candidate) {
        for (int i = 0; i < bits.length; i++) {
            for (long left = bits[i]; left != 0; left &= left - 1) {
                candidate.accept(new CandidateAt((i << 6) + Long.numberOfTrailingZeros(left)));
            }
        }
    }

    /** The sections with a candidate in the set. */
    public SectionSet sections() {
        return new SectionSet(layout, layout.representatives(bits));
    }

    public Candidates layout() {
        return layout;
    }

    /** Its bitmap, not to be written to. */
    long[] bits() {
        return bits;
    }
}

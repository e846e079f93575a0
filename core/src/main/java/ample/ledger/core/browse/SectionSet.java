package ample.ledger.core.browse;

import java.util.Arrays;
import java.util.BitSet;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * A set of the sections of one {@link TermIndex}, by their positions in it. Immutable.
 *
 * <p>One bit a section: at the sizes of a term, 2,400 to 100,000 sections, that is 0.3 to 12.5 KB, and every operation is
 * one pass over its words.
 */
public final class SectionSet {

    private final long[] words;
    private final int universe;

    private SectionSet(long[] words, int universe) {
        this.words = words;
        this.universe = universe;
    }

    /** All of {@code universe} sections. */
    static SectionSet all(int universe) {
        return where(universe, position -> true);
    }

    static SectionSet none(int universe) {
        return new SectionSet(new long[wordsFor(universe)], universe);
    }

    /** Those of {@code universe} sections whose position {@code holds}. */
    static SectionSet where(int universe, IntPredicate holds) {
        long[] words = new long[wordsFor(universe)];
        for (int position = 0; position < universe; position++) {
            if (holds.test(position)) {
                words[position >> 6] |= 1L << position;
            }
        }
        return new SectionSet(words, universe);
    }

    public SectionSet and(SectionSet other) {
        long[] result = words.clone();
        for (int i = 0; i < result.length; i++) {
            result[i] &= other.words[i];
        }
        return new SectionSet(result, universe);
    }

    public SectionSet or(SectionSet other) {
        long[] result = words.clone();
        for (int i = 0; i < result.length; i++) {
            result[i] |= other.words[i];
        }
        return new SectionSet(result, universe);
    }

    /** What is in this set and not in {@code other}. */
    public SectionSet minus(SectionSet other) {
        long[] result = words.clone();
        for (int i = 0; i < result.length; i++) {
            result[i] &= ~other.words[i];
        }
        return new SectionSet(result, universe);
    }

    /** Every section that is not in this set. */
    SectionSet complement() {
        return all(universe).minus(this);
    }

    public boolean contains(int position) {
        return (words[position >> 6] & (1L << position)) != 0;
    }

    public int size() {
        int size = 0;
        for (long word : words) {
            size += Long.bitCount(word);
        }
        return size;
    }

    /** How many are in both; without making the set of them. */
    public int sizeOfAnd(SectionSet other) {
        int size = 0;
        for (int i = 0; i < words.length; i++) {
            size += Long.bitCount(words[i] & other.words[i]);
        }
        return size;
    }

    public boolean isEmpty() {
        return Arrays.stream(words).allMatch(word -> word == 0);
    }

    /** Ascending. */
    public IntStream positions() {
        return BitSet.valueOf(words).stream();
    }

    private static int wordsFor(int universe) {
        return (universe + 63) >> 6;
    }
}

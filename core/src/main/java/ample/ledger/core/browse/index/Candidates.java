package ample.ledger.core.browse.index;

import ample.ledger.core.plan.CompleteSets;
import ample.ledger.core.schedule.Schedule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * The layout of one edition's candidates. A <em>candidate</em> is one section in one complete set that it can be taken in;
 * a section fits a brief when one of its candidates meets every condition. Sections that belong to no complete set have no
 * candidate.
 *
 * <p>Candidates are numbered so that those of one section lie side by side in one 64-bit word, or alone in words of
 * their own where there are more than 64. Sections with a single candidate, most of them, come first. So a set of
 * candidates is a bitmap, conditions combine word by word, and the sections of a set are counted word by word too (see
 * {@link #sections(long, long)}).
 */
public final class Candidates {

    private static final int WORD = 64;

    private final int sections;
    private final int words;
    private final int plainWords;
    private final int shortWords;
    private final long[] used;
    private final long[] tops;
    private final int[] longStarts;
    private final int[] sectionAt;
    private final int[] setAt;
    private final int[] first;
    private final int[] count;
    private final List<int[]> sets;
    private final int[][] positionsOfSet;

    private Candidates(Builder built) {
        this.sections = built.count.length;
        this.words = built.words();
        this.plainWords = built.plainWords;
        this.shortWords = built.shortWords;
        this.longStarts = built.longStarts.stream().mapToInt(Integer::intValue).toArray();
        this.sectionAt = Arrays.copyOf(built.sectionAt, words * WORD);
        this.setAt = Arrays.copyOf(built.setAt, words * WORD);
        this.first = built.first;
        this.count = built.count;
        this.sets = built.sets;
        this.positionsOfSet = built.positionsOfSet;
        this.used = new long[words];
        this.tops = new long[shortWords];
        for (int section = 0; section < sections; section++) {
            for (int i = 0; i < count[section]; i++) {
                used[first[section] + i >> 6] |= 1L << first[section] + i;
            }
            int last = first[section] + count[section] - 1;
            if (count[section] > 0 && last >> 6 < shortWords) {
                tops[last >> 6] |= 1L << last;
            }
        }
    }

    /** Cost: linear in the candidates, beside finding the complete sets. */
    static Candidates of(Schedule schedule) {
        return new Candidates(new Builder(schedule.sections().size(), CompleteSets.of(schedule)).laidOut());
    }

    /** How many sections are posted, with candidates or without. */
    public int sections() {
        return sections;
    }

    /** Words of a bitmap of candidates. */
    int words() {
        return words;
    }

    /** Whether each candidate of this word is the only one of its section. */
    boolean isPlain(int word) {
        return word < plainWords;
    }

    /** The candidates that there are, as a bitmap; every other bit is never set. */
    long[] used() {
        return used;
    }

    /** The section of a candidate, by its position in the schedule; −1 where {@code position} is no candidate. */
    int sectionAt(int position) {
        return sectionAt[position];
    }

    /** The sections of the complete set of a candidate. */
    int[] setAt(int position) {
        return sets.get(setAt[position]);
    }

    /** The candidates of {@code section}. */
    public IntStream ofSection(int section) {
        return IntStream.range(first[section], first[section] + count[section]);
    }

    /** Whether one of the candidates of {@code section} is in {@code set}. */
    boolean anyOf(int section, CandidateSet set) {
        int end = first[section] + count[section];
        for (int position = first[section]; position < end; position++) {
            if (set.contains(position)) {
                return true;
            }
        }
        return false;
    }

    /** The candidates of every section in every set that {@code section} is in. */
    IntStream together(int section) {
        return ofSection(section)
                .flatMap(position -> Arrays.stream(positionsOfSet[setAt[position]]))
                .distinct();
    }

    /** How many sections have a candidate among these. */
    int size(long[] bits) {
        int size = 0;
        for (int i = 0; i < plainWords; i++) {
            size += Long.bitCount(bits[i]);
        }
        for (int i = plainWords; i < shortWords; i++) {
            size += Long.bitCount(sections(bits[i], tops[i]));
        }
        return longStarts.length == 0 ? size : size + sizeOfLong(bits, used);
    }

    /** How many sections have a candidate in both. */
    int sizeOfAnd(long[] some, long[] others) {
        int size = 0;
        for (int i = 0; i < plainWords; i++) {
            size += Long.bitCount(some[i] & others[i]);
        }
        for (int i = plainWords; i < shortWords; i++) {
            size += Long.bitCount(sections(some[i] & others[i], tops[i]));
        }
        return longStarts.length == 0 ? size : size + sizeOfLong(some, others);
    }

    /**
     * For each section with a candidate among {@code bits} the last bit of its stretch. Adding all ones below the last bit
     * of a stretch carries into it exactly when a bit below is set; whether the last one itself is set is added by {@code
     * or}. The test of all fields of a word for zero at once: Lamport, "Multiple byte processing with full-word
     * instructions", 1975.
     *
     * @param tops the last bit of every stretch of the word
     */
    private static long sections(long bits, long tops) {
        return ((bits & ~tops) + ~tops | bits) & tops;
    }

    private int sizeOfLong(long[] some, long[] others) {
        int size = 0;
        for (int i = 0; i < longStarts.length; i++) {
            size += reaches(some, others, i) ? 1 : 0;
        }
        return size;
    }

    private boolean reaches(long[] some, long[] others, int longSection) {
        int end = longSection + 1 < longStarts.length ? longStarts[longSection + 1] : words;
        for (int word = longStarts[longSection]; word < end; word++) {
            if ((some[word] & others[word]) != 0) {
                return true;
            }
        }
        return false;
    }

    /** One candidate, always the same, of each section with a candidate among {@code bits}. */
    long[] representatives(long[] bits) {
        long[] one = bits.clone();
        for (int i = plainWords; i < shortWords; i++) {
            one[i] = sections(bits[i], tops[i]);
        }
        for (int i = 0; i < longStarts.length; i++) {
            boolean any = reaches(bits, used, i);
            int end = i + 1 < longStarts.length ? longStarts[i + 1] : words;
            Arrays.fill(one, longStarts[i], end, 0);
            one[longStarts[i]] = any ? 1 : 0;
        }
        return one;
    }

    /** The candidate that {@link #representatives} has of {@code section}; −1 for one that belongs to no complete set. */
    int representative(int section) {
        int last = first[section] + count[section] - 1;
        if (count[section] == 0) {
            return -1;
        }
        return last >> 6 < shortWords ? last : first[section];
    }

    /** The candidates whose position {@code holds}. */
    CandidateSet where(IntPredicate holds) {
        long[] bits = new long[words];
        for (int position = 0; position < sectionAt.length; position++) {
            if (sectionAt[position] >= 0 && holds.test(position)) {
                bits[position >> 6] |= 1L << position;
            }
        }
        return new CandidateSet(this, bits);
    }

    public CandidateSet all() {
        return new CandidateSet(this, used);
    }

    public CandidateSet none() {
        return new CandidateSet(this, new long[words]);
    }

    /** Lays candidates out: single ones, then those that share a word, then those that fill words. */
    private static final class Builder {

        private final List<int[]> sets;
        private final int[] first;
        private final int[] count;
        private final int[][] positionsOfSet;
        private final List<Integer> longStarts = new ArrayList<>();
        private int[] sectionAt;
        private int[] setAt;
        private int plainWords;
        private int shortWords;
        private int next;

        Builder(int sections, List<int[]> sets) {
            this.sets = sets;
            this.positionsOfSet = new int[sets.size()][];
            this.first = new int[sections];
            this.count = new int[sections];
            this.sectionAt = new int[0];
            this.setAt = new int[0];
            sets.forEach(set -> Arrays.stream(set).forEach(section -> count[section]++));
        }

        Builder laidOut() {
            List<Integer> order = IntStream.range(0, count.length)
                    .filter(section -> count[section] > 0)
                    .boxed()
                    .sorted(Comparator.comparingInt(this::zone))
                    .toList();
            for (int section : order) {
                int room = WORD - next % WORD;
                if (count[section] > room) {
                    next += room % WORD;
                }
                if (zone(section) == 2) {
                    next = words() * WORD;
                    longStarts.add(words());
                }
                first[section] = next;
                next += count[section];
                if (zone(section) == 0) {
                    plainWords = next / WORD;
                }
                if (zone(section) < 2) {
                    shortWords = words();
                }
            }
            sectionAt = new int[words() * WORD];
            setAt = new int[words() * WORD];
            Arrays.fill(sectionAt, -1);
            int[] filled = new int[count.length];
            for (int set = 0; set < sets.size(); set++) {
                int[] members = sets.get(set);
                positionsOfSet[set] = new int[members.length];
                for (int i = 0; i < members.length; i++) {
                    int position = first[members[i]] + filled[members[i]]++;
                    sectionAt[position] = members[i];
                    setAt[position] = set;
                    positionsOfSet[set][i] = position;
                }
            }
            return this;
        }

        private int words() {
            return (next + WORD - 1) / WORD;
        }

        private int zone(int section) {
            if (count[section] > WORD) {
                return 2;
            }
            return count[section] > 1 ? 1 : 0;
        }
    }
}

package ample.ledger.core.browse.index;

import ample.ledger.core.plan.CompleteSets;
import ample.ledger.core.schedule.Schedule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The layout of one edition's candidates. A <em>candidate</em> is one section in one complete set that it can be taken in;
 * a section fits a brief when one of its candidates meets every condition. Sections that belong to no complete set have no
 * candidate.
 *
 * <p>The candidates of one section have positions side by side, all in one 64-bit word; a section with more than 64 of them
 * has some words for itself. Sections with a single candidate, most of them, come first.
 *
 * <p>So a set of candidates is a bitmap, and conditions combine word by word. The sections of such a set are counted word
 * by word too: {@link #sections(long, long)}.
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

    /** By position the place of the section; −1 where there is no candidate. Numbers, since every count looks here. */
    private final int[] sectionAt;

    /** By position the number of the set. */
    private final int[] setAt;

    private final int[] first;
    private final int[] count;
    private final List<List<SectionAt>> sets;
    private final List<List<CandidateAt>> candidatesOfSet;

    private Candidates(Builder built) {
        this.sections = built.count.length;
        this.words = built.words();
        this.plainWords = built.plainWords;
        this.shortWords = built.shortWords;
        this.longStarts = built.longStarts.stream().mapToInt(Integer::intValue).toArray();
        this.sectionAt = built.sectionAt;
        this.setAt = built.setAt;
        this.first = built.first;
        this.count = built.count;
        this.sets = built.sets.stream()
                .map(set -> Arrays.stream(set).mapToObj(SectionAt::new).toList())
                .toList();
        this.candidatesOfSet = Arrays.stream(built.positionsOfSet)
                .map(set -> Arrays.stream(set).mapToObj(CandidateAt::new).toList())
                .toList();
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

    /** The section of a candidate. */
    SectionAt sectionOf(CandidateAt candidate) {
        return new SectionAt(sectionAt[candidate.position()]);
    }

    /** The sections of the complete set of a candidate. */
    List<SectionAt> setOf(CandidateAt candidate) {
        return sets.get(setAt[candidate.position()]);
    }

    /** The candidates of {@code section}. */
    public Stream<CandidateAt> of(SectionAt section) {
        int start = first[section.place()];
        return IntStream.range(start, start + count[section.place()]).mapToObj(CandidateAt::new);
    }

    /** Whether one of the candidates of {@code section} is in {@code set}. */
    boolean anyOf(SectionAt section, CandidateSet set) {
        int end = first[section.place()] + count[section.place()];
        for (int position = first[section.place()]; position < end; position++) {
            if (set.contains(new CandidateAt(position))) {
                return true;
            }
        }
        return false;
    }

    /** The candidates of every section in every set that {@code section} is in. */
    Stream<CandidateAt> together(SectionAt section) {
        return of(section)
                .flatMap(candidate -> candidatesOfSet.get(setAt[candidate.position()]).stream())
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

    /** The candidate that {@link #representatives} has of {@code section}; null for one that belongs to no complete set. */
    @Nullable CandidateAt representative(SectionAt section) {
        int start = first[section.place()];
        int last = start + count[section.place()] - 1;
        if (last < start) {
            return null;
        }
        return new CandidateAt(last >> 6 < shortWords ? last : start);
    }

    /** The candidates for which {@code holds}. */
    CandidateSet where(Predicate<CandidateAt> holds) {
        return all().filter(holds);
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

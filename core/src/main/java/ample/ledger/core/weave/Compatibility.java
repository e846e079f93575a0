package ample.ledger.core.weave;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Groups of options, of which one each is to be chosen so that any two chosen go together. Immutable.
 *
 * <p>Options are numbered through, group after group. A set of options is a bitmap of {@link #words()} words.
 */
public final class Compatibility {

    /** Counting remembers no more states than these, and then goes on without. */
    private static final int MOST_STATES = 400_000;

    private static final int STEPS_BETWEEN_LOOKS = 1 << 14;

    private final int[] sizes;
    private final int[] firstOf;
    private final int[] groupOf;
    private final long[][] rows;
    private final long[][] masks;
    private final int words;

    /** Says whether two options of different groups go together; the same in whichever order they are asked. */
    public interface Together {
        boolean test(int one, int other);
    }

    /**
     * @param sizes how many options each group has
     * @param together asked once for each two options of different groups
     */
    public Compatibility(int[] sizes, Together together) {
        this.sizes = sizes.clone();
        this.firstOf = new int[sizes.length];
        int options = 0;
        for (int group = 0; group < sizes.length; group++) {
            firstOf[group] = options;
            options += sizes[group];
        }
        this.words = Math.max(1, (options + Long.SIZE - 1) / Long.SIZE);
        this.groupOf = new int[options];
        this.masks = new long[sizes.length][words];
        for (int group = 0; group < sizes.length; group++) {
            for (int option = firstOf[group]; option < firstOf[group] + sizes[group]; option++) {
                groupOf[option] = group;
                set(masks[group], option);
            }
        }
        this.rows = new long[options][words];
        for (int one = 0; one < options; one++) {
            for (int other = one + 1; other < options; other++) {
                if (groupOf[one] != groupOf[other] && together.test(one, other)) {
                    set(rows[one], other);
                    set(rows[other], one);
                }
            }
        }
    }

    private static void set(long[] bits, int option) {
        bits[option >> 6] |= 1L << option;
    }

    /** How many groups. */
    public int groups() {
        return sizes.length;
    }

    /** How many options in all. */
    public int options() {
        return groupOf.length;
    }

    int words() {
        return words;
    }

    /** The number of the first option of the group. */
    public int firstOf(int group) {
        return firstOf[group];
    }

    /** The group that the option is of. */
    public int groupOf(int option) {
        return groupOf[option];
    }

    /** How many options the group has. */
    public int size(int group) {
        return sizes[group];
    }

    /** The options of other groups that go with this one. */
    long[] row(int option) {
        return rows[option];
    }

    /** The options of the group. */
    long[] mask(int group) {
        return masks[group];
    }

    /** Whether these two go together. */
    public boolean together(int one, int other) {
        return (rows[one][other >> 6] & 1L << other) != 0;
    }

    /** All options. */
    long[] all() {
        long[] all = new long[words];
        for (int option = 0; option < groupOf.length; option++) {
            set(all, option);
        }
        return all;
    }

    /**
     * How many ways there are.
     *
     * @param choices different choices of one option of each group; the least there are where the count is not exact
     * @param weighed the same, each counted as often as the product of the weights of its options; the least, likewise
     * @param exact whether every one was counted; a count beyond {@link Long#MAX_VALUE} is not
     */
    public record Count(long choices, long weighed, boolean exact) {}

    /**
     * Counts the ways to choose. Group after group, the smallest first; two choices so far that leave the same options to the
     * groups to come are counted on only once. Cost: the number of such different rests, which in the worst case grows with
     * the product of the sizes.
     *
     * @param weights of each option, 1 or more
     */
    public Count count(int[] weights, Watch watch) {
        return new Counting(weights, watch).count();
    }

    /** Whether one of {@code allowed} can be chosen of each of {@code among}. Cost: exponential in the worst case, as all of this kind. */
    boolean possible(long[] allowed, int[] among) {
        int[] left = among.clone();
        return possible(allowed.clone(), left, left.length);
    }

    /** Of the first {@code count} groups of {@code left}, whose order it changes. */
    private boolean possible(long[] allowed, int[] left, int count) {
        if (count == 0) {
            return true;
        }
        int tightest = -1;
        int fewest = Integer.MAX_VALUE;
        for (int i = 0; i < count; i++) {
            int size = size(allowed, left[i]);
            if (size < fewest) {
                fewest = size;
                tightest = i;
            }
        }
        if (fewest == 0) {
            return false;
        }
        int group = left[tightest];
        left[tightest] = left[count - 1];
        left[count - 1] = group;
        for (int option = firstOf[group]; option < firstOf[group] + sizes[group]; option++) {
            if ((allowed[option >> 6] & 1L << option) != 0 && possible(narrowed(allowed, option), left, count - 1)) {
                return true;
            }
        }
        return false;
    }

    long[] narrowed(long[] allowed, int option) {
        long[] narrowed = new long[words];
        long[] row = rows[option];
        for (int word = 0; word < words; word++) {
            narrowed[word] = allowed[word] & row[word];
        }
        return narrowed;
    }

    /** How many of {@code allowed} are of the group. */
    int size(long[] allowed, int group) {
        int size = 0;
        long[] mask = masks[group];
        for (int word = 0; word < words; word++) {
            size += Long.bitCount(allowed[word] & mask[word]);
        }
        return size;
    }

    /** Where in a set the options of a group begin and end, in words. */
    private int firstWord(int group) {
        return firstOf[group] >> 6;
    }

    private int endWord(int group) {
        return sizes[group] == 0 ? firstWord(group) : (firstOf[group] + sizes[group] - 1 >> 6) + 1;
    }

    private final class Counting {

        private final int[] weights;
        private final Watch watch;
        private final int[] order;

        /** By depth the options of the groups from there on. */
        private final long[][] later;

        /** By the bits of a weight the options whose weight has it. */
        private final long[][] planes;

        /** By depth room for what is still allowed there. */
        private final long[][] room;

        private final Map<Rest, long[]> known = new HashMap<>();
        private long leastChoices;
        private long leastWeighed;
        private int steps;
        private boolean ended;

        /** What is left to the groups from a depth on. */
        private record Rest(int depth, long[] allowed) {

            @Override
            public boolean equals(Object other) {
                return other instanceof Rest rest && depth == rest.depth && Arrays.equals(allowed, rest.allowed);
            }

            @Override
            public int hashCode() {
                return Arrays.hashCode(allowed) * 31 + depth;
            }
        }

        Counting(int[] weights, Watch watch) {
            this.weights = weights;
            this.watch = watch;
            this.order = IntStream.range(0, sizes.length)
                    .boxed()
                    .sorted(Comparator.comparingInt((Integer group) -> sizes[group]))
                    .mapToInt(Integer::intValue)
                    .toArray();
            this.later = new long[order.length + 1][words];
            for (int depth = order.length - 1; depth >= 0; depth--) {
                for (int word = 0; word < words; word++) {
                    later[depth][word] = later[depth + 1][word] | masks[order[depth]][word];
                }
            }
            this.room = new long[order.length + 1][words];
            int most = Arrays.stream(weights).max().orElse(1);
            this.planes = new long[Integer.SIZE - Integer.numberOfLeadingZeros(most)][words];
            for (int option = 0; option < weights.length; option++) {
                for (int bit = 0; bit < planes.length; bit++) {
                    if ((weights[option] & 1 << bit) != 0) {
                        set(planes[bit], option);
                    }
                }
            }
        }

        Count count() {
            if (order.length == 0) {
                return new Count(1, 1, true);
            }
            try {
                long[] counted = order.length == 1 ? single(all(), order[0]) : count(0, all(), 1);
                if (!ended) {
                    return new Count(counted[0], counted[1], true);
                }
            } catch (ArithmeticException beyondLong) {
                return new Count(Long.MAX_VALUE, Long.MAX_VALUE, false);
            }
            return new Count(leastChoices, leastWeighed, false);
        }

        /**
         * Of the groups from this depth on, of which there are at least two.
         *
         * @param weight of the choices so far
         */
        private long[] count(int depth, long[] allowed, long weight) {
            if (++steps % STEPS_BETWEEN_LOOKS == 0 && watch.stopped()) {
                ended = true;
            }
            if (ended) {
                return new long[2];
            }
            for (int next = depth; next < order.length; next++) {
                if (isEmpty(allowed, order[next])) {
                    return new long[2];
                }
            }
            if (depth == order.length - 2) {
                return found(pairs(allowed, order[depth], order[depth + 1]), weight);
            }
            Rest rest = new Rest(depth, and(allowed, later[depth]));
            long[] before = known.get(rest);
            return before != null ? found(before, weight) : countOn(depth, allowed, weight, rest);
        }

        private long[] countOn(int depth, long[] allowed, long weight, Rest rest) {
            long[] counted = new long[2];
            int group = order[depth];
            int done = 0;
            for (int option = firstOf[group]; option < firstOf[group] + sizes[group]; option++) {
                if ((allowed[option >> 6] & 1L << option) != 0) {
                    long[] narrowed = room[depth + 1];
                    long[] row = rows[option];
                    for (int word = 0; word < words; word++) {
                        narrowed[word] = allowed[word] & row[word];
                    }
                    long[] below = count(depth + 1, narrowed, Math.multiplyExact(weight, (long) weights[option]));
                    counted[0] = Math.addExact(counted[0], below[0]);
                    counted[1] = Math.addExact(counted[1], Math.multiplyExact(below[1], (long) weights[option]));
                }
                if (depth == 0) {
                    watch.reached((double) ++done / sizes[group]);
                }
            }
            if (!ended && depth > 0 && known.size() < MOST_STATES) {
                known.put(rest, counted);
            }
            return counted;
        }

        /** Adds to what is certain even if the rest is never counted. */
        private long[] found(long[] counted, long weight) {
            leastChoices = Math.addExact(leastChoices, counted[0]);
            leastWeighed = Math.addExact(leastWeighed, Math.multiplyExact(weight, counted[1]));
            return counted;
        }

        private boolean isEmpty(long[] allowed, int group) {
            long[] mask = masks[group];
            for (int word = firstWord(group); word < endWord(group); word++) {
                if ((allowed[word] & mask[word]) != 0) {
                    return false;
                }
            }
            return true;
        }

        /** How many pairs of two groups go together, and their weights. */
        private long[] pairs(long[] allowed, int one, int other) {
            long choices = 0;
            long weighed = 0;
            long[] mask = masks[other];
            int from = firstWord(other);
            int to = endWord(other);
            for (int option = firstOf[one]; option < firstOf[one] + sizes[one]; option++) {
                if ((allowed[option >> 6] & 1L << option) != 0) {
                    long[] row = rows[option];
                    long heavy = 0;
                    for (int word = from; word < to; word++) {
                        long left = allowed[word] & row[word] & mask[word];
                        choices += Long.bitCount(left);
                        heavy += weight(left, word);
                    }
                    weighed = Math.addExact(weighed, Math.multiplyExact(heavy, (long) weights[option]));
                }
            }
            return new long[] {choices, weighed};
        }

        /** The weights of the options of one word together. */
        private long weight(long options, int word) {
            long weight = 0;
            for (int bit = 0; bit < planes.length; bit++) {
                weight += (long) Long.bitCount(options & planes[bit][word]) << bit;
            }
            return weight;
        }

        private long[] single(long[] allowed, int group) {
            long choices = 0;
            long weighed = 0;
            for (int word = firstWord(group); word < endWord(group); word++) {
                long left = allowed[word] & masks[group][word];
                choices += Long.bitCount(left);
                weighed += weight(left, word);
            }
            return new long[] {choices, weighed};
        }

        private long[] and(long[] one, long[] other) {
            long[] both = new long[words];
            for (int word = 0; word < words; word++) {
                both[word] = one[word] & other[word];
            }
            return both;
        }
    }
}

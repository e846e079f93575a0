package ample.ledger.core.weave;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;

/** Counts the choices of one option of each group that all go together, group after group, remembering what is left of a state. */
final class Counting {

    /** No more states than these are remembered; then it goes on without. */
    private static final int MOST_STATES = 400_000;

    private static final int STEPS_BETWEEN_LOOKS = 1 << 14;

    private final Compatibility of;
    private final int words;
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

    Counting(Compatibility of, int[] weights, Watch watch) {
        this.of = of;
        this.words = of.words();
        this.weights = weights;
        this.watch = watch;
        this.order = IntStream.range(0, of.groups())
                .boxed()
                .sorted(Comparator.comparingInt((Integer group) -> of.sizes[group]))
                .mapToInt(Integer::intValue)
                .toArray();
        this.later = new long[order.length + 1][words];
        for (int depth = order.length - 1; depth >= 0; depth--) {
            for (int word = 0; word < words; word++) {
                later[depth][word] = later[depth + 1][word] | of.masks[order[depth]][word];
            }
        }
        this.room = new long[order.length + 1][words];
        int most = Arrays.stream(weights).max().orElse(1);
        this.planes = new long[Integer.SIZE - Integer.numberOfLeadingZeros(most)][words];
        for (int option = 0; option < weights.length; option++) {
            for (int bit = 0; bit < planes.length; bit++) {
                if ((weights[option] & 1 << bit) != 0) {
                    Compatibility.set(planes[bit], option);
                }
            }
        }
    }

    Compatibility.Count count() {
        if (order.length == 0) {
            return new Compatibility.Count(1, 1, true);
        }
        try {
            long[] counted = order.length == 1 ? single(of.all(), order[0]) : count(0, of.all(), 1);
            if (!ended) {
                return new Compatibility.Count(counted[0], counted[1], true);
            }
        } catch (ArithmeticException beyondLong) {
            return new Compatibility.Count(Long.MAX_VALUE, Long.MAX_VALUE, false);
        }
        return new Compatibility.Count(leastChoices, leastWeighed, false);
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
        for (int option = of.firstOf[group]; option < of.firstOf[group] + of.sizes[group]; option++) {
            if ((allowed[option >> 6] & 1L << option) != 0) {
                long[] narrowed = room[depth + 1];
                long[] row = of.rows[option];
                for (int word = 0; word < words; word++) {
                    narrowed[word] = allowed[word] & row[word];
                }
                long[] below = count(depth + 1, narrowed, Math.multiplyExact(weight, (long) weights[option]));
                counted[0] = Math.addExact(counted[0], below[0]);
                counted[1] = Math.addExact(counted[1], Math.multiplyExact(below[1], (long) weights[option]));
            }
            if (depth == 0) {
                watch.reached((double) ++done / of.sizes[group]);
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
        long[] mask = of.masks[group];
        for (int word = of.firstWord(group); word < of.endWord(group); word++) {
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
        long[] mask = of.masks[other];
        int from = of.firstWord(other);
        int to = of.endWord(other);
        for (int option = of.firstOf[one]; option < of.firstOf[one] + of.sizes[one]; option++) {
            if ((allowed[option >> 6] & 1L << option) != 0) {
                long[] row = of.rows[option];
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
        for (int word = of.firstWord(group); word < of.endWord(group); word++) {
            long left = allowed[word] & of.masks[group][word];
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

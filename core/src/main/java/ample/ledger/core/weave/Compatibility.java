package ample.ledger.core.weave;

/**
 * Groups of options, of which one each is to be chosen so that any two chosen go together. Immutable.
 *
 * <p>Options are numbered through, group after group. A set of options is a bitmap of {@link #words()} words.
 */
public final class Compatibility {

    final int[] sizes;
    final int[] firstOf;
    private final int[] groupOf;
    final long[][] rows;
    final long[][] masks;
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

    static void set(long[] bits, int option) {
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
        return new Counting(this, weights, watch).count();
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
    int firstWord(int group) {
        return firstOf[group] >> 6;
    }

    int endWord(int group) {
        return sizes[group] == 0 ? firstWord(group) : (firstOf[group] + sizes[group] - 1 >> 6) + 1;
    }
}

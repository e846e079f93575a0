package ample.ledger.core.weave;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Why no week holds everything that is asked.
 *
 * @param conflicts every smallest set of required wants that cannot go together under the other demands, fewest first: without any one of
 *     them the rest of the set can
 * @param loosenings every smallest set of demands without which there is a week; empty where no three of them are enough
 */
public record Impossibility(List<Conflict> conflicts, List<List<Demand>> loosenings) {

    /** No more demands than these are given up at once. */
    private static final int MOST_GIVEN_UP = 3;

    /**
     * Wants that cannot go together.
     *
     * @param wants one that cannot be had at all, or several
     * @param because the other demands but for which they could; none where nothing of these is in the way
     */
    public record Conflict(List<Demand.Want> wants, List<Demand> because) {}

    public Impossibility {
        conflicts = List.copyOf(conflicts);
        loosenings = List.copyOf(loosenings);
    }

    /** Cost: one search for each set of wants, and for each set of up to three demands. */
    static Impossibility of(Options options, int wants) {
        return new Search(options, wants).result();
    }

    private static final class Search {

        private final int wants;
        private final List<Demand> demands;
        private final List<Options.Option> all;
        private final Compatibility compatibility;

        Search(Options options, int wants) {
            this.wants = wants;
            this.demands = options.demands();
            this.all = IntStream.range(0, wants)
                    .boxed()
                    .flatMap(want -> options.of(want).stream())
                    .toList();
            this.compatibility = new Compatibility(
                    IntStream.range(0, wants)
                            .map(want -> options.of(want).size())
                            .toArray(),
                    (one, other) -> options.together(all.get(one), all.get(other)));
        }

        Impossibility result() {
            BitSet everything = new BitSet();
            everything.set(0, demands.size());
            return new Impossibility(conflicts(everything), loosenings(everything));
        }

        private List<Conflict> conflicts(BitSet everything) {
            List<BitSet> found = new ArrayList<>();
            IntStream.range(1, 1 << wants)
                    .boxed()
                    .sorted((one, other) -> Integer.compare(Integer.bitCount(one), Integer.bitCount(other)))
                    .map(bits -> BitSet.valueOf(new long[] {bits}))
                    .filter(some -> some.stream().allMatch(this::isRequired))
                    .forEach(some -> {
                        if (found.stream().noneMatch(smaller -> contains(some, smaller))
                                && !possible(with(everything, some))) {
                            found.add(some);
                        }
                    });
            return found.stream().map(some -> conflict(some, everything)).toList();
        }

        private boolean isRequired(int want) {
            return ((Demand.Want) demands.get(want)).required();
        }

        private static boolean contains(BitSet some, BitSet smaller) {
            BitSet left = (BitSet) smaller.clone();
            left.andNot(some);
            return left.isEmpty();
        }

        /** The demands that are no wants, and of the wants these. */
        private BitSet with(BitSet everything, BitSet some) {
            BitSet kept = (BitSet) everything.clone();
            kept.clear(0, wants);
            kept.or(some);
            return kept;
        }

        private Conflict conflict(BitSet some, BitSet everything) {
            List<Demand> because = new ArrayList<>();
            for (int demand = wants; demand < demands.size(); demand++) {
                BitSet without = with(everything, some);
                without.clear(demand);
                if (possible(without)) {
                    because.add(demands.get(demand));
                }
            }
            return new Conflict(
                    some.stream()
                            .mapToObj(want -> (Demand.Want) demands.get(want))
                            .toList(),
                    because);
        }

        private List<List<Demand>> loosenings(BitSet everything) {
            int[] givable = IntStream.range(0, demands.size())
                    .filter(demand -> demand < wants ? isRequired(demand) : isBroken(demand))
                    .toArray();
            for (int size = 1; size <= MOST_GIVEN_UP; size++) {
                List<List<Demand>> found = choices(givable, 0, size)
                        .filter(given -> {
                            BitSet kept = (BitSet) everything.clone();
                            Arrays.stream(given).forEach(kept::clear);
                            return possible(kept);
                        })
                        .map(given ->
                                Arrays.stream(given).mapToObj(demands::get).toList())
                        .toList();
                if (!found.isEmpty()) {
                    return found;
                }
            }
            return List.of();
        }

        private boolean isBroken(int demand) {
            return all.stream().anyMatch(option -> option.broken().get(demand));
        }

        private static Stream<int[]> choices(int[] from, int first, int size) {
            if (size == 0) {
                return Stream.of(new int[0]);
            }
            return IntStream.range(first, from.length)
                    .boxed()
                    .flatMap(i -> choices(from, i + 1, size - 1).map(rest -> {
                        int[] choice = new int[rest.length + 1];
                        choice[0] = from[i];
                        System.arraycopy(rest, 0, choice, 1, rest.length);
                        return choice;
                    }));
        }

        /** Whether there is a week that keeps to these demands; of the wants only to those among them. */
        private boolean possible(BitSet kept) {
            long[] allowed = new long[compatibility.words()];
            for (int option = 0; option < all.size(); option++) {
                if (!all.get(option).broken().intersects(kept)) {
                    allowed[option >> 6] |= 1L << option;
                }
            }
            int[] among = kept.stream()
                    .filter(demand -> demand < wants)
                    .filter(this::isRequired)
                    .toArray();
            return compatibility.possible(allowed, among);
        }
    }
}

package ample.ledger.core.browse.answer;

import ample.ledger.core.browse.answer.Findings.WayBack;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.index.CandidateSet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Every smallest set of conditions to drop so that something fits.
 *
 * <p>The conditions that a candidate fails are a bit mask; dropping a set of conditions brings its section back exactly when
 * the mask lies within the set. So the smallest sets are the masks that hold no other candidate's mask. Cost: one pass over
 * the candidates for each condition, and the square of the number of different masks.
 */
final class WaysBack {

    private WaysBack() {}

    /**
     * Sets that bring back most first, then those with fewer conditions. For fewer than 32 conditions.
     *
     * @param terms for each term, of each condition the candidates that meet it
     */
    static List<WayBack> of(List<Condition> conditions, List<List<CandidateSet>> terms) {
        Set<Integer> masks = new HashSet<>();
        for (List<CandidateSet> sets : terms) {
            sets.get(0).layout().all().forEach(position -> {
                int mask = 0;
                for (int i = 0; i < sets.size(); i++) {
                    mask |= sets.get(i).contains(position) ? 0 : 1 << i;
                }
                masks.add(mask);
            });
        }
        return masks.stream()
                .filter(mask -> masks.stream().noneMatch(other -> !other.equals(mask) && (other & mask) == other))
                .map(mask -> new WayBack(
                        named(conditions, mask),
                        terms.stream().mapToInt(sets -> without(mask, sets)).sum()))
                .sorted(Comparator.comparingInt(WayBack::sections)
                        .reversed()
                        .thenComparingInt(way -> way.dropped().size())
                        .thenComparing(way -> way.dropped().get(0).topic()))
                .toList();
    }

    private static int without(int mask, List<CandidateSet> sets) {
        return IntStream.range(0, sets.size())
                .filter(i -> (mask & 1 << i) == 0)
                .mapToObj(sets::get)
                .reduce(sets.get(0).layout().all(), CandidateSet::and)
                .size();
    }

    private static List<Condition> named(List<Condition> conditions, int mask) {
        return IntStream.range(0, conditions.size())
                .filter(i -> (mask & 1 << i) != 0)
                .mapToObj(conditions::get)
                .toList();
    }
}

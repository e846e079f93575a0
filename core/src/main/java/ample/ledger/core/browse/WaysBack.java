package ample.ledger.core.browse;

import ample.ledger.core.browse.Findings.WayBack;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Every smallest set of conditions to drop so that something fits.
 *
 * <p>The conditions that a section fails are a bit mask; dropping a set of conditions brings the section back exactly
 * when its mask lies within the set. So the smallest sets are the masks that hold no other section's mask. Cost: one
 * pass over the sections, and the square of the number of different masks.
 */
final class WaysBack {

    private WaysBack() {}

    /** Sets that bring back most first, then those with fewer conditions. For fewer than 32 conditions. */
    static List<WayBack> of(Brief brief, List<SectionSet> sets, int sections) {
        Map<Integer, Integer> sectionsByMask = new HashMap<>();
        for (int position = 0; position < sections; position++) {
            int mask = 0;
            for (int i = 0; i < sets.size(); i++) {
                mask |= sets.get(i).contains(position) ? 0 : 1 << i;
            }
            sectionsByMask.merge(mask, 1, Integer::sum);
        }
        return sectionsByMask.keySet().stream()
                .filter(mask -> sectionsByMask.keySet().stream()
                        .noneMatch(other -> !other.equals(mask) && (other & mask) == other))
                .map(mask -> new WayBack(conditions(brief, mask), sectionsByMask.get(mask)))
                .sorted(Comparator.comparingInt(WayBack::sections)
                        .reversed()
                        .thenComparingInt(way -> way.dropped().size())
                        .thenComparing(way -> way.dropped().get(0).topic()))
                .toList();
    }

    private static List<Condition> conditions(Brief brief, int mask) {
        return IntStream.range(0, brief.conditions().size())
                .filter(i -> (mask & 1 << i) != 0)
                .mapToObj(brief.conditions()::get)
                .toList();
    }
}

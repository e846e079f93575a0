package ample.ledger.core.browse;

import java.util.ArrayList;
import java.util.List;

/**
 * What is posted, what each condition of a brief removes in turn, and what is left.
 *
 * @param posted sections in all
 * @param lines one for each condition, in the order of the brief
 * @param left {@code posted} less everything removed
 */
public record RunningAccount(int posted, List<Line> lines, int left) {

    public RunningAccount {
        lines = List.copyOf(lines);
        int removed = lines.stream().mapToInt(Line::removed).sum();
        if (posted - removed != left) {
            throw new IllegalArgumentException(
                    "An account must add up: %d less %d is not %d".formatted(posted, removed, left));
        }
    }

    /**
     * One condition.
     *
     * @param removed sections that met every condition before it and fail it
     * @param onlyThis sections that fail it and no other condition of the brief: what comes back without it
     */
    public record Line(Condition condition, int removed, int onlyThis) {}

    /**
     * Draws up the account from the set of each condition, by the running intersections from the front and from the
     * back. Cost: three passes over the words of a set for each condition.
     */
    static RunningAccount of(Brief brief, List<SectionSet> sets, SectionSet posted) {
        int count = sets.size();
        List<SectionSet> fromBack = new ArrayList<>(List.of(posted));
        for (int i = count - 1; i > 0; i--) {
            fromBack.add(0, fromBack.get(0).and(sets.get(i)));
        }
        List<Line> lines = new ArrayList<>();
        SectionSet left = posted;
        for (int i = 0; i < count; i++) {
            SectionSet removed = left.minus(sets.get(i));
            lines.add(new Line(brief.conditions().get(i), removed.size(), removed.sizeOfAnd(fromBack.get(i))));
            left = left.and(sets.get(i));
        }
        return new RunningAccount(posted.size(), lines, left.size());
    }
}

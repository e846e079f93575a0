package ample.ledger.core.browse.answer;

import ample.ledger.core.browse.brief.Condition;
import java.util.List;

/**
 * What is posted, what each condition of a brief removes in turn, and what is left.
 *
 * @param posted sections in all
 * @param incomplete sections that cannot be taken by anybody: they belong to no complete, clash-free set
 * @param lines one for each condition, in the order of the brief
 * @param cancelled sections that fit every condition, and are cancelled
 * @param left {@code posted} less everything removed, and less what is cancelled
 */
public record RunningAccount(int posted, int incomplete, List<Line> lines, int cancelled, int left) {

    public RunningAccount {
        lines = List.copyOf(lines);
        int removed =
                incomplete + cancelled + lines.stream().mapToInt(Line::removed).sum();
        if (posted - removed != left) {
            throw new IllegalArgumentException(
                    "An account must add up: %d less %d is not %d".formatted(posted, removed, left));
        }
    }

    /**
     * One condition.
     *
     * @param removed sections that fit every condition before it and not this one too
     * @param onlyThis sections that fit every other condition of the brief and not this one too: what comes back without it
     */
    public record Line(Condition condition, int removed, int onlyThis) {}
}

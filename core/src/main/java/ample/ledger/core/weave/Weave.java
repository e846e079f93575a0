package ample.ledger.core.weave;

import ample.ledger.core.plan.Attendance;
import java.util.List;

/**
 * One week that holds what was wanted.
 *
 * @param sets of each want, in their order, the complete set that is taken; empty for an optional want that is left out
 * @param variants for each want the sets of the same times that could be taken instead, that one included
 * @param points how far it is from the wishes, weighed; 0 is all that was wished
 * @param measures how far it is from each wish, in the order of the wishes
 */
public record Weave(
        List<List<Attendance>> sets, List<List<List<Attendance>>> variants, long points, List<Measure> measures) {

    public Weave {
        sets = List.copyOf(sets);
        variants = List.copyOf(variants);
        measures = List.copyOf(measures);
    }

    /**
     * How far the week is from one wish.
     *
     * @param points on the average of the weeks of term; what they are counted in says {@link Wish}
     */
    public record Measure(Wish wish, double points) {}

    /** All sections of it, in the order of the wants. */
    public List<Attendance> sections() {
        return sets.stream().flatMap(List::stream).distinct().toList();
    }

    /** How many weeks there are that differ from it only in sections of the same times, itself included. */
    public long variantCount() {
        return variants.stream().mapToLong(List::size).reduce(1, Math::multiplyExact);
    }
}

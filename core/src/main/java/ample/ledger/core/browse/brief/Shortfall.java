package ample.ledger.core.browse.brief;

import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * How one section, in one of its sets, falls short of a condition.
 *
 * @param distance in {@code unit}; 1 or more
 * @param sentence put together when asked for
 * @param relaxed the condition changed as little as lets it in; empty where only dropping it does
 */
public record Shortfall(
        int distance, Unit unit, Function<Wording, String> sentence, Supplier<Optional<Condition>> relaxed) {

    /** Of a condition that can only be dropped. */
    static Shortfall whole(Unit unit, Function<Wording, String> sentence) {
        return new Shortfall(1, unit, sentence, Optional::empty);
    }

    /** The same sentence, saying that it is not the section itself, but only what it has to be taken with. */
    static String whose(boolean byOthers, String sentence) {
        return byOthers ? "with its companions " + sentence : sentence;
    }

    public int weight() {
        return unit.weight(distance);
    }
}

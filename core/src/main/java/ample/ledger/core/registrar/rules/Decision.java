package ample.ledger.core.registrar.rules;

import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Refusal;
import java.util.List;

/**
 * An answer, and what happens because of it.
 *
 * @param facts in their order; none where nothing happens
 */
public record Decision(Answer answer, List<Fact> facts) {

    public Decision {
        facts = List.copyOf(facts);
    }

    /** Nothing happens, for these reasons. */
    static Decision refused(List<Refusal> reasons) {
        return new Decision(Answer.refused(reasons.stream().distinct().toList()), List.of());
    }
}

package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A condition turned round: what fits is what would not fit it.
 *
 * <p>A course or section condition is simply denied. Of a set condition on a facet, no section of the set may have one of
 * the values. Of one on days, hours or dates, the section itself must break it; sections without set times still satisfy
 * it, as they satisfy every condition on days and times. Of one on seats, the section itself has fewer.
 *
 * @param of not a {@code Not} itself
 */
public record Not(Condition of) implements Condition {

    /** The parameter that lists the topics turned round. */
    static final Parameter PARAMETER =
            new Parameter("not", "Conditions that are turned round, by their names", "campus,days");

    public Not {
        if (of instanceof Not) {
            throw new IllegalArgumentException("Turned round twice: " + of);
        }
    }

    @Override
    public Topic topic() {
        return of.topic();
    }

    @Override
    public CandidateSet in(Moment moment) {
        return of.notIn(moment);
    }

    @Override
    public CandidateSet notIn(Moment moment) {
        return of.in(moment);
    }

    @Override
    public Phrase phrase(Wording wording) {
        return of.notPhrase(wording);
    }

    @Override
    public Unit leastShortfall() {
        return Unit.VALUE;
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        return of.notShortfall(candidate);
    }

    /** The parameters of the condition, and its topic under {@link #PARAMETER}. */
    @Override
    public Map<String, String> parameters() {
        Map<String, String> parameters = new LinkedHashMap<>(of.parameters());
        parameters.put(PARAMETER.name(), topic().code());
        return Collections.unmodifiableMap(parameters);
    }
}

package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** There is at least one set time. */
public record Timed() implements Condition {

    private static final String UNTIMED = "untimed";

    static final List<Parameter> PARAMETERS =
            List.of(new Parameter(UNTIMED, "Whether sections without set times stay: no leaves them out", "no"));

    static Optional<Condition> read(AddressReader address) {
        return address.one(
                        UNTIMED,
                        text -> text.equals("no") || text.equals("yes") ? Optional.of(text) : Optional.empty(),
                        "Write no to leave out sections with no set time, or yes to keep them.")
                .filter("no"::equals)
                .map(no -> new Timed());
    }

    @Override
    public Topic topic() {
        return Topic.UNTIMED;
    }

    @Override
    public CandidateSet in(Moment moment) {
        return moment.index().meetings().untimed().complement();
    }

    /** The whole set has no set time. */
    @Override
    public CandidateSet notIn(Moment moment) {
        return moment.index().setMeetings().untimed();
    }

    @Override
    public Phrase phrase(Wording wording) {
        return new Phrase("", "leaving out sections with no set time");
    }

    @Override
    public Phrase notPhrase(Wording wording) {
        return new Phrase("", "only sections with no set time");
    }

    @Override
    public Map<String, String> parameters() {
        return Map.of(UNTIMED, "no");
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        return Shortfall.whole(Unit.CONDITION, wording -> "has no set time");
    }
}

package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.schedule.EntryNumber;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * The section is one of these.
 *
 * @param entries at least one; those that the term does not have name no section
 */
public record Entries(Set<EntryNumber> entries) implements Condition {

    private static final String ENTRY = "entry";

    static final List<Parameter> PARAMETERS = List.of(new Parameter(ENTRY, "Entry numbers", Vocabulary::anEntry));

    private static final int MOST_NUMBERS = 3;

    public Entries {
        entries = Conditions.sorted(entries, "entry number");
    }

    static Optional<Condition> read(AddressReader address) {
        return Conditions.some(address.entries(ENTRY), Entries::new);
    }

    @Override
    public Topic topic() {
        return Topic.ENTRY;
    }

    @Override
    public CandidateSet in(Moment moment) {
        return moment.index().entered(entries);
    }

    @Override
    public Phrase phrase(Wording wording) {
        List<String> numbers = entries.stream().map(EntryNumber::digits).toList();
        return new Phrase(
                "with entry number",
                numbers.size() > MOST_NUMBERS ? "one of %d given".formatted(numbers.size()) : Phrases.anyOf(numbers));
    }

    @Override
    public Map<String, String> parameters() {
        return Map.of(ENTRY, entries.stream().map(EntryNumber::digits).collect(Collectors.joining(",")));
    }

    @Override
    public Unit leastShortfall() {
        return Unit.OTHER_COURSE;
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        EntryNumber own = candidate.section().entry();
        return new Shortfall(1, Unit.OTHER_COURSE, wording -> "has entry number " + own, () -> {
            Set<EntryNumber> more = new TreeSet<>(entries);
            more.add(own);
            return Optional.of(new Entries(more));
        });
    }
}

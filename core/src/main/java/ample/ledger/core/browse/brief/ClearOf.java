package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * No meeting is ever held at the time of one of these sections: date for date, so that two halves of a term do not clash. A
 * section does not clash with itself.
 *
 * @param plan at least one; those that the term does not have clash with nothing
 */
public record ClearOf(Set<EntryNumber> plan) implements Condition {

    private static final String PLAN = "plan";

    static final List<Parameter> PARAMETERS =
            List.of(new Parameter(PLAN, "Entry numbers of sections that it must not clash with", "40112"));

    public ClearOf {
        plan = Conditions.sorted(plan, PLAN);
    }

    static Optional<Condition> read(AddressReader address) {
        return Conditions.some(address.entries(PLAN), ClearOf::new);
    }

    private CandidateSet clashing(Moment moment, boolean inSet) {
        return moment.index().timetable().clashing(moment.index().at(plan), inSet);
    }

    @Override
    public Topic topic() {
        return Topic.PLAN;
    }

    @Override
    public CandidateSet in(Moment moment) {
        return clashing(moment, true).complement();
    }

    @Override
    public CandidateSet notIn(Moment moment) {
        return clashing(moment, false);
    }

    @Override
    public Phrase phrase(Wording wording) {
        return new Phrase("clear of", sections());
    }

    @Override
    public Phrase notPhrase(Wording wording) {
        return new Phrase("clashing with", sections());
    }

    private String sections() {
        return plan.size() == 1 ? "the section in your plan" : "the %d sections in your plan".formatted(plan.size());
    }

    @Override
    public Map<String, String> parameters() {
        return Map.of(PLAN, plan.stream().map(EntryNumber::digits).collect(Collectors.joining(",")));
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        List<Section> set = candidate.set();
        List<Section> clashing = plan.stream()
                .flatMap(entry -> candidate.schedule().section(entry).stream())
                .filter(planned -> set.stream().anyMatch(member -> clash(candidate, member, planned)))
                .toList();
        return new Shortfall(
                clashing.size(),
                Unit.SECTION_OF_THE_PLAN,
                wording -> "clashes with "
                        + Phrases.allOf(clashing.stream().map(Section::toString).toList()),
                () -> {
                    Set<EntryNumber> left = new HashSet<>(plan);
                    clashing.forEach(section -> left.remove(section.entry()));
                    return Conditions.some(left, ClearOf::new);
                });
    }

    private static boolean clash(Candidate candidate, Section member, Section planned) {
        return !member.equals(planned)
                && !candidate
                        .overlaps()
                        .dates(member.timings(), planned.timings())
                        .isEmpty();
    }
}

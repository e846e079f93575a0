package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.plan.Apart;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Together;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * It goes into one plan with each of these sections, by the rule that a plan is judged by: not held at the same time as one, class or
 * exam, date for date; not too far from one; not the same class, in its place, or without credit beside it. A section goes with
 * itself.
 *
 * @param plan at least one; those that no term has keep nothing out
 */
public record ClearOf(Set<Planned> plan) implements Condition {

    private static final String PLAN = "plan";

    /** No plan has more sections than these; each one costs a look at every section of the term. */
    private static final int MOST = 30;

    static final List<Parameter> PARAMETERS = List.of(new Parameter(
            PLAN,
            "Entry numbers of sections that it must go with, those of another term with the term before",
            Vocabulary::anEntry));

    public ClearOf {
        plan = Conditions.sorted(plan, PLAN);
    }

    /** Of {@code plan}, in a brief for {@code term}; empty where it has no section. */
    public static Optional<Condition> of(List<Attendance> plan, TermCode term) {
        return Conditions.some(
                plan.stream().map(attendance -> Planned.of(attendance, term)).collect(Collectors.toSet()),
                ClearOf::new);
    }

    static Optional<Condition> read(AddressReader address) {
        Set<Planned> named = address.set(
                PLAN,
                Planned::parse,
                "An entry number is 3 to 9 digits; one of another term has the term before, as in spring-2032.40112.");
        if (named.size() > MOST) {
            address.misread(PLAN, named.size() + " sections", "Name at most %d sections.".formatted(MOST));
        }
        return Conditions.some(named.stream().limit(MOST).collect(Collectors.toSet()), ClearOf::new);
    }

    private List<Attendance> planned(Schedule schedule, PostedSchedules posted) {
        return plan.stream()
                .flatMap(planned -> planned.attendance(schedule, posted).stream())
                .toList();
    }

    private CandidateSet apart(Moment moment, boolean inSet) {
        return moment.apartFrom(planned(moment.index().schedule(), moment.posted()), inSet);
    }

    @Override
    public Topic topic() {
        return Topic.PLAN;
    }

    @Override
    public CandidateSet in(Moment moment) {
        return apart(moment, true).complement();
    }

    @Override
    public CandidateSet notIn(Moment moment) {
        return apart(moment, false);
    }

    @Override
    public Phrase phrase(Wording wording) {
        return new Phrase("clear of", sections());
    }

    @Override
    public Phrase notPhrase(Wording wording) {
        return new Phrase("not clear of", sections());
    }

    private String sections() {
        return plan.size() == 1 ? "the section in your plan" : "the %d sections in your plan".formatted(plan.size());
    }

    @Override
    public Map<String, String> parameters() {
        return Map.of(PLAN, plan.stream().map(Planned::toString).collect(Collectors.joining(",")));
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        Schedule schedule = candidate.schedule();
        PostedSchedules posted = candidate.posted();
        List<Attendance> set = candidate.set().stream()
                .map(section -> posted.attendance(section, schedule))
                .toList();
        Map<Apart, List<Attendance>> apart = planned(schedule, posted).stream()
                .flatMap(planned -> set.stream()
                        .flatMap(member -> Together.apart(member, planned, posted).stream())
                        .findFirst()
                        .map(why -> Map.entry(why, planned))
                        .stream())
                .collect(Collectors.groupingBy(
                        Map.Entry::getKey,
                        () -> new EnumMap<>(Apart.class),
                        Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
        return new Shortfall(
                apart.values().stream().mapToInt(List::size).sum(),
                Unit.SECTION_OF_THE_PLAN,
                wording -> apart.entrySet().stream()
                        .map(why -> why.getKey().phrase() + " "
                                + Phrases.allOf(why.getValue().stream()
                                        .map(Attendance::toString)
                                        .toList()))
                        .collect(Collectors.joining(", ")),
                () -> {
                    Set<Planned> left = new TreeSet<>(plan);
                    Set<Attendance> out =
                            apart.values().stream().flatMap(List::stream).collect(Collectors.toSet());
                    left.removeIf(planned -> planned.attendance(schedule, posted)
                            .filter(out::contains)
                            .isPresent());
                    return Conditions.some(left, ClearOf::new);
                });
    }
}

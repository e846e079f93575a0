package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.schedule.CourseCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The course's number is one of these, or in one of these ranges.
 *
 * @param numbers at least one
 */
public record Numbers(List<NumberPattern> numbers) implements Condition {

    private static final String NUMBER = "number";

    static final List<Parameter> PARAMETERS =
            List.of(new Parameter(NUMBER, "Course numbers: exact, a range, or of one subject", Numbers::example));

    private static String example(Vocabulary vocabulary) {
        return vocabulary.courses().stream()
                .findFirst()
                .map(course -> "200-299," + NumberPattern.exactly(course.code()))
                .orElse("200-299");
    }

    public Numbers {
        numbers = numbers.stream().distinct().sorted().toList();
        Conditions.requireSome(numbers.isEmpty(), NUMBER);
    }

    static Optional<Condition> read(AddressReader address) {
        return Conditions.some(
                address.set(
                        NUMBER,
                        word -> number(word, address.vocabulary()),
                        "Write a number, as in 240 or glac:240d, or a range, as in 200-299."),
                numbers -> new Numbers(List.copyOf(numbers)));
    }

    private static Optional<NumberPattern> number(String word, Vocabulary vocabulary) {
        return NumberPattern.parse(word)
                .filter(number -> number.subject().isEmpty()
                        || vocabulary.value(Facet.SUBJECT, number.subject()).isPresent());
    }

    @Override
    public Topic topic() {
        return Topic.NUMBER;
    }

    @Override
    public CandidateSet in(Moment moment) {
        return numbers.stream()
                .map(number -> in(moment.index(), number))
                .reduce(moment.index().layout().none(), CandidateSet::or);
    }

    private static CandidateSet in(TermIndex index, NumberPattern number) {
        CandidateSet digits = index.numbered(number.low(), number.high());
        return number.subject().isEmpty() && number.letters().isEmpty()
                ? digits
                : index.ofCourses(digits, number::matches);
    }

    @Override
    public Phrase phrase(Wording wording) {
        return new Phrase(
                "numbered",
                Phrases.anyOf(numbers.stream().map(NumberPattern::inWords).toList()));
    }

    @Override
    public Map<String, String> parameters() {
        return Map.of(NUMBER, numbers.stream().map(NumberPattern::toString).collect(Collectors.joining(",")));
    }

    @Override
    public Unit leastShortfall() {
        return Unit.OTHER_COURSE;
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        CourseCode code = candidate.section().course().code();
        return new Shortfall(
                1,
                Unit.OTHER_COURSE,
                wording -> "is " + candidate.section().course().written(),
                () -> {
                    List<NumberPattern> more = new ArrayList<>(numbers);
                    more.add(NumberPattern.exactly(code));
                    return Optional.of(new Numbers(more));
                });
    }
}

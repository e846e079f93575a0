package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The course is none of those already taken.
 *
 * @param taken at least one
 */
public record OffRecord(Set<CourseCode> taken) implements Condition {

    private static final String TAKEN = "taken";

    static final List<Parameter> PARAMETERS = List.of(new Parameter(TAKEN, "Courses that are left out", "glac:120"));

    public OffRecord {
        taken = Conditions.sorted(taken, "record");
    }

    static Optional<Condition> read(AddressReader address) {
        return Conditions.some(
                address.set(
                        TAKEN,
                        word -> course(word, address.vocabulary()),
                        "Write a course as its subject and number, as in glac:120."),
                OffRecord::new);
    }

    private static Optional<CourseCode> course(String word, Vocabulary vocabulary) {
        String[] parts = word.split("[:\\s]+");
        if (parts.length != 2 || !parts[1].matches("[0-9]{1,6}\\p{L}{0,4}")) {
            return Optional.empty();
        }
        return vocabulary
                .course(parts[0], parts[1])
                .map(Course::code)
                .or(() -> Optional.of(new CourseCode(parts[0].toUpperCase(Locale.ROOT), parts[1])));
    }

    @Override
    public Topic topic() {
        return Topic.RECORD;
    }

    @Override
    public CandidateSet in(Moment moment) {
        return notIn(moment).complement();
    }

    @Override
    public CandidateSet notIn(Moment moment) {
        return moment.index().ofCourses(taken);
    }

    @Override
    public Phrase phrase(Wording wording) {
        return new Phrase("", "leaving out " + courses());
    }

    @Override
    public Phrase notPhrase(Wording wording) {
        return new Phrase("", "only " + courses());
    }

    private String courses() {
        return taken.size() > 2
                ? "the %d courses on your record".formatted(taken.size())
                : Phrases.allOf(taken.stream().map(CourseCode::toString).toList()) + ", on your record";
    }

    @Override
    public Map<String, String> parameters() {
        return Map.of(
                TAKEN,
                taken.stream()
                        .map(course -> course.subject() + ":" + course.number())
                        .collect(Collectors.joining(","))
                        .toLowerCase(Locale.ROOT));
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        return new Shortfall(1, Unit.CONDITION, wording -> "is on your record", () -> {
            Set<CourseCode> left = new HashSet<>(taken);
            left.remove(candidate.section().course().code());
            return Conditions.some(left, OffRecord::new);
        });
    }
}

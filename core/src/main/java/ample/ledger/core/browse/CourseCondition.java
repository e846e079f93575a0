package ample.ledger.core.browse;

import ample.ledger.core.schedule.CourseCode;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** A condition on the course: every section of one course agrees on it. */
public sealed interface CourseCondition extends Condition {

    /**
     * The course has one of these values of the facet, or all of them.
     *
     * @param codes at least one
     */
    record Having(CourseFacet facet, Set<String> codes, Facet.Match match) implements CourseCondition {

        /** One value or more; of a single one {@code match} makes no difference and is {@code ANY}. */
        public Having {
            codes = FacetValues.sorted(facet, codes);
            match = codes.size() == 1 ? Facet.Match.ANY : match;
        }

        @Override
        public Topic topic() {
            return facet.topic();
        }

        @Override
        public CandidateSet in(Moment moment) {
            return FacetValues.in(moment, facet, codes, match);
        }

        @Override
        public Phrase phrase(Wording wording) {
            return FacetValues.phrase(wording, facet, codes, match);
        }

        @Override
        public Map<String, String> parameters() {
            return FacetValues.parameters(facet, codes, match);
        }
    }

    /**
     * The course's number is one of these, or in one of these ranges.
     *
     * @param numbers at least one
     */
    record Numbers(List<NumberPattern> numbers) implements CourseCondition {

        public Numbers {
            numbers = numbers.stream().distinct().sorted().toList();
            if (numbers.isEmpty()) {
                throw new IllegalArgumentException("A condition on the number must say which");
            }
        }

        @Override
        public Topic topic() {
            return Topic.NUMBER;
        }

        @Override
        public CandidateSet in(Moment moment) {
            return numbers.stream()
                    .map(moment.index()::numbered)
                    .reduce(moment.index().layout().none(), CandidateSet::or);
        }

        @Override
        public Phrase phrase(Wording wording) {
            return new Phrase(
                    "numbered",
                    Phrases.anyOf(numbers.stream().map(NumberPattern::inWords).toList()));
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of(
                    "number", numbers.stream().map(NumberPattern::toString).collect(Collectors.joining(",")));
        }
    }

    /**
     * The title or the description of the course has every one of these words, as {@link CourseWords} finds them.
     *
     * @param text words with a blank between them; at least one letter or digit
     */
    record Words(String text) implements CourseCondition {

        public Words {
            text = text.strip().replaceAll("\\s+", " ");
            if (CourseWords.tokens(text).isEmpty()) {
                throw new IllegalArgumentException("There is no word in “" + text + "”");
            }
        }

        @Override
        public Topic topic() {
            return Topic.WORDS;
        }

        @Override
        public CandidateSet in(Moment moment) {
            return moment.index().mentioning(text);
        }

        @Override
        public Phrase phrase(Wording wording) {
            return new Phrase("about", "“" + text + "”");
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("words", text);
        }
    }

    /**
     * The course is none of those already taken.
     *
     * @param taken at least one
     */
    record OffRecord(Set<CourseCode> taken) implements CourseCondition {

        public OffRecord {
            if (taken.isEmpty()) {
                throw new IllegalArgumentException("A condition on the record must say what is on it");
            }
            taken = Collections.unmodifiableSortedSet(new TreeSet<>(taken));
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
                    "taken",
                    taken.stream()
                            .map(course -> course.subject() + ":" + course.number())
                            .collect(Collectors.joining(","))
                            .toLowerCase(Locale.ROOT));
        }
    }
}

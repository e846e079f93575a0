package ample.ledger.core.browse;

import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Subject;
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
     * The course is of one of these subjects.
     *
     * @param codes of subjects; at least one
     */
    record Subjects(Set<String> codes) implements CourseCondition {

        /** More names than this make a brief hard to read; codes stand for them then. */
        private static final int MOST_NAMES = 2;

        public Subjects {
            codes = sorted(codes, "subject");
        }

        @Override
        public Topic topic() {
            return Topic.SUBJECT;
        }

        @Override
        public SectionSet in(TermIndex index) {
            return index.any(codes, index::ofSubject);
        }

        @Override
        public Phrase phrase(Schedule schedule) {
            List<String> names = codes.size() > MOST_NAMES
                    ? List.copyOf(codes)
                    : schedule.subjects().stream()
                            .filter(subject -> codes.contains(subject.code()))
                            .map(Subject::name)
                            .toList();
            return new Phrase("in", Wording.anyOf(names));
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("subject", String.join(",", codes).toLowerCase(Locale.ROOT));
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
            requireSome(numbers.isEmpty(), "course number");
        }

        @Override
        public Topic topic() {
            return Topic.NUMBER;
        }

        @Override
        public SectionSet in(TermIndex index) {
            return index.whereCourse(course -> numbers.stream().anyMatch(number -> number.matches(course.code())));
        }

        @Override
        public Phrase phrase(Schedule schedule) {
            return new Phrase(
                    "numbered",
                    Wording.anyOf(numbers.stream().map(NumberPattern::inWords).toList()));
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of(
                    "number", numbers.stream().map(NumberPattern::toString).collect(Collectors.joining(",")));
        }
    }

    /**
     * The course belongs to one of these years of study.
     *
     * @param levels at least one, each 1 or more
     */
    record Levels(Set<Integer> levels) implements CourseCondition {

        public Levels {
            levels = sorted(levels, "level");
        }

        @Override
        public Topic topic() {
            return Topic.LEVEL;
        }

        @Override
        public SectionSet in(TermIndex index) {
            return index.any(levels, index::ofLevel);
        }

        @Override
        public Phrase phrase(Schedule schedule) {
            return new Phrase(
                    "of level",
                    Wording.anyOf(levels.stream().map(String::valueOf).toList()));
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("level", levels.stream().map(String::valueOf).collect(Collectors.joining(",")));
        }
    }

    /**
     * Sections of the course count toward at least one of these requirements.
     *
     * @param codes at least one
     */
    record Toward(Set<String> codes) implements CourseCondition {

        public Toward {
            codes = sorted(codes, "requirement");
        }

        @Override
        public Topic topic() {
            return Topic.REQUIREMENT;
        }

        @Override
        public SectionSet in(TermIndex index) {
            return index.any(codes, index::toward);
        }

        @Override
        public Phrase phrase(Schedule schedule) {
            List<String> names = schedule.requirements().stream()
                    .filter(requirement -> codes.contains(requirement.code()))
                    .map(Requirement::name)
                    .toList();
            return new Phrase("counting toward", Wording.anyOf(names));
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("toward", String.join(",", codes));
        }
    }

    private static <T extends Comparable<T>> Set<T> sorted(Set<T> values, String what) {
        requireSome(values.isEmpty(), what);
        return Collections.unmodifiableSortedSet(new TreeSet<>(values));
    }

    private static void requireSome(boolean empty, String what) {
        if (empty) {
            throw new IllegalArgumentException("A condition on the " + what + " needs at least one " + what);
        }
    }
}

package ample.ledger.core.schedule;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What must come before a course, as an expression. {@link Object#toString()} writes it in the notation that the package {@code
 * requirement} reads.
 */
public sealed interface Prerequisite {

    /** The courses it speaks of, in the order written; one that it names twice stands twice. */
    default Stream<CourseCode> courses() {
        return Stream.empty();
    }

    /** The grades it asks for, as they are written. */
    default Stream<String> grades() {
        return Stream.empty();
    }

    /**
     * At least so many of these hold.
     *
     * @param count 1 to the number of parts: 1 is "or", all of them is "and"
     * @param parts two or more
     */
    record AtLeast(int count, List<Prerequisite> parts) implements Prerequisite {

        public AtLeast {
            parts = List.copyOf(parts);
            if (parts.size() < 2) {
                throw new IllegalArgumentException("A choice has at least two parts, not " + parts.size());
            }
            if (count < 1 || count > parts.size()) {
                throw new IllegalArgumentException("%d of %d cannot hold".formatted(count, parts.size()));
            }
        }

        @Override
        public Stream<CourseCode> courses() {
            return parts.stream().flatMap(Prerequisite::courses);
        }

        @Override
        public Stream<String> grades() {
            return parts.stream().flatMap(Prerequisite::grades);
        }

        @Override
        public String toString() {
            if (count == 1) {
                return written(" or ");
            }
            return count == parts.size() ? written(" and ") : count + " of (" + separated(", ") + ")";
        }

        private String written(String between) {
            return parts.stream()
                    .map(part -> part instanceof AtLeast inner && !inner.selfContained()
                            ? "(" + part + ")"
                            : part.toString())
                    .collect(Collectors.joining(between));
        }

        private String separated(String between) {
            return parts.stream().map(Prerequisite::toString).collect(Collectors.joining(between));
        }

        /** Whether it brings its own brackets. */
        private boolean selfContained() {
            return count > 1 && count < parts.size();
        }
    }

    /**
     * A course has been passed.
     *
     * @param leastGrade a grade of the institution's scale; empty for any pass
     * @param alongside whether taking it at the same time is enough
     */
    record Passed(CourseCode course, Optional<String> leastGrade, boolean alongside) implements Prerequisite {

        @Override
        public Stream<CourseCode> courses() {
            return Stream.of(course);
        }

        @Override
        public Stream<String> grades() {
            return leastGrade.stream();
        }

        @Override
        public String toString() {
            return course + leastGrade.map(grade -> " with " + grade).orElse("") + (alongside ? " alongside" : "");
        }
    }

    /**
     * A placement has been reached.
     *
     * @param name as the institution calls it: "Number test, band 3"; without quotation marks
     */
    record Placement(String name) implements Prerequisite {

        @Override
        public String toString() {
            return "placement \"" + name + "\"";
        }
    }

    /**
     * A year of study has been reached.
     *
     * @param level 1 or more
     */
    record Standing(int level) implements Prerequisite {

        @Override
        public String toString() {
            return "standing " + level;
        }
    }

    /**
     * So many credits have been earned.
     *
     * @param credits in the institution's own unit; 1 or more
     */
    record CreditsEarned(int credits) implements Prerequisite {

        @Override
        public String toString() {
            return "credits " + credits;
        }
    }

    /**
     * Somebody has given permission.
     *
     * @param by whose, as in "the department"; without quotation marks
     */
    record Permission(String by) implements Prerequisite {

        @Override
        public String toString() {
            return "permission \"" + by + "\"";
        }
    }
}

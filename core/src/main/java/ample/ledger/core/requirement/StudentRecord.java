package ample.ledger.core.requirement;

import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Grade;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.StudentGroup;
import ample.ledger.core.schedule.StudentGroup.About;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a student has done and is doing, as far as conditions ask for it.
 *
 * @param known what the record says anything of; of courses or placements that are missing here it does not say that there are none
 * @param courses in no particular order; a course taken twice stands twice
 * @param creditsEarned in the institution's own unit; 0 or more, empty where it is not said
 * @param level year of study; 1 or more, empty where it is not said
 * @param placements by the names that the institution gives them
 * @param permissions those given, by whose they are
 * @param groups the codes of the programmes, campuses and cohorts that the student belongs to; of what is not in it nothing
 *     is said
 * @param waived courses for which the registrar has waived what comes before them
 * @param owed codes of the requirements still owed; empty where nothing is said of them
 */
public record StudentRecord(
        Set<Part> known,
        List<Taken> courses,
        Optional<BigDecimal> creditsEarned,
        Optional<Integer> level,
        Set<String> placements,
        Set<String> permissions,
        Map<About, Set<String>> groups,
        Set<CourseCode> waived,
        Optional<Set<String>> owed) {

    /** A record with nothing in it yet. */
    public static final StudentRecord NEW = new StudentRecord(
            Set.of(Part.values()),
            List.of(),
            Optional.of(BigDecimal.ZERO),
            Optional.empty(),
            Set.of(),
            Set.of(),
            Map.of());

    /** A record that says nothing. */
    public static final StudentRecord UNKNOWN =
            new StudentRecord(Set.of(), List.of(), Optional.empty(), Optional.empty(), Set.of(), Set.of(), Map.of());

    /** What a record can say everything of, or nothing. */
    public enum Part {
        COURSES,
        PLACEMENTS
    }

    public StudentRecord {
        if (creditsEarned.filter(credits -> credits.signum() < 0).isPresent()) {
            throw new IllegalArgumentException("Nobody has earned " + creditsEarned.get() + " credits");
        }
        known = Set.copyOf(known);
        courses = List.copyOf(courses);
        placements = Set.copyOf(placements);
        permissions = Set.copyOf(permissions);
        groups = Map.copyOf(groups);
        waived = Set.copyOf(waived);
        owed = owed.map(Set::copyOf);
    }

    /** A record that says nothing of waivers and requirements. */
    public StudentRecord(
            Set<Part> known,
            List<Taken> courses,
            Optional<BigDecimal> creditsEarned,
            Optional<Integer> level,
            Set<String> placements,
            Set<String> permissions,
            Map<About, Set<String>> groups) {
        this(known, courses, creditsEarned, level, placements, permissions, groups, Set.of(), Optional.empty());
    }

    /** The credits of the courses passed, each counted once; of those that {@code schedule} does not post, none. */
    public static BigDecimal creditsOf(List<Taken> courses, Schedule schedule) {
        return courses.stream()
                .filter(Taken::passed)
                .map(Taken::course)
                .distinct()
                .flatMap(code -> schedule.course(code).stream())
                .map(Course::credits)
                .reduce(BigDecimal.ZERO, BigDecimal::add);
    }

    /** The courses passed. */
    public Set<CourseCode> passed() {
        return courses.stream().filter(Taken::passed).map(Taken::course).collect(Collectors.toUnmodifiableSet());
    }

    /** The courses passed, and those that go on. */
    public Set<CourseCode> passedOrInProgress() {
        return courses.stream()
                .filter(taken -> taken.passed() || taken.inProgress())
                .map(Taken::course)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Whether the student is one of {@code group}; empty where the record does not say. */
    public Optional<Boolean> belongsTo(StudentGroup group) {
        Set<String> codes = group.about() == About.LEVEL
                ? level.map(year -> Set.of(String.valueOf(year))).orElse(Set.of())
                : groups.getOrDefault(group.about(), Set.of());
        return codes.isEmpty() ? Optional.empty() : Optional.of(codes.stream().anyMatch(group.anyOf()::contains));
    }

    /** The same with courses that the student supposes to have passed, or to pass before. */
    public StudentRecord supposing(List<Taken> supposed) {
        return with(Stream.concat(
                        courses.stream(),
                        supposed.stream().map(taken -> new Taken(taken.course(), taken.grade(), true)))
                .toList());
    }

    /** The same without what is only supposed. */
    public StudentRecord asItIs() {
        return with(courses.stream().filter(taken -> !taken.supposed()).toList());
    }

    /** The same with courses that go on, as far as they are not on it. */
    public StudentRecord alsoTaking(Collection<CourseCode> others) {
        Set<CourseCode> has = passedOrInProgress();
        return with(Stream.concat(
                        courses.stream(),
                        others.stream()
                                .filter(code -> !has.contains(code))
                                .map(code -> new Taken(code, Optional.empty())))
                .toList());
    }

    private StudentRecord with(List<Taken> others) {
        return new StudentRecord(known, others, creditsEarned, level, placements, permissions, groups, waived, owed);
    }

    /**
     * A course on a record.
     *
     * @param grade empty while it goes on, and of what is supposed where any pass is meant
     * @param supposed whether only the student supposes it: it is on no record
     */
    public record Taken(CourseCode course, Optional<Grade> grade, boolean supposed) {

        public Taken(CourseCode course, Optional<Grade> grade) {
            this(course, grade, false);
        }

        /** Whether it has no grade yet. */
        public boolean inProgress() {
            return grade.isEmpty() && !supposed;
        }

        /** Whether the student supposes to pass it, with whatever grade. */
        boolean supposesPass() {
            return grade.isEmpty() && supposed;
        }

        /** Whether it is passed, and not only supposed to be. */
        public boolean passed() {
            return !supposed && grade.filter(Grade::passes).isPresent();
        }
    }
}

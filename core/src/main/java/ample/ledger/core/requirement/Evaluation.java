package ample.ledger.core.requirement;

import ample.ledger.core.requirement.StudentRecord.Part;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Grade;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Prerequisite.AtLeast;
import ample.ledger.core.schedule.Prerequisite.CreditsEarned;
import ample.ledger.core.schedule.Prerequisite.Passed;
import ample.ledger.core.schedule.Prerequisite.Permission;
import ample.ledger.core.schedule.Prerequisite.Placement;
import ample.ledger.core.schedule.Prerequisite.Standing;
import ample.ledger.core.schedule.Schedule;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Judges prerequisites by a record, and by the courses that the student plans to take in the same term.
 *
 * <p>A choice of parts is as good as its parts allow: "at least two of these" is as good as the second best of them. So
 * a part that is in progress or needs permission does not spoil a choice that another part meets.
 */
public final class Evaluation {

    /** What a student's record says of a condition; earlier is better. */
    public enum Verdict {
        MET("met"),
        /** The registrar lets this student take the course without it. */
        WAIVED("waived for you"),
        /** Met once what goes on now is passed. */
        IN_PROGRESS("in progress"),
        /** Met by what the student plans to take at the same time. */
        PLANNED("planned"),
        /** Met if what the student supposes comes true. */
        SUPPOSED("met if your what-if lines come true"),
        /** The record does not say. */
        UNKNOWN("your record does not say"),
        /** Somebody must be asked. */
        NEEDS_PERMISSION("needs permission"),
        NOT_MET("not met");

        private final String label;

        Verdict(String label) {
            this.label = label;
        }

        /** As shown to people. */
        public String label() {
            return label;
        }

        /** Whether nothing is left for the student to do. */
        public boolean willDo() {
            return this == MET || this == WAIVED || this == IN_PROGRESS || this == PLANNED;
        }
    }

    /**
     * A condition, or a part of one, with its verdict.
     *
     * @param parts the verdicts on the parts of a choice, in their order; none of any other condition
     */
    public record Judged(Prerequisite condition, Verdict verdict, List<Judged> parts) {

        public Judged {
            parts = List.copyOf(parts);
        }
    }

    private final StudentRecord student;
    private final Set<CourseCode> planned;
    private final Schedule schedule;

    /**
     * @param planned courses of the same term
     * @param schedule which courses stand for which others
     */
    public Evaluation(StudentRecord student, Collection<CourseCode> planned, Schedule schedule) {
        this.student = student;
        this.planned = Set.copyOf(planned);
        this.schedule = schedule;
    }

    /** What must come before {@code course}, which the registrar may have waived for the student. */
    public Judged judge(Course course, Prerequisite condition) {
        Judged judged = judge(condition);
        return student.waived().contains(course.code()) && judged.verdict() != Verdict.MET
                ? new Judged(condition, Verdict.WAIVED, judged.parts())
                : judged;
    }

    /** Cost: linear in the parts of the condition and the courses of the record. */
    public Judged judge(Prerequisite condition) {
        if (condition instanceof AtLeast choice) {
            List<Judged> parts = choice.parts().stream().map(this::judge).toList();
            Verdict verdict = parts.stream()
                    .map(Judged::verdict)
                    .sorted()
                    .skip(choice.count() - 1L)
                    .findFirst()
                    .orElseThrow();
            return new Judged(condition, verdict, parts);
        }
        return new Judged(condition, ofLeaf(condition), List.of());
    }

    private Verdict ofLeaf(Prerequisite leaf) {
        if (leaf instanceof Passed passed) {
            return ofCourse(passed);
        }
        if (leaf instanceof Permission permission) {
            return student.permissions().contains(permission.by()) ? Verdict.MET : Verdict.NEEDS_PERMISSION;
        }
        if (leaf instanceof Placement placement) {
            return student.placements().contains(placement.name()) ? Verdict.MET : missing(Part.PLACEMENTS);
        }
        if (leaf instanceof Standing standing) {
            return verdict(student.level().map(level -> level >= standing.level()));
        }
        BigDecimal least = BigDecimal.valueOf(((CreditsEarned) leaf).credits());
        return verdict(student.creditsEarned().map(earned -> earned.compareTo(least) >= 0));
    }

    private static Verdict verdict(Optional<Boolean> met) {
        return met.map(yes -> yes ? Verdict.MET : Verdict.NOT_MET).orElse(Verdict.UNKNOWN);
    }

    /** On what is not on the record. */
    private Verdict missing(Part part) {
        return student.known().contains(part) ? Verdict.NOT_MET : Verdict.UNKNOWN;
    }

    private Verdict ofCourse(Passed wanted) {
        Set<CourseCode> counting = schedule.countingAs(wanted.course());
        // Postings whose prerequisites name other grades than the institution's are refused.
        Optional<Grade> least =
                wanted.leastGrade().flatMap(schedule.institution().grades()::parse);
        List<StudentRecord.Taken> taken = student.courses().stream()
                .filter(course -> counting.contains(course.course()))
                .toList();
        if (passes(taken.stream().filter(course -> !course.supposed()), least)) {
            return Verdict.MET;
        }
        if (taken.stream().anyMatch(StudentRecord.Taken::inProgress)) {
            return Verdict.IN_PROGRESS;
        }
        if (wanted.alongside() && planned.stream().anyMatch(counting::contains)) {
            return Verdict.PLANNED;
        }
        if (passes(taken.stream(), least) || taken.stream().anyMatch(StudentRecord.Taken::supposesPass)) {
            return Verdict.SUPPOSED;
        }
        return least.isPresent() && taken.stream().anyMatch(course -> isOfAnotherScale(course, least.get()))
                ? Verdict.UNKNOWN
                : missing(Part.COURSES);
    }

    /** Passed with a grade of another institution, of which nothing says whether it is good enough here. */
    private static boolean isOfAnotherScale(StudentRecord.Taken course, Grade least) {
        return course.passed()
                && course.grade()
                        .filter(grade -> !grade.scale().equals(least.scale()))
                        .isPresent();
    }

    private static boolean passes(Stream<StudentRecord.Taken> taken, Optional<Grade> least) {
        return taken.flatMap(course -> course.grade().stream())
                .anyMatch(grade -> grade.passes()
                        && least.filter(bound -> !grade.scale().equals(bound.scale()) || !grade.isAtLeast(bound))
                                .isEmpty());
    }
}

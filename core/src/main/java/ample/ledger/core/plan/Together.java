package ample.ledger.core.plan;

import ample.ledger.core.schedule.Companion;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Equivalent;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Which sections go together: the one rule that a plan is judged by, that weeks are woven by, and that decides what mends a plan.
 */
public final class Together {

    private Together() {}

    /**
     * What keeps two sections out of one plan whenever they meet: they are one class posted twice, they take one place of one
     * course, or credit is given for one of their courses only.
     */
    public static Optional<Obstacle> ruledOut(Attendance one, Attendance other) {
        if (isOneClass(one, other)) {
            return Optional.of(new Obstacle.SharedListing(one, other));
        }
        if (one.sameCourse(other) && choice(one).equals(choice(other))) {
            return Optional.of(new Obstacle.SameCourse(one, other));
        }
        return one.leads() && other.leads()
                ? equivalent(one, other)
                        .or(() -> equivalent(other, one))
                        .map(equivalent -> new Obstacle.CreditOnce(one, other, equivalent))
                : Optional.empty();
    }

    /** Pools are named by each institution for itself: those of two schedules with one name are two. */
    private static boolean isOneClass(Attendance one, Attendance other) {
        return one.term().code().equals(other.term().code())
                && one.section().pool().code().equals(other.section().pool().code())
                && !one.sameCourse(other);
    }

    /** What a companion is one of; empty for a section that leads. */
    static Optional<String> choice(Attendance attendance) {
        return attendance.section().companion().map(Companion::choice);
    }

    private static Optional<Equivalent> equivalent(Attendance one, Attendance other) {
        CourseCode code = other.section().course().code();
        for (Equivalent equivalent : one.section().course().rules().equivalents()) {
            if (equivalent.course().equals(code)) {
                return Optional.of(equivalent);
            }
        }
        return Optional.empty();
    }

    /** Whether an exam is at the time of a class, not an exam, of its own course: one of the two will not be held, and its teachers know which. */
    static boolean isSeenTo(Clash clash) {
        return clash.exam()
                && clash.one() instanceof Attendance one
                && clash.other() instanceof Attendance other
                && one.sameCourse(other)
                && exams(one).noneMatch(exam -> exams(other).anyMatch(exam::clashes));
    }

    /** The clashes of two sections that keep them out of one plan. */
    public static List<Clash> clashes(Attendance one, Attendance other) {
        return Clash.all(List.of(one, other)).stream()
                .filter(clash -> !isSeenTo(clash))
                .toList();
    }

    private static Stream<Stay> exams(Attendance attendance) {
        return attendance.stays().stream().filter(Stay::exam);
    }

    /** The first date on which {@code held} has a class during an exam of {@code exam}, the same section or one of its course. */
    static Optional<LocalDate> classDuringExam(Attendance exam, Attendance held) {
        return exams(exam)
                .flatMap(sat -> held.stays().stream()
                        .filter(stay -> !stay.exam() && stay.clashes(sat))
                        .flatMap(stay ->
                                stay.dates().stream().filter(date -> sat.dates().contains(date))))
                .min(Comparator.naturalOrder());
    }

    /** Why two sections do not go into one plan; empty where they do, and for a section and itself. */
    public static Optional<Apart> apart(Attendance one, Attendance other, PostedSchedules posted) {
        if (one.equals(other)) {
            return Optional.empty();
        }
        if (!Engagement.reachable(one, other, posted)) {
            if (!clashes(one, other).isEmpty()) {
                return Optional.of(Apart.SAME_TIME);
            }
            if (!Travel.notMade(List.of(one, other), posted).isEmpty()) {
                return Optional.of(Apart.TOO_FAR);
            }
        }
        return ruledOut(one, other)
                .map(obstacle -> obstacle instanceof Obstacle.SharedListing
                        ? Apart.ONE_CLASS
                        : obstacle instanceof Obstacle.SameCourse ? Apart.SAME_COURSE : Apart.CREDIT_ONCE);
    }

    /** Whether a student can take all of both, of different courses, and go to all of both. */
    public static boolean possible(List<Attendance> some, List<Attendance> others, PostedSchedules posted) {
        for (Attendance one : some) {
            for (Attendance other : others) {
                if (one.sameCourse(other) || apart(one, other, posted).isPresent()) {
                    return false;
                }
            }
        }
        return true;
    }
}

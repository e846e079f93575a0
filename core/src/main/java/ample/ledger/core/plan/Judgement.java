package ample.ledger.core.plan;

import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.requirement.Evaluation.Verdict;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * What is wrong with a planned week now, and what is not known about it.
 *
 * @param stopping problems for which the registrar would refuse some of the week
 * @param full sections that have no free seat for the student
 * @param toKnow problems that the registrar does not mind, such as two exams on one day
 * @param unknown prerequisites of which the student's record does not say whether they are met, or which are met by what the student
 *     supposes alone
 * @param perhaps sections for some groups only, where it is not known whether the student belongs to one
 */
public record Judgement(
        List<Obstacle> stopping,
        List<FullSection> full,
        List<Obstacle> toKnow,
        List<Obstacle.LacksPrerequisite> unknown,
        List<Attendance> perhaps) {

    /** @param readings seats and status of a section, for this student now */
    public static Judgement of(
            PlannedWeek week, Obstacles.Student student, Function<Attendance, StatusReading> readings) {
        return of(week, student, readings, one -> false);
    }

    /**
     * Of a student who has some of it at the registrar.
     *
     * @param has whether they have a seat in a section: it does not matter to them then that there are no more
     */
    public static Judgement of(
            PlannedWeek week,
            Obstacles.Student student,
            Function<Attendance, StatusReading> readings,
            Predicate<Attendance> has) {
        List<Obstacle> obstacles = Obstacles.of(week, student);
        return new Judgement(
                obstacles.stream().filter(Obstacle::stops).toList(),
                FullSection.of(week, readings, has),
                obstacles.stream()
                        .filter(obstacle -> !obstacle.stops() && !isUnknown(obstacle))
                        .toList(),
                obstacles.stream()
                        .filter(Judgement::isUnknown)
                        .map(Obstacle.LacksPrerequisite.class::cast)
                        .toList(),
                week.taken().stream()
                        .filter(has.negate())
                        .filter(attendance -> readings.apply(attendance).status() == Status.OPEN_TO_SOME)
                        .toList());
    }

    private static boolean isUnknown(Obstacle obstacle) {
        return obstacle instanceof Obstacle.LacksPrerequisite lacks
                && (lacks.verdict() == Verdict.UNKNOWN || lacks.verdict() == Verdict.SUPPOSED);
    }

    /** Whether no problem is known. */
    public boolean nothingWrong() {
        return stopping.isEmpty() && full.isEmpty();
    }

    /** Whether nothing about the student is missing that the judgement needs. */
    public boolean allKnown() {
        return unknown.isEmpty() && perhaps.isEmpty();
    }

    /** Whether the registrar would accept all of it: no problem is known, and nothing needed is missing. */
    public boolean stands() {
        return nothingWrong() && allKnown();
    }
}

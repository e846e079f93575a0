package ample.ledger.core.plan;

import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.requirement.Evaluation.Verdict;
import java.util.List;
import java.util.function.Function;

/**
 * What is wrong with a planned week now, and what is not known about it.
 *
 * @param stopping problems because of which the registrar would refuse some of it
 * @param full sections without a free seat for the student
 * @param toKnow problems that the registrar does not mind, such as two exams on one day
 * @param unknown prerequisites that the student may meet or not: their record does not say
 * @param perhaps sections that may be open to the student or not: it is not known which group they belong to
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
        List<Obstacle> obstacles = Obstacles.of(week, student);
        return new Judgement(
                obstacles.stream().filter(Obstacle::stops).toList(),
                FullSection.of(week, readings),
                obstacles.stream()
                        .filter(obstacle -> !obstacle.stops() && !isUnknown(obstacle))
                        .toList(),
                obstacles.stream()
                        .filter(Judgement::isUnknown)
                        .map(Obstacle.LacksPrerequisite.class::cast)
                        .toList(),
                week.taken().stream()
                        .filter(attendance -> readings.apply(attendance).status() == Status.OPEN_TO_SOME)
                        .toList());
    }

    private static boolean isUnknown(Obstacle obstacle) {
        return obstacle instanceof Obstacle.LacksPrerequisite lacks && lacks.verdict() == Verdict.UNKNOWN;
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

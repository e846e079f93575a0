package ample.ledger.core.plan;

import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.requirement.Evaluation.Verdict;
import java.util.List;
import java.util.function.Function;

/**
 * What can be said of a planned week at one moment.
 *
 * @param stopping what stops it
 * @param full sections that no seat is open of
 * @param toKnow what does not stop it, and ought to be known
 * @param unknown prerequisites of which it is not known whether they are met
 * @param perhaps sections of which it is not known whether they are open to who plans
 */
public record Judgement(
        List<Obstacle> stopping,
        List<FullSection> full,
        List<Obstacle> toKnow,
        List<Obstacle.LacksPrerequisite> unknown,
        List<Attendance> perhaps) {

    /** @param readings what a section is to who plans, at that moment */
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

    /** Whether nothing is known that is wrong with it. */
    public boolean nothingWrong() {
        return stopping.isEmpty() && full.isEmpty();
    }

    /** Whether all is known that it depends on. */
    public boolean allKnown() {
        return unknown.isEmpty() && perhaps.isEmpty();
    }

    /** Whether it will stand: nothing is wrong with it, and nothing that it depends on is unknown. */
    public boolean stands() {
        return nothingWrong() && allKnown();
    }
}

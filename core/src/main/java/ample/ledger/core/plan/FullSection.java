package ample.ledger.core.plan;

import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * A section that is to be taken, though no seat of it is open to who plans.
 *
 * @param reading what it is to who plans
 * @param instead sections of its course that fit the week and have seats
 */
public record FullSection(Attendance attendance, StatusReading reading, List<Swap> instead) {

    public FullSection {
        instead = List.copyOf(instead);
    }

    /** Whether the student could get no seat. Before their registration opens that is not known, and the answer is no. */
    public static boolean lacksSeat(StatusReading reading) {
        return reading.open() == 0 && reading.status() != Status.NOT_YET_OPEN;
    }

    /** The full sections among those taken, of which the student has no seat yet. Waiting for a seat is the answer to a full section, so sections waited for are not listed. */
    public static List<FullSection> of(
            PlannedWeek week, Function<Attendance, StatusReading> readings, Predicate<Attendance> has) {
        return week.taken().stream()
                .filter(has.negate())
                .filter(attendance -> !attendance.section().cancelled())
                .filter(attendance -> lacksSeat(readings.apply(attendance)))
                .map(attendance -> new FullSection(
                        attendance,
                        readings.apply(attendance),
                        Swap.of(attendance, week).stream()
                                .filter(swap -> swap.out().contains(attendance))
                                .filter(swap -> swap.in().stream()
                                        .allMatch(one -> readings.apply(one).open() > 0))
                                .toList()))
                .toList();
    }
}

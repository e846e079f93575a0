package ample.ledger.core.plan;

import ample.ledger.core.reading.SeatAccount;
import java.util.List;
import java.util.function.Function;

/**
 * A section that is to be taken, though no seat of it is open: it can only be waited for.
 *
 * @param seats as they stand
 * @param instead sections of its course that fit the week and have seats
 */
public record FullSection(Attendance attendance, SeatAccount seats, List<Swap> instead) {

    public FullSection {
        instead = List.copyOf(instead);
    }

    /** Those of a week; what is waited for is not among them, since that is what one does with a full section. */
    public static List<FullSection> of(PlannedWeek week, Function<Attendance, SeatAccount> seats) {
        return week.taken().stream()
                .filter(attendance -> !attendance.section().cancelled())
                .filter(attendance -> seats.apply(attendance).open() == 0)
                .map(attendance -> new FullSection(
                        attendance,
                        seats.apply(attendance),
                        Swap.of(attendance, week).stream()
                                .filter(swap -> swap.out().contains(attendance))
                                .filter(swap -> swap.in().stream()
                                        .allMatch(one -> seats.apply(one).open() > 0))
                                .toList()))
                .toList();
    }
}

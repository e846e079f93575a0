package ample.ledger.core.plan;

import ample.ledger.core.calendar.DateSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A way from one stay to another that takes longer than there is time between them.
 *
 * @param minutes between the end of the one and the start of the other; 0 or more
 * @param dates on which both are held; at least one
 */
public record Travel(
        Attendance from, Stay left, Attendance to, Stay reached, int minutes, PostedSchedules.Way way, DateSet dates) {

    /** Every way between two of these that cannot be made. Cost: each pair of stays once. */
    static List<Travel> notMade(List<Attendance> attendances, PostedSchedules posted) {
        List<Travel> ways = new ArrayList<>();
        for (Attendance from : attendances) {
            for (Attendance to : attendances) {
                if (!from.equals(to)) {
                    for (Stay left : from.stays()) {
                        for (Stay reached : to.stays()) {
                            notMade(from, left, to, reached, posted).ifPresent(ways::add);
                        }
                    }
                }
            }
        }
        return ways;
    }

    private static Optional<Travel> notMade(
            Attendance from, Stay left, Attendance to, Stay reached, PostedSchedules posted) {
        return tooLong(left, reached, posted)
                .map(way -> new Travel(
                        from,
                        left,
                        to,
                        reached,
                        minutesBetween(left, reached),
                        way,
                        left.dates().and(reached.dates())));
    }

    /** Whether one can go to both: no date holds both at once, or one so soon after the other that the way takes longer. */
    static boolean possible(Stay one, Stay other, PostedSchedules posted) {
        return !one.clashes(other)
                && tooLong(one, other, posted).isEmpty()
                && tooLong(other, one, posted).isEmpty();
    }

    /** The way, where it takes longer than there is time on a date that has both. */
    private static Optional<PostedSchedules.Way> tooLong(Stay left, Stay reached, PostedSchedules posted) {
        int minutes = minutesBetween(left, reached);
        if (minutes < 0
                || left.spot().isEmpty()
                || reached.spot().isEmpty()
                || left.spot().equals(reached.spot())
                || !left.dates().meets(reached.dates())) {
            return Optional.empty();
        }
        return posted.way(left.spot().get(), reached.spot().get()).filter(way -> way.minutes() > minutes);
    }

    private static int minutesBetween(Stay left, Stay reached) {
        return reached.time().startMinute() - left.time().endMinute();
    }
}

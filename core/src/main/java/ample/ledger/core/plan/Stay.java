package ample.ledger.core.plan;

import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.schedule.Meeting;
import java.util.Optional;

/**
 * The same hours on some dates, spent in one place.
 *
 * @param days of the week on which it is held; of a date that follows another weekday, that weekday
 * @param dates on which it is held
 * @param spot empty where no one has to be anywhere, and where it is not known
 * @param exam whether it is an exam
 * @param meeting what is held; empty for a busy time
 */
public record Stay(
        Days days, TimeRange time, DateSet dates, Optional<Spot> spot, boolean exam, Optional<Meeting> meeting) {

    /** Whether on some date both are held at once. */
    public boolean clashes(Stay other) {
        return time.overlapMinutes(other.time) > 0 && dates.meets(other.dates);
    }
}

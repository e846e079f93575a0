package ample.ledger.core.browse.index;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.ToLongFunction;

/**
 * An order to show sections in. Whatever an order does not tell apart stays as it stands in the schedule: by course, then
 * by section code.
 */
public enum Order implements Coded {
    /** As the schedule is. */
    COURSE,
    /** By the day of the week and the hour of the first meeting in the week; those with no set time last. */
    MEETING,
    /** Those with most seats open first; cancelled ones last. */
    OPEN_SEATS,
    /** Those with the least share of their seats taken first; those without any seat, and cancelled ones, last. */
    SHARE_TAKEN,
    /** By the first day of the span, then the last. */
    DATES,
    /** In the order that campuses are posted in. */
    CAMPUS;

    private static final int LAST = Integer.MAX_VALUE;

    /** The place of a section of {@code schedule} in this order: the less, the earlier. Empty where seats decide it. */
    Optional<ToLongFunction<Section>> place(Schedule schedule) {
        return switch (this) {
            // As they stand in the schedule.
            case COURSE -> Optional.of(section -> 0);
            case MEETING -> Optional.of(Order::firstMeeting);
            case DATES -> Optional.of(section -> days(section.span().dates()));
            case CAMPUS -> Optional.of(section -> schedule.campuses().indexOf(section.campus()));
            case OPEN_SEATS, SHARE_TAKEN -> Optional.empty();
        };
    }

    /** Ordered by the first day, then by the last. */
    private static long days(DateRange dates) {
        return (dates.first().toEpochDay() << Integer.SIZE) + dates.last().toEpochDay();
    }

    /** Minutes since Monday 0:00 of the first meeting in the week. */
    private static int firstMeeting(Section section) {
        return section.timings().stream()
                .flatMap(timing -> timing.time().stream()
                        .flatMap(time -> timing.days().list().stream()
                                .map(day -> (day.getValue() - 1) * 24 * 60 + ClockTime.minuteOfDay(time.start()))))
                .min(Comparator.naturalOrder())
                .orElse(LAST);
    }

    /** The place of a section in an order that its seats decide: the less, the earlier. */
    int placeBySeats(Section section, StatusReading reading) {
        if (section.cancelled()) {
            return LAST;
        }
        if (this == OPEN_SEATS) {
            return -reading.open();
        }
        SeatAccount seats = reading.seats();
        return seats.capacity() == 0 ? LAST - 1 : (int) (seats.enrolled() * 1_000_000L / seats.capacity());
    }
}

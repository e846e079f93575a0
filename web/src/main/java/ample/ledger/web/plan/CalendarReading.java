package ample.ledger.web.plan;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.exchange.BusyCalendar;
import ample.ledger.core.exchange.CalendarRefusedException;
import ample.ledger.web.guard.TooManyException;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import org.springframework.stereotype.Component;

/** Reads visitors' calendar files: few at a time, and none for long. A calendar of a year takes some milliseconds. */
@Component
class CalendarReading {

    private static final Duration LONGEST = Duration.ofSeconds(2);
    private static final int AT_ONCE = 2;

    private final Semaphore places = new Semaphore(AT_ONCE);

    /**
     * What the file says of {@code within}.
     *
     * @return empty where it is no calendar file
     * @throws CalendarRefusedException when it asks for too much work
     * @throws TooManyException when others are being read
     */
    Optional<BusyCalendar.Reading> read(String text, ZoneId zone, DateRange within) {
        if (!places.tryAcquire()) {
            throw new TooManyException("Other calendar files are being read just now.", LONGEST);
        }
        try {
            long until = System.nanoTime() + LONGEST.toNanos();
            return BusyCalendar.read(text, zone, within, () -> System.nanoTime() - until > 0);
        } finally {
            places.release();
        }
    }
}

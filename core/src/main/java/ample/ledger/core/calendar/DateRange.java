package ample.ledger.core.calendar;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.stream.Stream;

/** The dates from a first to a last day, both included. Never empty. */
public record DateRange(LocalDate first, LocalDate last) {

    public DateRange {
        if (last.isBefore(first)) {
            throw new IllegalArgumentException("The last day must not come before the first: " + first + " to " + last);
        }
    }

    public boolean contains(LocalDate date) {
        return !date.isBefore(first) && !date.isAfter(last);
    }

    /** Whether they share at least one date. */
    public boolean overlaps(DateRange other) {
        return !first.isAfter(other.last) && !other.first.isAfter(last);
    }

    /** The dates that are in both; empty where there is none. */
    public Optional<DateRange> overlap(DateRange other) {
        return overlaps(other)
                ? Optional.of(new DateRange(
                        first.isAfter(other.first) ? first : other.first,
                        last.isBefore(other.last) ? last : other.last))
                : Optional.empty();
    }

    /** How many weeks, counting one begun as whole; at least 1. */
    public int weeks() {
        return Math.toIntExact(ChronoUnit.DAYS.between(first, last) / 7 + 1);
    }

    /** Every date, the first one first. */
    public Stream<LocalDate> dates() {
        return first.datesUntil(last.plusDays(1));
    }
}

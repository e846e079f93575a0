package ample.ledger.core.plan;

import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.Timing;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * A time that the student has other use for: a shift, a train. It follows no term's calendar.
 *
 * @param label what the student calls it; not blank
 * @param timing weekly or once, never arranged
 * @param except dates on which it is not, though {@code timing} says so
 */
public record BusyTime(String label, Timing timing, SortedSet<LocalDate> except) implements Engagement {

    /** More characters than these of a name are cut off. */
    public static final int LONGEST_LABEL = 80;

    public BusyTime {
        label = label.strip();
        if (label.length() > LONGEST_LABEL) {
            label = label.substring(0, LONGEST_LABEL);
        }
        if (label.isBlank()) {
            throw new IllegalArgumentException("A busy time needs a name");
        }
        if (timing.time().isEmpty()) {
            throw new IllegalArgumentException(label + " needs hours");
        }
        except = new TreeSet<>(except);
    }

    /** Without an exception. */
    public BusyTime(String label, Timing timing) {
        this(label, timing, new TreeSet<>());
    }

    /** The dates on which it is. */
    public DateSet dates() {
        return DateSet.of(TermCalendar.PLAIN.datesOf(timing).stream()
                .filter(date -> !except.contains(date))
                .toList());
    }

    @Override
    public List<Stay> stays() {
        DateSet dates = dates();
        return dates.isEmpty()
                ? List.of()
                : List.of(new Stay(
                        timing.days(), timing.time().orElseThrow(), dates, Optional.empty(), false, Optional.empty()));
    }

    /** What the student calls it. */
    @Override
    public String toString() {
        return label;
    }
}

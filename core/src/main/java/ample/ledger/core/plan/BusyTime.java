package ample.ledger.core.plan;

import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.text.PlainText;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * A time that the student has other use for: a shift, a train. It follows no term's calendar. Immutable; it works out its dates when it is first asked for them,
 * and once: a week asks for each section that it is compared with, and of plans that are only kept nobody asks.
 */
public final class BusyTime implements Engagement {

    /** More characters than these of a name are cut off. */
    public static final int LONGEST_LABEL = 80;

    private final String label;
    private final Timing timing;
    private final SortedSet<LocalDate> except;
    private volatile @Nullable DateSet dates;
    private volatile @Nullable List<Stay> stays;

    /**
     * @param label what the student calls it; not blank
     * @param timing weekly or once, never arranged
     * @param except dates on which it is not, though {@code timing} says so; others are passed over
     * @throws IllegalArgumentException when it has no name or no hours
     */
    public BusyTime(String label, Timing timing, SortedSet<LocalDate> except) {
        String plain = PlainText.onOneLine(label).strip();
        this.label = plain.length() > LONGEST_LABEL ? plain.substring(0, LONGEST_LABEL) : plain;
        if (this.label.isBlank()) {
            throw new IllegalArgumentException("A busy time needs a name");
        }
        if (timing.time().isEmpty()) {
            throw new IllegalArgumentException(this.label + " needs hours");
        }
        this.timing = timing;
        TreeSet<LocalDate> some = new TreeSet<>(except);
        if (!some.isEmpty()) {
            some.retainAll(TermCalendar.PLAIN.datesOf(timing));
        }
        this.except = Collections.unmodifiableSortedSet(some);
    }

    /** Without an exception. */
    public BusyTime(String label, Timing timing) {
        this(label, timing, new TreeSet<>());
    }

    /** What the student calls it: one line, not blank, at most {@link #LONGEST_LABEL} characters. */
    public String label() {
        return label;
    }

    /** Weekly or once. */
    public Timing timing() {
        return timing;
    }

    /** The dates of {@link #timing} on which it is not. */
    public SortedSet<LocalDate> except() {
        return except;
    }

    /** The dates on which it is. */
    public DateSet dates() {
        DateSet known = dates;
        if (known == null) {
            known = DateSet.of(TermCalendar.PLAIN.datesOf(timing).stream()
                    .filter(date -> !except.contains(date))
                    .toList());
            dates = known;
        }
        return known;
    }

    @Override
    public List<Stay> stays() {
        List<Stay> known = stays;
        if (known == null) {
            known = dates().isEmpty()
                    ? List.of()
                    : List.of(new Stay(
                            timing.days(),
                            timing.time().orElseThrow(),
                            dates(),
                            Optional.empty(),
                            false,
                            Optional.empty()));
            stays = known;
        }
        return known;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof BusyTime busy
                && label.equals(busy.label)
                && timing.equals(busy.timing)
                && except.equals(busy.except);
    }

    @Override
    public int hashCode() {
        return Objects.hash(label, timing, except);
    }

    /** What the student calls it. */
    @Override
    public String toString() {
        return label;
    }
}

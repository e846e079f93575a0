package ample.ledger.core.reading;

import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Section;
import java.util.List;

/**
 * Whether a section can be had, each with its own word. What seats alone tell {@link #of} derives; what tells the moment, and
 * the student, {@link StatusReading}.
 */
public enum Status implements Coded {
    OPEN("open"),
    OPEN_BUT_NOT_TO_YOU("open, but not to you"),
    FULL_WAITLIST_OPEN("full, waitlist open"),
    FULL("full"),
    CANCELLED("cancelled"),
    NOT_YET_OPEN("not yet open"),
    CLOSED_TO_LATE_ENTRY("closed to late entry"),
    BY_PERMISSION("by permission");

    /** Those that seats alone tell. */
    public static final List<Status> OF_SEATS = List.of(OPEN, OPEN_BUT_NOT_TO_YOU, FULL_WAITLIST_OPEN, FULL, CANCELLED);

    private final String label;

    Status(String label) {
        this.label = label;
    }

    /** As shown to people. */
    public String label() {
        return label;
    }

    /**
     * The status of {@code section} whose seats stand as {@code seats} says. Seats that are all held for others, or
     * promised to people waiting, are free but not open to this person.
     */
    public static Status of(Section section, SeatAccount seats) {
        if (section.cancelled()) {
            return CANCELLED;
        }
        if (seats.open() > 0) {
            return OPEN;
        }
        if (seats.heldSeats() > 0 && seats.enrolled() + seats.promised() < seats.capacity()) {
            return OPEN_BUT_NOT_TO_YOU;
        }
        return seats.waitlistOpen() > 0 ? FULL_WAITLIST_OPEN : FULL;
    }
}

package ample.ledger.core.reading;

import ample.ledger.core.schedule.SeatPool;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;

/**
 * Capacity down to the seats open to a person, line by line, as seats stand on one day.
 *
 * <p>Seats held for a group count against everyone who is not known to belong to it, through the last day they are held.
 * An account may come out below zero; then the pool is over-enrolled or over-committed, {@link #open()} is 0 and
 * {@link #excess()} says by how many.
 *
 * @param held what is still held on that day, in the order posted
 */
public record SeatAccount(
        int capacity, int enrolled, List<SeatPool.Held> held, int promised, int waiting, int waitlistCapacity) {

    public SeatAccount {
        held = List.copyOf(held);
    }

    /** The account of {@code pool} for a person who belongs to none of the groups seats are held for. */
    public static SeatAccount of(SeatPool pool, LocalDate today) {
        return new SeatAccount(
                pool.capacity(),
                pool.count().enrolled(),
                pool.held().stream()
                        .filter(held -> !held.until().isBefore(today))
                        .toList(),
                pool.count().promised(),
                pool.count().waiting(),
                pool.waitlistCapacity());
    }

    /** The same for a person for whom {@code theirs} are held. */
    public SeatAccount without(Collection<SeatPool.Held> theirs) {
        return new SeatAccount(
                capacity,
                enrolled,
                held.stream().filter(each -> !theirs.contains(each)).toList(),
                promised,
                waiting,
                waitlistCapacity);
    }

    /** Seats held for groups, in all. */
    public int heldSeats() {
        return held.stream().mapToInt(SeatPool.Held::seats).sum();
    }

    /** Seats that are not held against this person; 0 or more. */
    public int open() {
        return Math.max(0, balance());
    }

    /** Seats that are neither taken nor promised, held ones among them; 0 or more. */
    public int free() {
        return Math.max(0, capacity - enrolled - promised);
    }

    /** By how many seats more is taken, held and promised than there are; 0 or more. */
    public int excess() {
        return Math.max(0, -balance());
    }

    /** By how many people enrolment exceeds capacity; 0 or more. */
    public int overEnrolled() {
        return Math.max(0, enrolled - capacity);
    }

    /** Places left on the waitlist; 0 or more, 0 where there is none. */
    public int waitlistOpen() {
        return Math.max(0, waitlistCapacity - waiting);
    }

    private int balance() {
        return capacity - enrolled - heldSeats() - promised;
    }
}

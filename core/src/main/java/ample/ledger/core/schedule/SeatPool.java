package ample.ledger.core.schedule;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The seats that one section, or several cross-listed ones, share.
 *
 * @param capacity seats in all; 0 or more
 * @param waitlistCapacity places on the waitlist; 0 where there is none
 * @param held seats kept for a group, in the order posted
 * @param count how they stand
 */
public record SeatPool(String code, int capacity, int waitlistCapacity, List<Held> held, Count count) {

    public SeatPool {
        if (capacity < 0 || waitlistCapacity < 0) {
            throw new IllegalArgumentException(
                    "Pool " + code + " cannot have " + capacity + " seats and a waitlist of " + waitlistCapacity);
        }
        held = List.copyOf(held);
    }

    /**
     * Seats kept for a group.
     *
     * @param words who, in words: "Glaciology majors"
     * @param group the same for a program; empty where only people can judge
     * @param seats still unclaimed; 1 or more
     * @param until the last day they are kept
     */
    public record Held(String words, Optional<StudentGroup> group, int seats, LocalDate until) {

        public Held {
            if (seats < 1) {
                throw new IllegalArgumentException("Held for " + words + ": " + seats + " seats; it takes at least 1");
            }
        }
    }

    /**
     * The same as it stands now.
     *
     * @param now with how many held seats were claimed since this was posted
     */
    public SeatPool standing(Count now) {
        List<Held> left = new ArrayList<>();
        for (int i = 0; i < held.size(); i++) {
            Held one = held.get(i);
            int seats = one.seats() - (i < now.claimed().size() ? now.claimed().get(i) : 0);
            if (seats > 0) {
                left.add(new Held(one.words(), one.group(), seats, one.until()));
            }
        }
        return new SeatPool(code, capacity, waitlistCapacity, left, now);
    }

    /**
     * How the seats stand at one moment; none is below 0.
     *
     * @param enrolled may exceed the capacity: over-enrolled
     * @param waiting people on the waitlist
     * @param promised seats offered to people on the waitlist who have not answered yet
     * @param claimed of the seats held for each group, in the order posted, those that members have claimed since; shorter where
     *     none of the rest are
     */
    public record Count(int enrolled, int waiting, int promised, List<Integer> claimed) {

        public Count {
            if (enrolled < 0 || waiting < 0 || promised < 0) {
                throw new IllegalArgumentException("Seats cannot stand at %d enrolled, %d waiting, %d promised"
                        .formatted(enrolled, waiting, promised));
            }
            claimed = List.copyOf(claimed);
        }

        /** Without a held seat that was claimed since. */
        public Count(int enrolled, int waiting, int promised) {
            this(enrolled, waiting, promised, List.of());
        }
    }
}

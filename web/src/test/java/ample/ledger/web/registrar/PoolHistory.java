package ample.ledger.web.registrar;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What was asked of one pool of seats, with when it was asked and when the answer was heard: between the two it was done. Whether some order of
 * the requests explains the answers is decided from that alone, without the registrar (in the manner of linearizability checks; Herlihy and Wing 1990,
 * from memory). Safe for many threads.
 */
final class PoolHistory {

    /** One confirmed answer: a seat taken (1) or given back (-1). */
    private record Seat(long asked, long heard, int seats) {}

    /** A place on the waitlist. */
    private record Place(long asked, long heard, int place) {}

    private final List<Seat> seats = new ArrayList<>();
    private final List<Place> places = new ArrayList<>();

    synchronized void took(long asked, long heard) {
        seats.add(new Seat(asked, heard, 1));
    }

    synchronized void gaveBack(long asked, long heard) {
        seats.add(new Seat(asked, heard, -1));
    }

    synchronized void queued(int place, long asked, long heard) {
        places.add(new Place(asked, heard, place));
    }

    /**
     * The most seats that were taken at once in the order that is kindest to the registrar: each was given back as soon as that was asked for, and taken
     * only when the answer was heard. If those are more than there were, no order explains the answers; and if not, this one does.
     */
    synchronized int mostAtOnce() {
        List<Seat> ordered = seats.stream()
                .sorted(Comparator.comparingLong((Seat seat) -> seat.seats() > 0 ? seat.heard() : seat.asked())
                        .thenComparing(Seat::seats))
                .toList();
        int taken = 0;
        int most = 0;
        for (Seat seat : ordered) {
            taken += seat.seats();
            most = Math.max(most, taken);
        }
        return most;
    }

    /**
     * How many places on the waitlist are out of order, of a queue that nobody left meanwhile: one that was given twice, and one behind somebody who asked
     * only after it was heard.
     */
    synchronized int outOfOrder() {
        List<Place> ordered =
                places.stream().sorted(Comparator.comparingInt(Place::place)).toList();
        int wrong = 0;
        long latest = Long.MIN_VALUE;
        for (int i = 0; i < ordered.size(); i++) {
            Place place = ordered.get(i);
            boolean twice = i > 0 && place.place() == ordered.get(i - 1).place();
            wrong += twice || place.heard() < latest ? 1 : 0;
            latest = Math.max(latest, place.asked());
        }
        return wrong;
    }
}

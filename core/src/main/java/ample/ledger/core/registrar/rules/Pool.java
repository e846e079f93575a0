package ample.ledger.core.registrar.rules;

import ample.ledger.core.schedule.SeatPool;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** How one pool of seats stands, in a {@link Book}. */
public final class Pool {

    private final SeatPool posted;

    /** For each group that seats are held for, how many nobody has claimed. */
    private final Map<String, Integer> unclaimed = new LinkedHashMap<>();

    final Set<String> queue = new LinkedHashSet<>();

    /** Those to whom a seat is promised, as far as they have names. */
    final Set<String> offered = new LinkedHashSet<>();

    /** How many of the enrolled are known by name. */
    int named;

    int enrolled;
    int promised;

    /**
     * As it is posted, or as the registrar has last said. Those who wait are named after their place: of others no more is known.
     *
     * @param posted with the seats that nobody has claimed
     */
    public Pool(SeatPool posted) {
        this.posted = posted;
        this.enrolled = posted.count().enrolled();
        this.promised = posted.count().promised();
        posted.held().forEach(held -> unclaimed.merge(held.words(), held.seats(), Integer::sum));
        for (int place = 1; place <= posted.count().waiting(); place++) {
            queue.add(another(posted.code(), place));
        }
    }

    /** The name of a student of whom only the place on a waitlist is known. */
    public static String another(String pool, int place) {
        return "another-" + pool + "-" + place;
    }

    public SeatPool posted() {
        return posted;
    }

    /** How it stands, as it is told to others. */
    public SeatPool.Count count() {
        return new SeatPool.Count(enrolled, queue.size(), promised, claimed());
    }

    /** The pool as it stands. */
    public SeatPool standing() {
        return posted.standing(count());
    }

    /** Of the seats held for each group, in the order posted, those that are claimed; none where no group has claimed any. */
    private List<Integer> claimed() {
        Map<String, Integer> left = new HashMap<>(unclaimed);
        List<Integer> claimed = new ArrayList<>();
        for (int i = posted.held().size() - 1; i >= 0; i--) {
            SeatPool.Held held = posted.held().get(i);
            int seats = Math.min(held.seats(), left.getOrDefault(held.words(), 0));
            left.merge(held.words(), -seats, Integer::sum);
            claimed.add(0, held.seats() - seats);
        }
        return claimed.stream().allMatch(seats -> seats == 0) ? List.of() : claimed;
    }

    /** Those who wait, the first first. */
    public List<String> queue() {
        return List.copyOf(queue);
    }

    /** Those to whom a seat is promised, as far as they have names. */
    public List<String> offered() {
        return List.copyOf(offered);
    }

    /** Enrolled students of whom no more is known than that they are. */
    public int unnamed() {
        return enrolled - named;
    }

    void claim(String heldFor, int seats) {
        if (!heldFor.isEmpty()) {
            unclaimed.merge(heldFor, -seats, Integer::sum);
        }
    }

    /** Seats that are neither taken nor promised; below 0 where more are. */
    int free() {
        return posted.capacity() - enrolled - promised;
    }

    /** Of those, the seats that are held for nobody; below 0 where more are held than there are. */
    public int anybodys(LocalDate today) {
        return free()
                - posted.held().stream()
                        .filter(held -> !held.until().isBefore(today))
                        .map(SeatPool.Held::words)
                        .distinct()
                        .mapToInt(words -> unclaimed.getOrDefault(words, 0))
                        .sum();
    }

    int unclaimedBy(String heldFor) {
        return unclaimed.getOrDefault(heldFor, 0);
    }

    /** Places left on the waitlist; 0 or more, 0 where there is none. */
    public int waitlistOpen() {
        return Math.max(0, posted.waitlistCapacity() - queue.size());
    }
}

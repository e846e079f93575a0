package ample.ledger.standin.seats;

import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.SeatPool.Count;
import ample.ledger.core.schedule.TermCode;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;

/**
 * Other students, as the registrar hears of them: they take seats, join waitlists, and drop. They take no more seats than are
 * free to everyone, and a waitlist takes no more of them than it has places. A seat that falls free while people wait is
 * promised to one of them.
 */
public final class SimulatedRegistrations {

    private static final int MOST_AT_ONCE = 4;

    /** Of ten students, so many come rather than go. */
    private static final int COMING = 7;

    private final RandomGenerator dice;
    private final Clock clock;

    /** @param dice whatever it gives decides; the same gives the same */
    public SimulatedRegistrations(RandomGenerator dice, Clock clock) {
        this.dice = dice;
        this.clock = clock;
    }

    /**
     * What changes next in one term.
     *
     * @param pools as they are posted
     * @param standing how each of them stands now, by its code
     */
    public List<SeatWord> next(TermCode term, List<SeatPool> pools, Map<String, Count> standing) {
        Map<String, Count> after = new LinkedHashMap<>();
        int changes = pools.isEmpty() ? 0 : 1 + dice.nextInt(MOST_AT_ONCE);
        for (int i = 0; i < changes; i++) {
            SeatPool pool = pools.get(dice.nextInt(pools.size()));
            Count before = after.getOrDefault(pool.code(), standing.getOrDefault(pool.code(), pool.count()));
            Count now = dice.nextInt(10) < COMING ? comes(pool, before) : goes(before);
            if (!now.equals(before)) {
                after.put(pool.code(), now);
            }
        }
        return after.entrySet().stream()
                .map(each -> new SeatWord(term, each.getKey(), each.getValue(), clock.instant()))
                .toList();
    }

    private static Count comes(SeatPool pool, Count count) {
        int held = pool.held().stream().mapToInt(SeatPool.Held::seats).sum();
        if (count.enrolled() + count.promised() + held < pool.capacity()) {
            return new Count(count.enrolled() + 1, count.waiting(), count.promised());
        }
        return count.waiting() < pool.waitlistCapacity()
                ? new Count(count.enrolled(), count.waiting() + 1, count.promised())
                : count;
    }

    private static Count goes(Count count) {
        if (count.enrolled() == 0) {
            return count;
        }
        return count.waiting() > 0
                ? new Count(count.enrolled() - 1, count.waiting() - 1, count.promised() + 1)
                : new Count(count.enrolled() - 1, 0, count.promised());
    }
}

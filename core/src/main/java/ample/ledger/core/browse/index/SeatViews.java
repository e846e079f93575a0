package ample.ledger.core.browse.index;

import ample.ledger.core.reading.Person;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import java.util.Collections;
import java.util.HashMap;
import java.util.Map;

/**
 * The views of one edition's seats, one for all people of whom the same is known. A view is made when somebody first asks for it, and brought up to
 * date when somebody next does. Those not asked for for long are let go.
 *
 * <p>Safe for any number of readers and one writer.
 */
final class SeatViews {

    /** People differ in programme, year, campus and opening; a page at a time needs but one of these. */
    private static final int MOST_VIEWS = 32;

    private final SeatView.Ground ground;
    private final Schedule schedule;

    /** How pools stand now that have changed since the posting. */
    private volatile Counts counts = new Counts(0, Map.of());

    private final Map<Person, Dated> views = Collections.synchronizedMap(new LatestAsked<>(MOST_VIEWS));

    /** How many changes came before it. */
    private record Dated(long change, SeatView view) {}

    /** @param change the number of the change that came last */
    private record Counts(long change, Map<String, Numbered> byPool) {

        Map<String, SeatPool.Count> since(long earlier) {
            Map<String, SeatPool.Count> since = new HashMap<>();
            byPool.forEach((pool, numbered) -> {
                if (numbered.change() > earlier) {
                    since.put(pool, numbered.count());
                }
            });
            return since;
        }
    }

    private record Numbered(long change, SeatPool.Count count) {}

    SeatViews(SeatView.Ground ground, Schedule schedule) {
        this.ground = ground;
        this.schedule = schedule;
    }

    /** Takes over how some pools stand now; one writer at a time. */
    synchronized void seatsNow(Map<String, SeatPool.Count> changed) {
        long change = counts.change() + 1;
        Map<String, Numbered> byPool = new HashMap<>(counts.byPool());
        changed.forEach((pool, count) -> {
            Numbered known = byPool.get(pool);
            if (known == null || !known.count().equals(count)) {
                byPool.put(pool, new Numbered(change, count));
            }
        });
        counts = new Counts(change, byPool);
    }

    /** A pool that is posted so, as it stands now. */
    SeatPool standing(SeatPool posted) {
        Numbered known = counts.byPool().get(posted.code());
        return known == null ? posted : posted.standing(known.count());
    }

    /** Seats as they stand now for {@code person}. */
    SeatView now(Person person) {
        Counts now = counts;
        Dated known = views.get(person);
        if (known != null && known.change() >= now.change()) {
            return known.view();
        }
        SeatView view = known == null
                ? SeatView.of(ground, schedule, person, now.since(0))
                : known.view().with(now.since(known.change()));
        views.put(person, new Dated(now.change(), view));
        return view;
    }
}

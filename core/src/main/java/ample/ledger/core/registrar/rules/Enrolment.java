package ample.ledger.core.registrar.rules;

import ample.ledger.core.registrar.Entry;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What one student has, in a {@link Book}. */
final class Enrolment {

    static final Enrolment NONE = new Enrolment();

    /** By the section, for whom its seat was held; empty for a seat that was anybody's. */
    final Map<Entry, String> registered = new LinkedHashMap<>();

    final Map<PoolName, Queued> queued = new LinkedHashMap<>();
    final Map<PoolName, Offered> offered = new LinkedHashMap<>();

    /** A place on a waitlist. */
    record Queued(Entry part, List<Entry> set) {

        /** Of a student of whom only the place is known. */
        static Queued unknown(PoolName pool) {
            return new Queued(new Entry(pool.term(), ""), List.of());
        }
    }

    /** A promised seat. */
    record Offered(Entry part, List<Entry> set, String heldFor, Instant until) {}

    /** The seat of the pool that is promised, and still is at a moment. */
    Optional<Offered> offer(PoolName pool, Instant now) {
        return Optional.ofNullable(offered.get(pool))
                .filter(offer -> offer.until().isAfter(now));
    }
}

package ample.ledger.core.registrar.rules;

import ample.ledger.core.registrar.Entry;
import ample.ledger.core.schedule.Coded;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * Something that has happened to a seat or to a place on a waitlist. All facts in their order make the state: see {@link Book#apply}.
 *
 * @param student to whom
 * @param part the section; the pool is named beside it, so that facts can be read without the schedule of that day
 * @param pool the code of its pool
 * @param heldFor for whom the seat was held, in the words of the pool; empty where it was held for nobody. A place on a waitlist has none
 * @param set the sections that are wanted in the end. Only places on waitlists and offers have some
 * @param until of an offer, when it lapses; otherwise empty
 */
public record Fact(
        Kind kind, String student, Entry part, String pool, String heldFor, List<Entry> set, Optional<Instant> until) {

    /** What can happen. */
    public enum Kind implements Coded {
        REGISTERED,
        DROPPED,
        QUEUED,
        /** Left a waitlist. */
        LEFT,
        /** A seat was promised; its student waits no more. */
        OFFERED,
        TAKEN_UP,
        DECLINED,
        LAPSED
    }

    public Fact {
        set = List.copyOf(set);
    }

    /** Without a set and a time. */
    static Fact of(Kind kind, String student, Entry part, PoolName pool, String heldFor) {
        return new Fact(kind, student, part, pool.code(), heldFor, List.of(), Optional.empty());
    }

    static Fact queued(String student, Entry part, PoolName pool, List<Entry> set) {
        return new Fact(Kind.QUEUED, student, part, pool.code(), "", set, Optional.empty());
    }

    static Fact offered(Enrolment.Queued first, String student, PoolName pool, String heldFor, Instant until) {
        return new Fact(Kind.OFFERED, student, first.part(), pool.code(), heldFor, first.set(), Optional.of(until));
    }

    /** Its pool. */
    public PoolName poolName() {
        return new PoolName(part.term(), pool);
    }
}

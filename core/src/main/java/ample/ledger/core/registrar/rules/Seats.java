package ample.ledger.core.registrar.rules;

import ample.ledger.core.registrar.rules.Fact.Kind;
import ample.ledger.core.schedule.SeatPool;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * Which seat somebody can have, and who is offered one that falls free. Never are more enrolled and promised than a pool holds. Held seats go to
 * members of their group, and are everybody's after their date. Whoever waits longest is offered the first seat that they can have.
 */
final class Seats {

    /** Of a seat that is held for nobody. */
    private static final String ANYBODYS = "";

    private final Function<PoolName, ZoneId> zones;
    private final Duration offersStand;
    private final Function<String, Optional<Registrant>> students;

    /** @param students by their names; empty for one of whom nothing is known, who belongs to no group */
    Seats(Function<PoolName, ZoneId> zones, Duration offersStand, Function<String, Optional<Registrant>> students) {
        this.zones = zones;
        this.offersStand = offersStand;
        this.students = students;
    }

    /**
     * A seat for somebody who is not on the waitlist, for whom it is held; empty where there is none. While others wait, only seats held
     * for a group of the student's are theirs.
     */
    Optional<String> forNewcomer(Book book, PoolName name, Registrant who, Instant now) {
        Pool pool = book.pool(name);
        Optional<String> held = heldFor(pool, who, today(name, now));
        return held.isPresent() || !pool.queue.isEmpty() ? held : anybodys(pool, today(name, now));
    }

    private LocalDate today(PoolName name, Instant now) {
        return LocalDateTime.ofInstant(now, zones.apply(name)).toLocalDate();
    }

    private static Optional<String> anybodys(Pool pool, LocalDate today) {
        return pool.anybodys(today) > 0 ? Optional.of(ANYBODYS) : Optional.empty();
    }

    private static Optional<String> heldFor(Pool pool, Registrant who, LocalDate today) {
        return pool.free() <= 0
                ? Optional.empty()
                : pool.posted().held().stream()
                        .filter(held -> !held.until().isBefore(today))
                        .filter(held -> pool.unclaimedBy(held.words()) > 0)
                        .filter(held -> held.group().filter(who::belongsTo).isPresent())
                        .map(SeatPool.Held::words)
                        .findFirst();
    }

    /** What is offered in a pool as it stands, and to whom; it is applied to the book. */
    List<Fact> offer(Book book, PoolName name, Instant now) {
        List<Fact> facts = new ArrayList<>();
        Optional<Fact> next = nextOffer(book, name, now);
        while (next.isPresent()) {
            book.apply(next.get());
            facts.add(next.get());
            next = nextOffer(book, name, now);
        }
        return facts;
    }

    private Optional<Fact> nextOffer(Book book, PoolName name, Instant now) {
        Pool pool = book.pool(name);
        LocalDate today = today(name, now);
        if (pool.queue.isEmpty() || pool.free() <= 0) {
            return Optional.empty();
        }
        for (String student : pool.queue) {
            Optional<String> seat = students.apply(student)
                    .flatMap(who -> heldFor(pool, who, today))
                    .or(() -> anybodys(pool, today));
            if (seat.isPresent()) {
                Enrolment.Queued queued = book.of(student).queued.get(name);
                Enrolment.Queued place = queued == null ? Enrolment.Queued.unknown(name) : queued;
                return Optional.of(Fact.offered(place, student, name, seat.get(), now.plus(offersStand)));
            }
        }
        return Optional.empty();
    }

    /** What time has brought: offers that are over, and what is offered since held seats are everybody's. It is applied to the book. */
    List<Fact> due(Book book, Instant now) {
        List<Fact> facts = new ArrayList<>();
        for (PoolName name : book.waited()) {
            for (String student : List.copyOf(book.pool(name).offered)) {
                Enrolment.Offered offer = book.of(student).offered.get(name);
                if (offer != null && !offer.until().isAfter(now)) {
                    Fact lapsed = Fact.of(Kind.LAPSED, student, offer.part(), name, offer.heldFor());
                    book.apply(lapsed);
                    facts.add(lapsed);
                }
            }
            facts.addAll(offer(book, name, now));
        }
        return facts;
    }
}

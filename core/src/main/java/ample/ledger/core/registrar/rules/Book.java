package ample.ledger.core.registrar.rules;

import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.round.Distribution;
import ample.ledger.core.registrar.rules.Enrolment.Offered;
import ample.ledger.core.registrar.rules.Enrolment.Queued;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.WishRound;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Who has which seats: everything that the rules decide by and that changes as they do. It begins with the pools as they are posted, and
 * {@link Fact}s are all that change it, so that it can be made again from them. For one thread.
 */
public final class Book {

    private final Function<PoolName, SeatPool> posted;
    private final Map<PoolName, Pool> pools = new HashMap<>();
    private final Map<String, Enrolment> students = new HashMap<>();

    /** The wish rounds whose places are distributed. */
    private final Map<RoundName, RoundBook> rounds = new HashMap<>();

    /** The pools in which somebody waits or has an offer: what time can change. */
    private final Set<PoolName> waited = new HashSet<>();

    /**
     * @param posted how a pool stands before any fact; a pool is asked for when it is first needed
     */
    public Book(Function<PoolName, SeatPool> posted) {
        this.posted = posted;
    }

    /**
     * With what one student has. Places on waitlists and offers are part of what {@code posted} counts; the student takes the place of
     * whoever has it there.
     */
    public static Book of(
            Function<PoolName, SeatPool> posted,
            String student,
            Registration registration,
            Function<Entry, PoolName> pools) {
        Book book = new Book(posted);
        Enrolment own = book.own(student);
        registration.registered().forEach(entry -> own.registered.put(entry, ""));
        for (Registration.Waiting waiting : registration.waiting()) {
            Answer.Place place = waiting.place();
            PoolName name = pools.apply(place.part());
            own.queued.put(name, new Queued(place.part(), waiting.set()));
            Pool pool = book.pool(name);
            List<String> queue = new ArrayList<>(pool.queue);
            if (place.place() <= queue.size()) {
                queue.set(place.place() - 1, student);
            } else {
                queue.add(student);
            }
            pool.queue.clear();
            pool.queue.addAll(queue);
        }
        for (Registration.Offer offer : registration.offers()) {
            own.offered.put(pools.apply(offer.part()), new Offered(offer.part(), offer.set(), "", offer.until()));
        }
        return book;
    }

    /** How a pool stands. */
    public Pool pool(PoolName name) {
        Pool known = pools.get(name);
        if (known == null) {
            known = new Pool(posted.apply(name));
            pools.put(name, known);
            if (!known.queue.isEmpty()) {
                waited.add(name);
            }
        }
        return known;
    }

    Enrolment of(String student) {
        return students.getOrDefault(student, Enrolment.NONE);
    }

    private Enrolment own(String student) {
        return students.computeIfAbsent(student, absent -> new Enrolment());
    }

    /**
     * Takes over that the places of a wish round are distributed. That students have them is said by facts after this.
     */
    public void distributed(RoundName name, WishRound round, Distribution distribution) {
        rounds.put(name, new RoundBook(name, round, distribution));
    }

    /** A round whose places are distributed; empty for any other. */
    Optional<RoundBook> round(RoundName name) {
        return Optional.ofNullable(rounds.get(name));
    }

    Map<RoundName, RoundBook> rounds() {
        return rounds;
    }

    /** The pools in which somebody waits or has an offer. */
    Set<PoolName> waited() {
        return Set.copyOf(waited);
    }

    /** What a student has at a moment. */
    public Registration registration(String student, Instant now) {
        Enrolment own = of(student);
        return new Registration(
                now,
                List.copyOf(own.registered.keySet()),
                own.queued.entrySet().stream()
                        .map(queued -> new Registration.Waiting(
                                queued.getValue().set(),
                                place(student, queued.getValue().part(), queued.getKey())))
                        .toList(),
                own.offered.values().stream()
                        .filter(offer -> offer.until().isAfter(now))
                        .map(offer -> new Registration.Offer(offer.set(), offer.part(), offer.until()))
                        .sorted(Comparator.comparing(Registration.Offer::until))
                        .toList());
    }

    /** Where a student who waits stands. */
    Answer.Place place(String student, Entry part, PoolName pool) {
        List<String> queue = pool(pool).queue();
        return new Answer.Place(part, queue.indexOf(student) + 1, queue.size());
    }

    /**
     * Takes over what has happened.
     *
     * @throws IllegalStateException where that cannot have happened as things stand: somebody waits twice, or takes up what was not offered
     */
    public void apply(Fact fact) {
        Pool pool = pool(fact.poolName());
        Enrolment own = own(fact.student());
        switch (fact.kind()) {
            case REGISTERED -> {
                pool.enrolled++;
                pool.claim(fact.heldFor(), 1);
                pool.named += own.registered.put(fact.part(), fact.heldFor()) == null ? 1 : 0;
            }
            case DROPPED -> {
                pool.enrolled--;
                pool.claim(fact.heldFor(), -1);
                pool.named -= own.registered.remove(fact.part()) == null ? 0 : 1;
            }
            case QUEUED -> {
                check(pool.queue.add(fact.student()), fact);
                own.queued.put(fact.poolName(), new Queued(fact.part(), fact.set()));
            }
            case LEFT -> {
                check(pool.queue.remove(fact.student()), fact);
                own.queued.remove(fact.poolName());
            }
            case OFFERED -> {
                check(pool.queue.remove(fact.student()), fact);
                own.queued.remove(fact.poolName());
                pool.promised++;
                pool.offered.add(fact.student());
                pool.claim(fact.heldFor(), 1);
                own.offered.put(
                        fact.poolName(),
                        new Offered(
                                fact.part(),
                                fact.set(),
                                fact.heldFor(),
                                fact.until().orElse(Instant.MAX)));
            }
            case TAKEN_UP, DECLINED, LAPSED -> {
                pool.promised--;
                pool.offered.remove(fact.student());
                pool.claim(fact.heldFor(), -1);
                own.offered.remove(fact.poolName());
            }
        }
        rounds.values().forEach(round -> round.apply(fact, own.registered::containsKey));
        if (pool.queue.isEmpty() && pool.promised == 0) {
            waited.remove(fact.poolName());
        } else {
            waited.add(fact.poolName());
        }
    }

    private static void check(boolean possible, Fact fact) {
        if (!possible) {
            throw new IllegalStateException("This cannot have happened: " + fact);
        }
    }
}

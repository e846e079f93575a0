package ample.ledger.core.registrar.rules;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.rules.Fact.Kind;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.TermCode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Decides requests. A decision is a pure function of the book, the student, the request and the moment: the same always make the same answer,
 * with every reason where it is refused.
 */
public final class Rules {

    private final PostedSchedules posted;
    private final Seats seats;
    private final WishRules wishes;

    /**
     * @param offersStand how long an offer stands; 24 to 48 hours are common practice, no source
     * @param students by their names; empty for one of whom nothing is known
     */
    public Rules(PostedSchedules posted, Duration offersStand, Function<String, Optional<Registrant>> students) {
        this.posted = posted;
        this.seats = new Seats(
                pool -> posted.schedule(new TermCode(pool.term()))
                        .orElseThrow()
                        .institution()
                        .zone(),
                offersStand,
                students);
        this.wishes = new WishRules(posted, students);
    }

    /** What goes for wish rounds. */
    public WishRules wishes() {
        return wishes;
    }

    /** A book in which nothing has happened yet, of pools as they are posted. */
    public Book book() {
        return new Book(this::posted);
    }

    /** How a pool is posted. */
    public SeatPool posted(PoolName name) {
        return posted.schedule(new TermCode(name.term()))
                .flatMap(schedule -> schedule.pool(name.code()))
                .orElseThrow();
    }

    /** What time has brought since: offers that are over, and those that are made because of it. All of it is applied to the book. */
    public List<Fact> due(Book book, Instant now) {
        return seats.due(book, now);
    }

    /** What is offered in a pool, and to whom, since a seat has fallen free. All of it is applied to the book. */
    public List<Fact> offer(Book book, PoolName pool, Instant now) {
        return seats.offer(book, pool, now);
    }

    /**
     * Does what is asked, or refuses it. What happens is applied to the book, with the offers that are made because of it.
     *
     * @param book with what time has brought until then: see {@link #due}
     */
    public Decision submit(Book book, Registrant who, Request request, Instant now) {
        Decision decision = decide(book, who, request, now);
        List<Fact> facts = new ArrayList<>(decision.facts());
        Set<PoolName> freed = new LinkedHashSet<>();
        for (Fact fact : decision.facts()) {
            book.apply(fact);
            if (fact.kind() == Kind.DROPPED || fact.kind() == Kind.DECLINED) {
                freed.add(fact.poolName());
            }
        }
        facts.addAll(wishes.succeed(book, decision.facts(), now));
        freed.forEach(pool -> facts.addAll(seats.offer(book, pool, now)));
        Answer answer = decision.answer().outcome() == Answer.Outcome.WAITING
                ? Answer.waiting(places(book, who, facts))
                : decision.answer();
        return new Decision(answer, facts);
    }

    private static List<Answer.Place> places(Book book, Registrant who, List<Fact> facts) {
        return facts.stream()
                .filter(fact -> fact.kind() == Kind.QUEUED)
                .map(fact -> book.place(who.student(), fact.part(), fact.poolName()))
                .toList();
    }

    /** What {@link #submit} would do; the book stays as it is. */
    public Decision decide(Book book, Registrant who, Request request, Instant now) {
        List<Refusal> unknown = new ArrayList<>();
        List<Attendance> set = find(request.set(), unknown);
        List<Attendance> instead = find(request.instead(), unknown);
        if (!unknown.isEmpty()) {
            return Decision.refused(unknown);
        }
        Asked asked = new Asked(posted, book, who, set, instead, now);
        return switch (request.act()) {
            case REGISTER, SWAP, TAKE_UP -> new Having(asked, request.act()).decide(seats);
            case WAIT -> waiting(asked);
            case DROP -> Drops.decide(asked);
        };
    }

    private List<Attendance> find(List<Entry> entries, List<Refusal> unknown) {
        List<Attendance> found = new ArrayList<>();
        for (Entry entry : entries) {
            Optional<Attendance> one = entry.in(posted);
            one.filter(attendance -> !found.contains(attendance)).ifPresent(found::add);
            if (one.isEmpty()) {
                unknown.add(Refusal.of(
                        Reason.UNKNOWN_ENTRY, entry, "No section has the entry number %s.".formatted(entry)));
            }
        }
        return found;
    }

    private Decision waiting(Asked asked) {
        List<Refusal> refusals = new ArrayList<>();
        List<Attendance> registered = asked.registered();
        List<Attendance> with = new ArrayList<>(registered);
        with.addAll(asked.set());
        WhoMay may = new WhoMay(asked.who(), with, asked.now());
        List<Attendance> wanted =
                asked.set().stream().filter(one -> !asked.has(one)).toList();
        if (wanted.isEmpty()) {
            refusals.add(Refusal.of(
                    Reason.ALREADY_REGISTERED,
                    Entry.of(asked.set().get(0)),
                    "You are registered in %s.".formatted(asked.set().get(0))));
        }
        wanted.forEach(one -> refusals.addAll(may.refusals(one)));
        new WhatGoes(asked.who(), List.of(), asked.set(), asked.set()).companions(refusals);
        List<Fact> facts = new ArrayList<>();
        boolean full = false;
        for (Attendance one : wanted) {
            PoolName name = PoolName.of(one);
            Pool pool = asked.book().pool(name);
            if (asked.own().queued.containsKey(name) || asked.offer(one).isPresent()) {
                full = true;
                refusals.add(Refusal.of(
                        Reason.ALREADY_WAITING,
                        Entry.of(one),
                        asked.offer(one).isPresent()
                                ? "A seat of %s is offered to you already.".formatted(one)
                                : "You are on the waitlist of %s already.".formatted(one)));
            } else if (seats.forNewcomer(asked.book(), name, asked.who(), asked.now())
                    .isEmpty()) {
                full = true;
                if (pool.waitlistOpen() > 0) {
                    facts.add(Fact.queued(asked.who().student(), Entry.of(one), name, Entry.of(asked.set())));
                } else {
                    refusals.add(
                            pool.posted().waitlistCapacity() == 0
                                    ? Having.full(asked, one)
                                    : Refusal.of(
                                            Reason.WAITLIST_FULL,
                                            Entry.of(one),
                                            "The waitlist of %s is full.".formatted(one)));
                }
            }
        }
        if (!full && !wanted.isEmpty()) {
            refusals.add(Refusal.of(
                    Reason.NOT_FULL,
                    Entry.of(wanted.get(0)),
                    "There are seats in %s: register for it.".formatted(wanted.get(0))));
        }
        return refusals.isEmpty() ? new Decision(Answer.waiting(List.of()), facts) : Decision.refused(refusals);
    }
}

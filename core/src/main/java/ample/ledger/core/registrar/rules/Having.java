package ample.ledger.core.registrar.rules;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.Request.Act;
import ample.ledger.core.registrar.rules.Fact.Kind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Decides whether a student can have a set of sections, perhaps for another that they give up. */
final class Having {

    private final Asked asked;
    private final Act act;
    private final List<Attendance> before;

    /** Those that are not there yet. */
    private final List<Attendance> coming;

    /** @param act anything but to wait and to drop */
    Having(Asked asked, Act act) {
        this.asked = asked;
        this.act = act;
        this.before = asked.registered();
        this.coming = in().filter(one -> !before.contains(one)).toList();
    }

    private Stream<Attendance> in() {
        return asked.set().stream().filter(one -> !isKept(one));
    }

    /** Of a set whose other parts are taken up or swapped: what the student has already, and keeps. */
    private boolean isKept(Attendance one) {
        return act != Act.REGISTER && asked.has(one);
    }

    Decision decide(Seats seats) {
        return decide(one -> seat(one, seats), refusal -> true);
    }

    /**
     * Decides by other seats.
     *
     * @param seat for whom the seat is held that the student can have of a section; empty where there is none
     * @param counts whether a refusal keeps anybody out
     */
    Decision decide(Function<Attendance, Optional<String>> seat, Predicate<Refusal> counts) {
        List<Refusal> refusals =
                new ArrayList<>(refusals().stream().filter(counts).toList());
        Map<Attendance, String> seatOf = new LinkedHashMap<>();
        for (Attendance one : coming) {
            Optional<String> its = seat.apply(one);
            its.ifPresent(heldFor -> seatOf.put(one, heldFor));
            if (its.isEmpty()) {
                refusals.add(full(asked, one));
            }
        }
        return refusals.isEmpty() ? new Decision(Answer.DONE, facts(seatOf)) : Decision.refused(refusals);
    }

    /** Every reason but that there is no seat. */
    private List<Refusal> refusals() {
        List<Refusal> refusals = new ArrayList<>();
        for (Attendance out : asked.instead()) {
            refusals.addAll(Drops.refusals(asked, out));
        }
        List<Attendance> after = new ArrayList<>(before);
        after.removeAll(asked.instead());
        asked.set().stream().filter(one -> !after.contains(one)).forEach(after::add);
        WhoMay may = new WhoMay(asked.who(), after, asked.now());
        in().forEach(one -> {
            if (before.contains(one) && !asked.instead().contains(one)) {
                refusals.add(Refusal.of(
                        Reason.ALREADY_REGISTERED, Entry.of(one), "You are registered in %s.".formatted(one)));
            }
            refusals.addAll(may.refusals(one));
        });
        refusals.addAll(new WhatGoes(asked.who(), before, List.copyOf(after), coming).refusals());
        if (act == Act.TAKE_UP
                && coming.stream().allMatch(one -> asked.offer(one).isEmpty())) {
            refusals.add(Refusal.of(
                    Reason.OFFER_LAPSED,
                    Entry.of(asked.set().get(0)),
                    "No seat of %s is offered to you now.".formatted(asked.set().get(0))));
        }
        return refusals;
    }

    /** For whom the seat is held that the student can have: one that is promised to them, one that they give up, or a free one. */
    private Optional<String> seat(Attendance one, Seats seats) {
        PoolName pool = PoolName.of(one);
        return asked.offer(one)
                .map(Enrolment.Offered::heldFor)
                .or(() -> asked.instead().stream()
                        .filter(out -> PoolName.of(out).equals(pool))
                        .flatMap(out ->
                                Optional.ofNullable(asked.own().registered.get(Entry.of(out))).stream())
                        .findFirst())
                .or(() -> seats.forNewcomer(asked.book(), pool, asked.who(), asked.now()));
    }

    static Refusal full(Asked asked, Attendance one) {
        Pool pool = asked.book().pool(PoolName.of(one));
        if (pool.posted().waitlistCapacity() == 0) {
            return Refusal.of(Reason.FULL, Entry.of(one), "%s is full, and has no waitlist.".formatted(one));
        }
        return pool.waitlistOpen() == 0
                ? Refusal.of(Reason.FULL, Entry.of(one), "%s is full, and so is its waitlist.".formatted(one))
                : Refusal.of(
                        Reason.FULL_WAITLIST_OPEN,
                        Entry.of(one),
                        "No seat of %s is free for you; %d wait.".formatted(one, pool.queue.size()));
    }

    private List<Fact> facts(Map<Attendance, String> seatOf) {
        List<Fact> facts = new ArrayList<>();
        String student = asked.who().student();
        for (Attendance out : asked.instead()) {
            if (!asked.set().contains(out)) {
                facts.add(Drops.dropped(asked, out));
            }
        }
        seatOf.forEach((one, heldFor) -> {
            PoolName pool = PoolName.of(one);
            asked.offer(one)
                    .ifPresent(
                            offer -> facts.add(Fact.of(Kind.TAKEN_UP, student, offer.part(), pool, offer.heldFor())));
            if (asked.own().queued.containsKey(pool)) {
                facts.add(Fact.of(Kind.LEFT, student, Entry.of(one), pool, ""));
            }
            facts.add(Fact.of(Kind.REGISTERED, student, Entry.of(one), pool, heldFor));
        });
        return facts;
    }
}

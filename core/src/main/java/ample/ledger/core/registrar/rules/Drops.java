package ample.ledger.core.registrar.rules;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.reading.BindingDate;
import ample.ledger.core.reading.Readings;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.rules.Fact.Kind;
import ample.ledger.core.schedule.BindingRule.Purpose;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Decides what is given up: sections, places on waitlists, and offers. */
final class Drops {

    private Drops() {}

    static Decision decide(Asked asked) {
        List<Refusal> refusals = new ArrayList<>();
        List<Fact> facts = new ArrayList<>();
        List<Attendance> out = new ArrayList<>();
        for (Attendance one : asked.set()) {
            PoolName pool = PoolName.of(one);
            Enrolment.Offered offer = asked.own().offered.get(pool);
            if (asked.has(one)) {
                out.add(one);
                facts.add(dropped(asked, one));
                tooLate(one, asked).ifPresent(refusals::add);
            } else if (asked.own().queued.containsKey(pool)) {
                facts.add(Fact.of(Kind.LEFT, asked.who().student(), Entry.of(one), pool, ""));
            } else if (offer != null) {
                facts.add(Fact.of(Kind.DECLINED, asked.who().student(), Entry.of(one), pool, offer.heldFor()));
            }
        }
        if (facts.isEmpty()) {
            return Decision.refused(List.of(notRegistered(asked.set().get(0))));
        }
        if (!out.isEmpty()) {
            List<Attendance> before = asked.registered();
            List<Attendance> after =
                    before.stream().filter(one -> !out.contains(one)).toList();
            refusals.addAll(new WhatGoes(asked.who(), before, after, List.of()).refusals());
        }
        return refusals.isEmpty() ? new Decision(Answer.DONE, facts) : Decision.refused(refusals);
    }

    private static Refusal notRegistered(Attendance one) {
        return Refusal.of(Reason.NOT_REGISTERED, Entry.of(one), "You are not registered in %s.".formatted(one));
    }

    /** Why a section cannot be given up, if so. */
    static List<Refusal> refusals(Asked asked, Attendance out) {
        return asked.has(out) ? tooLate(out, asked).stream().toList() : List.of(notRegistered(out));
    }

    /** After the last of its dates to drop or withdraw nobody gives it up. */
    private static Optional<Refusal> tooLate(Attendance one, Asked asked) {
        Readings readings = asked.who().readings(one.schedule(), asked.now());
        LocalDate today = readings.person().today();
        return readings.datesOf(one.section().span()).stream()
                .filter(date ->
                        date.rule().purpose() == Purpose.DROP || date.rule().purpose() == Purpose.WITHDRAW)
                .map(BindingDate::date)
                .max(LocalDate::compareTo)
                .filter(today::isAfter)
                .map(last -> Refusal.of(
                                Reason.TOO_LATE_TO_DROP,
                                Entry.of(one),
                                "The last day to drop %s was %s.".formatted(one, last))
                        .when(last.plusDays(1).atStartOfDay()));
    }

    static Fact dropped(Asked asked, Attendance out) {
        Entry entry = Entry.of(out);
        return Fact.of(
                Kind.DROPPED,
                asked.who().student(),
                entry,
                PoolName.of(out),
                asked.own().registered.getOrDefault(entry, ""));
    }
}

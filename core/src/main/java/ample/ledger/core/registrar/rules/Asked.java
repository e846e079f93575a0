package ample.ledger.core.registrar.rules;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Entry;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** A request whose sections were found. */
record Asked(
        PostedSchedules posted,
        Book book,
        Registrant who,
        List<Attendance> set,
        List<Attendance> instead,
        Instant now) {

    Enrolment own() {
        return book.of(who.student());
    }

    /** The seat of its pool that is offered to the student. */
    Optional<Enrolment.Offered> offer(Attendance one) {
        return own().offer(PoolName.of(one), now);
    }

    boolean has(Attendance one) {
        return own().registered.containsKey(Entry.of(one));
    }

    /** All that the student is registered in. */
    List<Attendance> registered() {
        return own().registered.keySet().stream()
                .flatMap(entry -> entry.in(posted).stream())
                .toList();
    }
}

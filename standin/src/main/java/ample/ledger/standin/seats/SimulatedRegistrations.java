package ample.ledger.standin.seats;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.rules.Book;
import ample.ledger.core.registrar.rules.Fact;
import ample.ledger.core.registrar.rules.Fact.Kind;
import ample.ledger.core.registrar.rules.Pool;
import ample.ledger.core.registrar.rules.PoolName;
import ample.ledger.core.registrar.rules.Rules;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;

/**
 * Other students, of whom no more is known: they take seats, join waitlists, drop, and take up what they are offered. They take no more seats than are
 * free to everyone, and a waitlist takes no more of them than it has places.
 */
public final class SimulatedRegistrations {

    private static final int MOST_AT_ONCE = 4;

    /** Of ten students, so many come, and so many go; the rest answer an offer. */
    private static final int COMING = 6;

    private static final int GOING = 3;
    private static final int NAMES = 1_000_000;

    private final RandomGenerator dice;

    /** @param dice whatever it gives decides; the same gives the same */
    public SimulatedRegistrations(RandomGenerator dice) {
        this.dice = dice;
    }

    /**
     * What some of them do now. It is applied to the book.
     *
     * @param sections of one term; at least one
     * @param today where the institution stands
     */
    public List<Fact> next(Book book, Rules rules, List<Attendance> sections, Instant now, LocalDate today) {
        List<Fact> facts = new ArrayList<>();
        int changes = 1 + dice.nextInt(MOST_AT_ONCE);
        for (int i = 0; i < changes; i++) {
            Attendance section = sections.get(dice.nextInt(sections.size()));
            PoolName name = PoolName.of(section);
            Pool pool = book.pool(name);
            int what = dice.nextInt(10);
            List<Fact> done = what < COMING
                    ? comes(section, pool, today)
                    : what < COMING + GOING ? goes(section, pool) : answers(section, pool);
            done.forEach(book::apply);
            facts.addAll(done);
            facts.addAll(rules.offer(book, name, now));
        }
        return facts;
    }

    private String somebody() {
        return "somebody-" + dice.nextInt(NAMES);
    }

    private List<Fact> comes(Attendance section, Pool pool, LocalDate today) {
        String student = somebody();
        if (pool.queue().isEmpty() && pool.anybodys(today) > 0) {
            return List.of(fact(Kind.REGISTERED, student, section));
        }
        return pool.waitlistOpen() > 0 && !pool.queue().contains(student)
                ? List.of(fact(Kind.QUEUED, student, section))
                : List.of();
    }

    private static List<Fact> goes(Attendance section, Pool pool) {
        return pool.unnamed() > 0 ? List.of(fact(Kind.DROPPED, "somebody", section)) : List.of();
    }

    /** One of those to whom a seat was promised takes it up. */
    private static List<Fact> answers(Attendance section, Pool pool) {
        Optional<String> named = pool.offered().stream()
                .filter(SimulatedRegistrations::isSimulated)
                .findFirst();
        boolean unnamed = pool.count().promised() > pool.offered().size();
        return named.or(() -> unnamed ? Optional.of("somebody") : Optional.empty())
                .map(student -> List.of(fact(Kind.TAKEN_UP, student, section), fact(Kind.REGISTERED, student, section)))
                .orElse(List.of());
    }

    private static boolean isSimulated(String student) {
        return student.startsWith("somebody") || student.startsWith("another-");
    }

    private static Fact fact(Kind kind, String student, Attendance section) {
        PoolName pool = PoolName.of(section);
        return new Fact(kind, student, Entry.of(section), pool.code(), "", List.of(), Optional.empty());
    }
}

package ample.ledger.core.watch;

import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.TermCode;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Something posted that concerns a student, as it is looked up by: everything that a new edition or a word on seats is about is found by
 * one of these.
 *
 * @param term code of its term
 * @param about an entry number, the code of a course, or {@link #BRIEF}
 * @param seats how many seats the student waits for; 0 for none
 */
public record Concern(TermCode term, String about, int seats) {

    /** Of a brief: whatever is new in the term may fit it. */
    public static final String BRIEF = "*";

    /** Why a section concerns a student. */
    public enum Why {
        REGISTERED,
        WAITING,
        PLANNED,
        WATCHED
    }

    static Concern of(TermCode term, EntryNumber entry) {
        return new Concern(term, entry.digits(), 0);
    }

    /** What follows from what a student keeps: the plans looked at, one of each season, and the watches. */
    public static Set<Concern> kept(PlanBook plans, Collection<Watch> watches) {
        Set<Concern> concerns = new LinkedHashSet<>();
        watches.forEach(watch -> concerns.add(of(watch)));
        planned(plans).map(pick -> of(pick.term(), pick.entry())).forEach(concern -> {
            if (concerns.stream().noneMatch(concern::isAboutTheSame)) {
                concerns.add(concern);
            }
        });
        return concerns;
    }

    /** What follows from what a student has at the registrar. */
    public static Set<Concern> registered(Registration has) {
        return Stream.concat(has.registered().stream(), waitedFor(has))
                .map(entry -> new Concern(new TermCode(entry.term()), entry.number(), 0))
                .collect(Collectors.toSet());
    }

    /** The sections that a student waits for at the registrar, or has an offer of. */
    static Stream<Entry> waitedFor(Registration has) {
        return Stream.concat(
                has.waiting().stream().map(waiting -> waiting.place().part()),
                has.offers().stream().map(Registration.Offer::part));
    }

    private boolean isAboutTheSame(Concern other) {
        return term.equals(other.term) && about.equals(other.about);
    }

    private static Concern of(Watch watch) {
        int seats = watch.tells(Tell.SEAT) ? watch.seats() : 0;
        if (watch.about() instanceof Watched.OfSection section) {
            return new Concern(section.term(), section.entry().digits(), seats);
        }
        if (watch.about() instanceof Watched.OfCourse course) {
            return new Concern(course.term(), course.course().toString(), seats);
        }
        return new Concern(watch.about().term(), BRIEF, 0);
    }

    /** What a student means to take, or to wait for, by the plans looked at. */
    static Stream<Pick> planned(PlanBook plans) {
        return plans.current().stream()
                .flatMap(plan -> plan.picks().stream())
                .filter(pick -> pick.standing() != Standing.BESIDE);
    }
}

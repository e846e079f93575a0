package ample.ledger.core.reading;

import ample.ledger.core.reading.StatusReading.Reason;
import ample.ledger.core.requirement.Eligibility;
import ample.ledger.core.schedule.BindingRule;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Span;
import ample.ledger.core.schedule.WishRound;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * Reads sections of one schedule for one person at one moment. Whatever says something of seats or status, on a page or in a list, has it
 * from here.
 */
public final class Readings {

    private final Schedule schedule;
    private final Person person;

    /** Many sections share a span. */
    private final Map<Span, List<Reason>> inTime = new ConcurrentHashMap<>();

    private final Map<Span, List<BindingDate>> dates = new ConcurrentHashMap<>();

    /** Sections whose places can only be wished. */
    private final Map<EntryNumber, WishRound> wished = new HashMap<>();

    public Readings(Schedule schedule, Person person) {
        this.schedule = schedule;
        this.person = person;
        schedule.lists().wishRounds().stream()
                .filter(round -> person.undecided().contains(round.code()))
                .forEach(round ->
                        round.groups().forEach(group -> group.sections().forEach(entry -> wished.put(entry, round))));
    }

    public Person person() {
        return person;
    }

    /** What {@code section} is to the person while its seats stand like {@code pool}. */
    public StatusReading of(Section section, SeatPool pool) {
        SeatAccount anybodys = SeatAccount.of(pool, person.today());
        List<SeatPool.Held> yours = new ArrayList<>();
        List<SeatPool.Held> perhapsYours = new ArrayList<>();
        for (SeatPool.Held held : anybodys.held()) {
            Optional<Boolean> theirs = held.group().flatMap(person::belongsTo);
            if (theirs.isEmpty()) {
                perhapsYours.add(held);
            } else if (theirs.get()) {
                yours.add(held);
            }
        }
        SeatAccount seats = yours.isEmpty() ? anybodys : anybodys.without(yours);
        if (section.cancelled()) {
            return new StatusReading(Status.CANCELLED, List.of(), seats, yours, perhapsYours);
        }
        List<Reason> reasons = reasons(section);
        return new StatusReading(status(ofSeats(seats, perhapsYours), reasons), reasons, seats, yours, perhapsYours);
    }

    /** What the seats alone make of it, for somebody who may take it. */
    private static Status ofSeats(SeatAccount seats, List<SeatPool.Held> perhapsYours) {
        if (seats.open() > 0) {
            return Status.OPEN;
        }
        if (seats.free() > 0 && seats.heldSeats() > 0) {
            return perhapsYours.isEmpty() ? Status.OPEN_BUT_NOT_TO_YOU : Status.OPEN_TO_SOME;
        }
        return seats.waitlistOpen() > 0 ? Status.FULL_WAITLIST_OPEN : Status.FULL;
    }

    private static Status status(Status ofSeats, List<Reason> reasons) {
        boolean seats = ofSeats == Status.OPEN || ofSeats == Status.OPEN_TO_SOME;
        Status status = ofSeats;
        for (Reason reason : reasons) {
            if (reason instanceof Reason.AddingEnded || reason instanceof Reason.ClosedToYou) {
                return Status.CLOSED_TO_LATE_ENTRY;
            }
            if (reason instanceof Reason.ByWishes) {
                return Status.BY_WISHES;
            }
            if (reason instanceof Reason.OpensLater) {
                return Status.NOT_YET_OPEN;
            }
            if (reason instanceof Reason.NotForYou && seats) {
                return Status.OPEN_BUT_NOT_TO_YOU;
            }
            if (reason instanceof Reason.AsksPermission && seats) {
                return Status.BY_PERMISSION;
            }
            if (reason instanceof Reason.NotForAll some
                    && some.restriction().rule().isPresent()
                    && seats) {
                status = Status.OPEN_TO_SOME;
            }
        }
        return status;
    }

    /** The dates that bind sections of {@code span}, in order. */
    public List<BindingDate> datesOf(Span span) {
        return dates.computeIfAbsent(
                span, absent -> BindingDate.of(span, schedule.lists().bindingRules()));
    }

    /** Beside its seats, why the person may not take a section that is not cancelled, or perhaps not; what time decides comes first. */
    public List<Reason> reasons(Section section) {
        WishRound round = wished.get(section.entry());
        List<Reason> ofTime = round == null
                ? inTime.computeIfAbsent(section.span(), this::inTime)
                : List.of(new Reason.ByWishes(round));
        List<Reason> ofPeople = Stream.concat(
                        section.course().rules().restrictions().stream(), section.restrictions().stream())
                .flatMap(restriction -> reason(restriction).stream())
                .toList();
        Optional<Reason> permission = asksPermission(section);
        if (ofPeople.isEmpty() && permission.isEmpty()) {
            return ofTime;
        }
        return Stream.of(
                        ofTime.stream(),
                        ofPeople.stream().filter(Reason.NotForYou.class::isInstance),
                        permission.stream(),
                        ofPeople.stream().filter(Reason.NotForAll.class::isInstance))
                .flatMap(some -> some)
                .toList();
    }

    private List<Reason> inTime(Span span) {
        Optional<Reason> ended = datesOf(span).stream()
                .filter(date -> date.rule().purpose() == BindingRule.Purpose.ADD)
                .filter(date -> date.date().isBefore(person.today()))
                .<Reason>map(Reason.AddingEnded::new)
                .findFirst();
        if (ended.isPresent()) {
            return List.of(ended.get());
        }
        if (person.closed().isPresent()) {
            return List.of(new Reason.ClosedToYou(person.closed().get()));
        }
        return person.opened()
                ? person.later().stream()
                        .<Reason>map(Reason.OpensLaterForSome::new)
                        .toList()
                : List.of(new Reason.OpensLater(person.later().get(0)));
    }

    private Optional<Reason> reason(Restriction restriction) {
        return switch (Eligibility.of(restriction, person::belongsTo, person.today())) {
            case ALLOWED, PAST -> Optional.empty();
            case NOT_ALLOWED -> Optional.of(new Reason.NotForYou(restriction));
            case NOT_SAID, FOR_PEOPLE -> Optional.of(new Reason.NotForAll(restriction));
        };
    }

    private Optional<Reason> asksPermission(Section section) {
        return section.course().rules().prerequisites().stream()
                .flatMap(posted -> posted.expression().stream())
                .flatMap(Readings::alwaysAsked)
                .map(Prerequisite.Permission::by)
                .filter(by -> !person.permissions().contains(by))
                .<Reason>map(Reason.AsksPermission::new)
                .findFirst();
    }

    /** The permissions without which no choice of parts is met. */
    private static Stream<Prerequisite.Permission> alwaysAsked(Prerequisite condition) {
        if (condition instanceof Prerequisite.Permission permission) {
            return Stream.of(permission);
        }
        if (condition instanceof Prerequisite.AtLeast choice) {
            List<List<Prerequisite.Permission>> ofParts = choice.parts().stream()
                    .map(part -> alwaysAsked(part).toList())
                    .filter(asked -> !asked.isEmpty())
                    .toList();
            boolean avoidable = choice.parts().size() - ofParts.size() >= choice.count();
            return avoidable ? Stream.of() : ofParts.stream().flatMap(List::stream);
        }
        return Stream.of();
    }
}

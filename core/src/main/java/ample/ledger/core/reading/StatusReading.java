package ample.ledger.core.reading;

import ample.ledger.core.requirement.Eligibility;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.BindingRule;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Whether a section can be had at one moment, by one student or by anybody, and why.
 *
 * <p>Of several reasons the first that decides makes the status: a cancelled section is nothing else; after the last day to
 * add, and before registration opens, seats do not matter; permission and restrictions matter where there is a place.
 *
 * @param reasons all that stand in the way, and what will not for long, the one that decides first; none where nothing does
 * @param seats as they stand for this student: seats held for a group that the student belongs to are not held against
 *     them
 * @param yours seats held for groups that the student belongs to
 */
public record StatusReading(Status status, List<Reason> reasons, SeatAccount seats, List<SeatPool.Held> yours) {

    public StatusReading {
        reasons = List.copyOf(reasons);
        yours = List.copyOf(yours);
    }

    /** Why a section cannot be had, or not yet. */
    public sealed interface Reason {

        /** The last day to add has gone by. */
        record AddingEnded(BindingDate last) implements Reason {}

        /** Registration has not opened yet: for the student, or, of nobody in particular, for anybody. */
        record OpensLater(Opening opening) implements Reason {}

        /** Registration has opened for some, and opens later for these; only of nobody in particular. */
        record OpensLaterForSome(Opening opening) implements Reason {}

        /** The student is not one of those who may take it. */
        record NotForYou(Restriction restriction) implements Reason {}

        /** Nobody takes it without somebody's permission, and the student has not got it. */
        record AsksPermission(String by) implements Reason {}
    }

    /**
     * The status of {@code section}.
     *
     * @param account its seats as they stand for nobody in particular
     * @param now on the institution's wall clock
     * @param student empty for nobody in particular
     */
    public static StatusReading of(
            Section section,
            SeatAccount account,
            LocalDateTime now,
            Schedule schedule,
            Optional<StudentRecord> student) {
        List<SeatPool.Held> yours =
                account.held().stream().filter(held -> isTheirs(held, student)).toList();
        SeatAccount seats = account.without(yours);
        Status ofSeats = Status.of(section, seats);
        if (ofSeats == Status.CANCELLED) {
            return new StatusReading(ofSeats, List.of(), seats, yours);
        }
        List<Reason> inTime = inTime(section, now, schedule, student);
        List<Reason> reasons = new ArrayList<>(inTime);
        reasons.addAll(notForThem(section, now, student));
        asksPermission(section, student).ifPresent(reasons::add);
        return new StatusReading(status(ofSeats, reasons), reasons, seats, yours);
    }

    private static boolean isTheirs(SeatPool.Held held, Optional<StudentRecord> student) {
        return student.flatMap(record -> held.group().flatMap(record::belongsTo))
                .orElse(false);
    }

    private static Status status(Status ofSeats, List<Reason> reasons) {
        for (Reason reason : reasons) {
            if (reason instanceof Reason.AddingEnded) {
                return Status.CLOSED_TO_LATE_ENTRY;
            }
            if (reason instanceof Reason.OpensLater) {
                return Status.NOT_YET_OPEN;
            }
            if (reason instanceof Reason.NotForYou && ofSeats == Status.OPEN) {
                return Status.OPEN_BUT_NOT_TO_YOU;
            }
            if (reason instanceof Reason.AsksPermission && ofSeats == Status.OPEN) {
                return Status.BY_PERMISSION;
            }
        }
        return ofSeats;
    }

    private static List<Reason> inTime(
            Section section, LocalDateTime now, Schedule schedule, Optional<StudentRecord> student) {
        Optional<Reason> ended = BindingDate.of(section.span(), schedule.lists().bindingRules()).stream()
                .filter(date -> date.rule().purpose() == BindingRule.Purpose.ADD)
                .filter(date -> date.date().isBefore(now.toLocalDate()))
                .<Reason>map(Reason.AddingEnded::new)
                .findFirst();
        if (ended.isPresent()) {
            return List.of(ended.get());
        }
        List<Opening> openings = schedule.lists().openings();
        if (student.isPresent()) {
            return openings.stream()
                    .filter(opening -> isFor(opening, student.get().creditsEarned()))
                    .filter(opening -> opening.from().isAfter(now))
                    .<Reason>map(Reason.OpensLater::new)
                    .toList();
        }
        List<Opening> later = openings.stream()
                .filter(opening -> opening.from().isAfter(now))
                .sorted(Comparator.comparing(Opening::from))
                .toList();
        return !later.isEmpty() && later.size() == openings.size()
                ? List.of(new Reason.OpensLater(later.get(0)))
                : later.stream().<Reason>map(Reason.OpensLaterForSome::new).toList();
    }

    private static boolean isFor(Opening opening, BigDecimal earned) {
        return earned.compareTo(BigDecimal.valueOf(opening.leastCredits())) >= 0
                && opening.mostCredits()
                        .filter(most -> earned.compareTo(BigDecimal.valueOf(most + 1L)) >= 0)
                        .isEmpty();
    }

    private static List<Reason> notForThem(Section section, LocalDateTime now, Optional<StudentRecord> student) {
        return Stream.concat(section.course().rules().restrictions().stream(), section.restrictions().stream())
                .filter(restriction ->
                        Eligibility.of(restriction, student, now.toLocalDate()) == Eligibility.NOT_ALLOWED)
                .<Reason>map(Reason.NotForYou::new)
                .toList();
    }

    private static Optional<Reason> asksPermission(Section section, Optional<StudentRecord> student) {
        return section.course().rules().prerequisites().stream()
                .flatMap(posted -> posted.expression().stream())
                .flatMap(StatusReading::alwaysAsked)
                .map(Prerequisite.Permission::by)
                .filter(by -> student.filter(record -> record.permissions().contains(by))
                        .isEmpty())
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

package ample.ledger.core.registrar.rules;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Schedule;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Whether a student may have a section at all: holds, the opening, the last day to add, restrictions, and what must come before. What only
 * people can judge keeps nobody out.
 */
final class WhoMay {

    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("EEE d MMM yyyy, H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);

    private final Registrant who;
    private final Instant now;

    /** What the student has, and would have, of all terms. */
    private final Collection<Attendance> held;

    WhoMay(Registrant who, Collection<Attendance> held, Instant now) {
        this.who = who;
        this.held = held;
        this.now = now;
    }

    /** Why not; none where they may. */
    List<Refusal> refusals(Attendance section) {
        Entry about = Entry.of(section);
        List<Refusal> refusals = new ArrayList<>();
        if (section.leads()) {
            who.file().holds().stream()
                    .filter(Hold::stopsRegistering)
                    .map(hold -> Refusal.of(
                                    Reason.HOLD, about, "%s has put a hold: %s".formatted(hold.by(), hold.reason()))
                            .what(hold.by())
                            .when(hold.since().atStartOfDay()))
                    .forEach(refusals::add);
        }
        if (section.section().cancelled()) {
            refusals.add(Refusal.of(Reason.CANCELLED, about, section + " is cancelled."));
            return refusals;
        }
        who.readings(section.schedule(), now).reasons(section.section()).stream()
                .filter(reason -> !(reason instanceof StatusReading.Reason.AsksPermission))
                .flatMap(reason -> refusal(reason, about).stream())
                .forEach(refusals::add);
        if (section.leads()
                && !section.section().course().rules().prerequisites().isEmpty()) {
            refusals.addAll(before(section));
        }
        return refusals;
    }

    private static Optional<Refusal> refusal(StatusReading.Reason reason, Entry about) {
        if (reason instanceof StatusReading.Reason.AddingEnded ended) {
            return Optional.of(Refusal.of(
                            Reason.CLOSED,
                            about,
                            "The last day to add it was %s."
                                    .formatted(DAY.format(ended.last().date())))
                    .when(ended.last().date().plusDays(1).atStartOfDay()));
        }
        if (reason instanceof StatusReading.Reason.ClosedToYou closed) {
            return Optional.of(Refusal.of(
                            Reason.CLOSED,
                            about,
                            "Registration closed to you on %s.".formatted(MOMENT.format(closed.since())))
                    .when(closed.since()));
        }
        if (reason instanceof StatusReading.Reason.OpensLater later) {
            return Optional.of(Refusal.of(
                            Reason.NOT_YET_OPEN,
                            about,
                            "Registration opens for you on %s."
                                    .formatted(MOMENT.format(later.opening().from())))
                    .when(later.opening().from()));
        }
        if (reason instanceof StatusReading.Reason.ByWishes wished) {
            return Optional.of(Refusal.of(
                            Reason.BY_WISHES,
                            about,
                            "Its places are distributed by wishes, in the round “%s” until %s."
                                    .formatted(
                                            wished.round().name(),
                                            MOMENT.format(wished.round().closes())))
                    .what(wished.round().name())
                    .when(wished.round().closes()));
        }
        if (reason instanceof StatusReading.Reason.NotForYou not) {
            return Optional.of(restricted(not.restriction(), about));
        }
        // What is not on file of a student is not so: see Registrant.belongsTo.
        return reason instanceof StatusReading.Reason.NotForAll some
                ? some.restriction()
                        .rule()
                        .filter(Restriction.Rule::include)
                        .map(rule -> restricted(some.restriction(), about))
                : Optional.empty();
    }

    private static Refusal restricted(Restriction restriction, Entry about) {
        return Refusal.of(Reason.RESTRICTED, about, restriction.sentence())
                .what(restriction.sentence())
                .when(restriction
                        .until()
                        .map(last -> last.plusDays(1).atStartOfDay())
                        .orElse(null));
    }

    /** What must come before, by the record and by what the student has in terms that begin earlier. */
    private List<Refusal> before(Attendance section) {
        Schedule schedule = section.schedule();
        Set<CourseCode> earlier = held.stream()
                .filter(other -> other.term()
                        .dates()
                        .first()
                        .isBefore(section.term().dates().first()))
                .map(other -> other.section().course().code())
                .collect(Collectors.toSet());
        Set<CourseCode> beside = held.stream()
                .filter(other -> other.term().code().equals(section.term().code()))
                .map(other -> other.section().course().code())
                .collect(Collectors.toSet());
        StudentRecord record = who.record().alsoTaking(earlier);
        Evaluation evaluation = new Evaluation(record, beside, schedule);
        List<Refusal> refusals = new ArrayList<>();
        for (PostedPrerequisite posted : section.section().course().rules().prerequisites()) {
            posted.expression()
                    .map(condition -> evaluation
                            .judge(section.section().course(), condition)
                            .verdict())
                    .flatMap(verdict -> refusal(verdict, posted, section))
                    .ifPresent(refusals::add);
        }
        return refusals;
    }

    private static Optional<Refusal> refusal(
            Evaluation.Verdict verdict, PostedPrerequisite posted, Attendance section) {
        return switch (verdict) {
            case MET, WAIVED, IN_PROGRESS, PLANNED -> Optional.empty();
            // Of a record that cannot be read in full only people can say whether it is met.
            case UNKNOWN -> Optional.empty();
            case NEEDS_PERMISSION ->
                Optional.of(Refusal.of(
                                Reason.NEEDS_PERMISSION,
                                Entry.of(section),
                                "You need permission: %s".formatted(posted.sentence()))
                        .what(posted.sentence()));
            case SUPPOSED, NOT_MET ->
                Optional.of(Refusal.of(
                                Reason.PREREQUISITE,
                                Entry.of(section),
                                "A prerequisite is not met: %s".formatted(posted.sentence()))
                        .what(posted.sentence()));
        };
    }
}

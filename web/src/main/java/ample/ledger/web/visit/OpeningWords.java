package ample.ledger.web.visit;

import ample.ledger.core.reading.OwnOpening;
import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.words.Words;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;

/** When a student may register, in words. */
public final class OpeningWords {

    /** From so many hours on, days say it better. */
    private static final int MOST_HOURS = 48;

    private OpeningWords() {}

    /** In a few words, for the head of every page; empty where the student's credits are not known, and where nothing opens. */
    public static String shortly(Visit visit, Schedule schedule) {
        Optional<Instant> away = visit.registrar().awaySince();
        if (away.isPresent()) {
            return "The registrar has not answered since "
                    + Words.moment(LocalDateTime.ofInstant(
                            away.get(), schedule.institution().zone()));
        }
        if (!visit.holds().isEmpty()) {
            return "A hold stops registering";
        }
        return opening(visit, schedule)
                .map(opens -> {
                    LocalDateTime from = opens.opening().from();
                    return visit.now(schedule).isBefore(from)
                            ? "Registration opens %s, %s"
                                    .formatted(Words.moment(from, visit.now(schedule)), in(visit.now(schedule), from))
                            : until(visit, schedule).orElseGet(() -> "Registration opened " + Words.moment(from));
                })
                .orElse("");
    }

    /** "Open to you until Fri 12 Sep", once registration has opened; empty where the registrar does not say until when. */
    public static Optional<String> until(Visit visit, Schedule schedule) {
        return visit.ofTerm(schedule)
                .flatMap(StudentFile.OfTerm::closes)
                .map(closes -> (visit.now(schedule).isBefore(closes) ? "Open to you until " : "Closed to you since ")
                        + (closes.toLocalTime().equals(LocalTime.MIDNIGHT)
                                        && visit.now(schedule).isBefore(closes)
                                ? Words.date(closes.toLocalDate().minusDays(1))
                                : Words.moment(closes)));
    }

    /** As {@link Visit#opening} has it, until the term is over. */
    public static Optional<OwnOpening> opening(Visit visit, Schedule schedule) {
        return visit.now(schedule).toLocalDate().isAfter(schedule.term().dates().last())
                ? Optional.empty()
                : visit.opening(schedule);
    }

    /** "in 22 h", "in 3 days", "in 40 min". */
    public static String in(LocalDateTime now, LocalDateTime then) {
        long minutes = Math.max(1, Duration.between(now, then).toMinutes());
        if (minutes < 60) {
            return "in " + minutes + " min";
        }
        long hours = minutes / 60;
        return hours < MOST_HOURS ? "in " + hours + " h" : "in " + hours / 24 + " days";
    }

    /** "The library stops you from registering. Two books are overdue. The library desk lifts it." */
    public static String hold(Hold hold) {
        return hold(hold, "you");
    }

    /** The same of somebody else: "them". */
    public static String hold(Hold hold, String whom) {
        return "%s stops %s from %s, since %s. %s %s"
                .formatted(hold.by(), whom, hold.stops(), Words.date(hold.since()), hold.reason(), hold.lifted());
    }
}

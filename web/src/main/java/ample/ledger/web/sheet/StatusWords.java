package ample.ledger.web.sheet;

import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.reading.StatusReading.Reason;
import ample.ledger.core.schedule.Opening;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The status of a section for a student, with its reason, and what else there is to say of it. */
final class StatusWords {

    private final StatusReading reading;
    private final SeatWords seats;

    /** @param seats of the same reading */
    StatusWords(StatusReading reading, SeatWords seats) {
        this.reading = reading;
        this.seats = seats;
    }

    /** "Not yet open: registration opens Wed 18 Jun, 8:00 for 1 to 29 credits." */
    String sentence() {
        return reading.reasons().stream()
                .map(reason -> decisive(reason, reading.status()))
                .filter(sentence -> !sentence.isEmpty())
                .findFirst()
                .orElse(seats.sentence());
    }

    private static String decisive(Reason reason, Status status) {
        if (reason instanceof Reason.AddingEnded ended) {
            return ("Closed to late entry: the last day to add was "
                            + Words.date(ended.last().date()) + ". "
                            + ended.last().rule().meaning().orElse(""))
                    .strip();
        }
        if (reason instanceof Reason.OpensLater later) {
            return "Not yet open: registration opens " + opens(later.opening()) + ".";
        }
        if (reason instanceof Reason.NotForYou not && status == Status.OPEN_BUT_NOT_TO_YOU) {
            return "Open, but not to you: " + not.restriction().sentence();
        }
        if (reason instanceof Reason.AsksPermission asks && status == Status.BY_PERMISSION) {
            return "By permission: nobody takes it without a word of " + asks.by() + ".";
        }
        return "";
    }

    /** What does not decide, but will matter. */
    List<String> besides() {
        Stream<String> seatsToo = sentence().equals(seats.sentence()) || reading.status() == Status.CLOSED_TO_LATE_ENTRY
                ? Stream.of()
                : Stream.of(("Its seats now: " + seats.figure().toLowerCase(Locale.ROOT) + " " + seats.rest()).strip()
                        + ".");
        String some = reading.reasons().stream()
                .filter(Reason.OpensLaterForSome.class::isInstance)
                .map(reason -> opens(((Reason.OpensLaterForSome) reason).opening()))
                .collect(Collectors.joining("; "));
        Stream<String> opensForSome = some.isEmpty() ? Stream.of() : Stream.of("Registration opens " + some + ".");
        Stream<String> permission = reading.reasons().stream()
                .filter(reason -> reason instanceof Reason.AsksPermission && reading.status() != Status.BY_PERMISSION)
                .map(reason -> "It takes a word of " + ((Reason.AsksPermission) reason).by() + " too.");
        Stream<String> yours = reading.yours().stream()
                .map(held -> "%s %s held for %s, so for you."
                        .formatted(Words.count(held.seats(), "seat"), held.seats() == 1 ? "is" : "are", held.words()));
        Stream<String> fallFree = reading.seats().held().stream()
                .map(held -> "From %s the %s held for %s %s free to all."
                        .formatted(
                                Words.date(held.until().plusDays(1)),
                                held.seats() == 1 ? "seat" : Words.count(held.seats(), "seat"),
                                held.words(),
                                held.seats() == 1 ? "is" : "are"));
        return reading.status() == Status.CANCELLED
                ? List.of()
                : Stream.of(seatsToo, opensForSome, permission, yours, fallFree)
                        .flatMap(sentences -> sentences)
                        .toList();
    }

    private static String opens(Opening opening) {
        return Words.moment(opening.from()) + " for " + uncapitalised(opening.name());
    }

    private static String uncapitalised(String name) {
        return name.isEmpty() ? name : Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }
}

package ample.ledger.web.sheet;

import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.reading.StatusReading.Reason;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Words;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What there is to say of a status beside the reason that decides it. */
final class StatusWords {

    private final StatusReading reading;

    StatusWords(StatusReading reading) {
        this.reading = reading;
    }

    /** What does not decide, but will matter. */
    List<String> besides() {

        String some = reading.reasons().stream()
                .filter(Reason.OpensLaterForSome.class::isInstance)
                .map(reason -> SeatWords.opens(((Reason.OpensLaterForSome) reason).opening()))
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
                : Stream.of(opensForSome, permission, yours, fallFree)
                        .flatMap(sentences -> sentences)
                        .toList();
    }
}

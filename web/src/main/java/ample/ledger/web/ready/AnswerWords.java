package ample.ledger.web.ready;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Request;
import ample.ledger.web.ready.ReadyPage.Said;
import ample.ledger.web.visit.StandingWords;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Requests and answers, in words. */
final class AnswerWords {

    private AnswerWords() {}

    /** "GLAC 240d F3e and F3e-a"; of what is not posted its number. */
    static String names(List<Entry> entries, PostedSchedules posted) {
        return entries.stream()
                .map(entry -> entry.in(posted).map(Object::toString).orElse(entry.toString()))
                .collect(Collectors.joining(" and "));
    }

    /** "register for GLAC 240d F3e (40220)". */
    static String request(Request request, PostedSchedules posted) {
        String numbers = request.set().stream().map(Entry::number).collect(Collectors.joining(", "));
        String set = names(request.set(), posted) + " (" + numbers + ")";
        return switch (request.act()) {
            case REGISTER -> "register for " + set;
            case WAIT -> "wait for " + set;
            case TAKE_UP -> "take up the seat of " + set;
            case SWAP -> "give up " + names(request.instead(), posted) + " for " + set;
            case DROP -> "give up " + set;
        };
    }

    /** What was answered, each reason by itself. */
    static List<Said> said(Request request, Answer answer, PostedSchedules posted) {
        return switch (answer.outcome()) {
            case DONE -> List.of(new Said("met", done(request.act())));
            case WAITING ->
                answer.places().stream()
                        .map(place -> new Said(
                                "later",
                                "You wait for %s: %s."
                                        .formatted(names(List.of(place.part()), posted), StandingWords.place(place))))
                        .toList();
            case REFUSED -> {
                List<String> words = answer.refusals().stream()
                        .map(Refusal::words)
                        .distinct()
                        .toList();
                yield IntStream.range(0, words.size())
                        .mapToObj(i -> new Said("fails", (i == 0 ? "Refused: " : "") + words.get(i)))
                        .toList();
            }
        };
    }

    private static String done(Request.Act act) {
        return switch (act) {
            case REGISTER, TAKE_UP -> "Done: you are registered.";
            case SWAP -> "Done: you have this one now.";
            case DROP -> "Done: dropped.";
            case WAIT -> "Done.";
        };
    }
}

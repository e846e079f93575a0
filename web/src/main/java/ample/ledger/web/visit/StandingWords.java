package ample.ledger.web.visit;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registration;
import ample.ledger.web.words.Words;

/** What a student has of a section at the registrar, in a few words. */
public final class StandingWords {

    private StandingWords() {}

    /** "registered", "3rd of 7 who wait", "a seat is kept for you"; empty where they have nothing of it. */
    public static String shortly(Registration has, Attendance section) {
        Entry entry = Entry.of(section);
        if (has.isRegistered(entry)) {
            return "registered";
        }
        return has.offerOf(entry)
                .map(offer -> "a seat is kept for you")
                .or(() -> has.waitingFor(entry).map(waiting -> place(waiting.place()) + " who wait"))
                .orElse("");
    }

    /** "you are registered", "you are 3rd of 7 who wait"; empty where they have nothing of it. */
    public static String of(Registration has, Attendance section) {
        String words = shortly(has, section);
        return words.isEmpty() || words.startsWith("a ") ? words : "you are " + words;
    }

    /** "3rd of 7". */
    public static String place(Answer.Place place) {
        return Words.ordinal(place.place()) + " of " + Words.number(place.waiting());
    }
}

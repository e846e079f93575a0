package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.schedule.Schedule;

/**
 * What decides how a condition is said: the names of what it speaks of, and how the reader likes times to be written.
 */
public record Wording(Vocabulary vocabulary, ClockStyle clock) {

    /** With the names of one schedule, and times in 24 hours. */
    public static Wording of(Schedule schedule) {
        return new Wording(Vocabulary.of(schedule), ClockStyle.HOURS_24);
    }
}

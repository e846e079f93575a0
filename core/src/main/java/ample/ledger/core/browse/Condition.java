package ample.ledger.core.browse;

import ample.ledger.core.schedule.Schedule;
import java.util.Map;

/**
 * One clause of a {@link Brief}: it holds for a section or it does not.
 *
 * <p>A {@link CourseCondition} looks at the course alone, so all sections of a course agree on it; a
 * {@link SectionCondition} looks at the section.
 */
public sealed interface Condition permits CourseCondition, SectionCondition {

    /** What it is about; a brief has at most one condition about each topic. */
    Topic topic();

    /** The sections of {@code index} for which it holds. */
    SectionSet in(TermIndex index);

    /** How it reads in a sentence, with the names that {@code schedule} gives to codes. */
    Phrase phrase(Schedule schedule);

    /** How it is written in an address: value by parameter, in order. */
    Map<String, String> parameters();

    /** What a condition is about, in the order in which a brief tells and an account subtracts. */
    enum Topic {
        SUBJECT,
        NUMBER,
        LEVEL,
        CAMPUS,
        DAYS,
        TIMES,
        UNTIMED,
        DELIVERY,
        REQUIREMENT,
        SEATS
    }

    /**
     * A clause in words, as in "at" and "Tidewall or Upper Fell".
     *
     * @param lead what leads to it in a list; may be empty
     */
    record Phrase(String lead, String text) {

        /** The clause standing alone, with a capital: "At Tidewall or Upper Fell". */
        public String standingAlone() {
            String whole = lead.isEmpty() ? text : lead + " " + text;
            return Character.toUpperCase(whole.charAt(0)) + whole.substring(1);
        }
    }
}

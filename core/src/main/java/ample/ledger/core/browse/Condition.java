package ample.ledger.core.browse;

import ample.ledger.core.schedule.Coded;
import java.util.Map;

/**
 * One clause of a {@link Brief}: it holds for a section or it does not.
 *
 * <p>A {@link CourseCondition} looks at the course alone, so all sections of a course agree on it. A
 * {@link SectionCondition} looks at the section alone. A {@link SetCondition} looks at the section and at the complete set
 * that it is taken in. {@link Not} turns any of them round.
 */
public sealed interface Condition permits CourseCondition, SectionCondition, SetCondition, Not {

    /** What it is about; a brief has at most one condition about each topic. */
    Topic topic();

    /** The candidates for which it holds. */
    CandidateSet in(Moment moment);

    /** The candidates for which it holds when it is turned round. */
    default CandidateSet notIn(Moment moment) {
        return in(moment).complement();
    }

    /** How it reads in a sentence, in these words. */
    Phrase phrase(Wording wording);

    /** How it reads turned round. */
    default Phrase notPhrase(Wording wording) {
        Phrase phrase = phrase(wording);
        return phrase.lead().isEmpty()
                ? new Phrase("", "not " + phrase.text())
                : new Phrase("not " + phrase.lead(), phrase.text());
    }

    /** How it is written in an address: value by parameter, in order. */
    Map<String, String> parameters();

    /** What a condition is about, in the order in which a brief tells and an account subtracts. */
    enum Topic implements Coded {
        SUBJECT,
        DEPARTMENT,
        PROGRAMME,
        NUMBER,
        WORDS,
        ENTRY,
        LEVEL,
        CREDITS,
        KIND,
        INSTRUCTOR,
        CAMPUS,
        BUILDING,
        DAYS,
        TIMES,
        CLOSED,
        UNTIMED,
        SPAN,
        DATES,
        DELIVERY,
        LANGUAGE,
        REQUIREMENT,
        MATERIALS,
        SEATS,
        STATUS,
        PLAN,
        RECORD
    }

    /**
     * A clause in words, as in "at" and "Tidewall or Upper Fell".
     *
     * @param lead what leads to it in a list; may be empty
     */
    record Phrase(String lead, String text) {

        /** The clause with what leads to it: "at Tidewall or Upper Fell". */
        public String whole() {
            return lead.isEmpty() ? text : lead + " " + text;
        }

        /** The clause standing alone, with a capital: "At Tidewall or Upper Fell". */
        public String standingAlone() {
            String whole = whole();
            return Character.toUpperCase(whole.charAt(0)) + whole.substring(1);
        }
    }
}

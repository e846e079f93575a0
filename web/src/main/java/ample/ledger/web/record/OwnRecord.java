package ample.ledger.web.record;

import java.util.List;

/**
 * A student's record as the registrar has it.
 *
 * @param name as the student is called
 * @param asOf "Tue 17 Jun, 9:41"
 * @param facts programme, year and the like
 * @param courses finished and in progress
 * @param owed the requirements that are still owed, by their names
 * @param met those that are met
 * @param holds in sentences
 * @param opening the address of the page that says when the student may register
 * @param unreadable what cannot be read of it here, in sentences
 * @param supposed what the student supposes beside it, as they typed it
 * @param offered lines that they typed before signing in, and that are not on the record
 */
public record OwnRecord(
        String name,
        String asOf,
        List<Fact> facts,
        List<Line> courses,
        List<String> owed,
        List<String> met,
        List<String> holds,
        String opening,
        List<String> unreadable,
        String supposed,
        List<String> offered) {

    /** One thing that is known. */
    public record Fact(String label, String words) {}

    /**
     * A course on the record.
     *
     * @param title empty where nothing posted has this code
     * @param credits in words; empty where nothing posted has this code
     * @param grade or "in progress"
     */
    public record Line(String code, String title, String credits, String grade) {}
}

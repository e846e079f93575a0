package ample.ledger.web.sheet;

import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Strip;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What stands on the sheet of one section.
 *
 * @param back the address of Browse with the same brief, at this section's line
 * @param summary place and people in one line
 * @param record the address of the student's record, which leads back here
 * @param judged whether there is a record to judge by
 * @param changed from the edition before; empty for nothing
 * @param leftOut dates that plain weeks would have, with the reason why not
 * @param status with its reason, for who looks at it
 * @param besides what else there is to say of it
 * @param linkedData the section as JSON-LD, safe to stand inside the page
 */
public record SheetPage(
        String entry,
        String courseCode,
        String section,
        String title,
        String back,
        String backSays,
        String summary,
        List<CodePart> code,
        SeatWords seats,
        String status,
        List<String> besides,
        String others,
        boolean cancelled,
        List<MeetingRow> meetings,
        String changed,
        int edition,
        String inClass,
        List<String> hours,
        List<Binding> binding,
        Weeks weeks,
        List<Month> held,
        List<String> leftOut,
        String calendarFile,
        Strip.Ground ground,
        Strip strip,
        String span,
        String spanDates,
        String delivery,
        @Nullable String declared,
        String credits,
        String description,
        List<Need> needs,
        String record,
        boolean judged,
        List<Asked> asked,
        String toward,
        List<String> notes,
        List<Related> twins,
        String companionsTitle,
        List<Related> companions,
        List<Related> siblings,
        String linkedData) {

    /**
     * One part of the code, in large letters.
     *
     * @param tells what the part is: "level"
     * @param says what it means; for a part that the key does not explain, that it does not
     */
    public record CodePart(String text, String says, String tells, boolean explained) {}

    /**
     * What must come before, as the registrar says it.
     *
     * @param tree the same as a tree; null where it is one condition, or left to people
     * @param verdict in words; empty where there is no record to judge by
     * @param missing what would meet it; empty where nothing is missing
     */
    public record Need(String sentence, @Nullable Node tree, String verdict, boolean met, String missing) {}

    /**
     * What is asked beside prerequisites.
     *
     * @param verdict in words; empty where there is none
     */
    public record Asked(String sentence, String verdict, boolean met) {}

    /** One condition of a tree, with the parts that it is a choice of. */
    public record Node(String words, String verdict, boolean met, List<Node> parts) {}

    /**
     * One of the dates that bind.
     *
     * @param number its mark on the line of weeks
     * @param x where that is
     */
    public record Binding(int number, String date, String name, String meaning, boolean past, int x) {}

    /**
     * The line of weeks.
     *
     * @param ticks the Mondays as one outline
     * @param off the weeks without classes as one outline; empty for none
     * @param today where today is; −1 where it is not within
     */
    public record Weeks(String ticks, String off, String first, String last, int today) {}

    /** The days of one month on which it is held. */
    public record Month(String name, String days) {}

    /** One meeting in words. */
    public record MeetingRow(String when, String what) {}

    /**
     * Another section, in a line.
     *
     * @param inTheWay what stands in the way of taking it; empty for nothing
     */
    public record Related(
            String entry, String name, String address, String when, String where, String inTheWay, SeatWords seats) {}
}

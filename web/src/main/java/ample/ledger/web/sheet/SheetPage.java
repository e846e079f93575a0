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
        String others,
        boolean cancelled,
        List<MeetingRow> meetings,
        String inClass,
        Strip.Ground ground,
        Strip strip,
        String span,
        String spanDates,
        String delivery,
        @Nullable String declared,
        String credits,
        String description,
        List<String> needs,
        List<String> restrictions,
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

    /** One meeting in words. */
    public record MeetingRow(String when, String what) {}

    /** Another section, in a line. */
    public record Related(String entry, String name, String address, String when, String where, SeatWords seats) {}
}

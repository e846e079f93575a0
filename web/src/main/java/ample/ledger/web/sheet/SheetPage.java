package ample.ledger.web.sheet;

import ample.ledger.web.requirement.Asks;
import ample.ledger.web.words.CodeWords;
import ample.ledger.web.words.OfSubject;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Strip;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What stands on the sheet of one section.
 *
 * @param linkedData the section as JSON-LD, safe to stand inside the page
 */
public record SheetPage(
        Name name,
        Taking taking,
        Standing standing,
        Meets meets,
        Dates dates,
        About about,
        Besides besides,
        String linkedData) {

    /**
     * Which section it is, and where one came from.
     *
     * @param course the address of the page of its course
     * @param summary place and people in one line
     * @param here its own address
     * @param back the address of Browse with the same brief, at this section's line
     */
    public record Name(
            String entry,
            String courseCode,
            String course,
            String section,
            String title,
            String summary,
            List<CodeWords.Part> code,
            String calendarFile,
            String here,
            String back,
            String backSays) {}

    /**
     * What the visitor can do with it.
     *
     * @param keep where it is added to the visitor's week
     * @param kept whether it is there already
     * @param lineUp the address of a line-up of it and the nearest others of its kind; null where there are none
     */
    public record Taking(
            String keep, boolean kept, @Nullable String lineUp) {}

    /**
     * How it stands.
     *
     * @param besides what else there is to say of it
     * @param others how the others of its kind stand
     * @param round in which its places are distributed; null where they are not
     */
    public record Standing(
            SeatWords seats,
            List<String> besides,
            String others,
            boolean cancelled,
            @Nullable Round round) {}

    /** A wish round. */
    public record Round(String name, String address) {}

    /**
     * When and where it meets.
     *
     * @param changed what editions changed of it, the latest first
     * @param hours of work that it asks for
     */
    public record Meets(
            List<MeetingRow> meetings,
            List<String> changed,
            String inClass,
            List<String> hours,
            Strip.Ground ground,
            Strip strip) {}

    /**
     * On which dates.
     *
     * @param leftOut dates that plain weeks would have, with the reason why not
     */
    public record Dates(
            String span,
            String spanDates,
            List<Binding> binding,
            Weeks weeks,
            List<Month> held,
            List<String> leftOut) {}

    /** What it is about, and what it asks. */
    public record About(
            String delivery,
            @Nullable String declared,
            String credits,
            String description,
            Asks asks,
            String toward,
            List<String> notes,
            OfSubject ofSubject) {}

    /** The sections that belong to it. */
    public record Besides(
            List<Related> twins, String companionsTitle, List<Related> companions, List<Related> siblings) {}

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
     * @param means its code as the institution's key explains it
     * @param inTheWay what stands in the way of taking it; empty for nothing
     */
    public record Related(
            String entry,
            String name,
            String means,
            String address,
            String when,
            String where,
            String inTheWay,
            SeatWords seats) {}
}

package ample.ledger.web.plan;

import ample.ledger.store.Shares;
import ample.ledger.web.words.SeatWords;
import java.util.List;
import java.util.Optional;

/**
 * What stands on My week.
 *
 * @param here the address of the page as it is
 * @param version of the plans, which forms send back
 * @param undo what the latest change was; empty where there is none to take back
 * @param told sentences on what was just done
 * @param scrub the weeks of term to choose from
 * @param around what is said of the week or of the term that is shown
 * @param select the section that is selected
 * @param clear the address of Browse with what is clear of the plan
 */
public record WeekPage(
        String term,
        String title,
        String here,
        long version,
        String name,
        String planId,
        List<OtherPlan> plans,
        String undo,
        List<String> told,
        boolean empty,
        Bands bands,
        List<Phone> phone,
        Bands.Band phoneDay,
        List<WeekOfTerm> scrub,
        boolean wholeTerm,
        String wholeTermAddress,
        String around,
        List<String> exams,
        Optional<Selected> selected,
        List<Trouble> troubles,
        List<Trouble> toKnow,
        List<LoadOfTerm> loads,
        List<String> loadSay,
        List<LoadWeek> loadWeeks,
        List<Entry> entries,
        String numbers,
        List<Entry> goingOn,
        List<Entry> beside,
        List<Busy> busy,
        BusyController.Typed typedBusy,
        List<DayChoice> days,
        String notes,
        List<Shares.Share> shares,
        String clear,
        String lineUp,
        WeavePage weave) {

    /** Another plan of the season. */
    public record OtherPlan(String id, String name, boolean current) {}

    /** A day as a narrow screen leads to it. */
    public record Phone(String name, String summary, String address, boolean chosen, Bands.Band band) {}

    /**
     * A week of term.
     *
     * @param off whether nothing is held in it
     * @param exams how many of the plan's exams it has
     */
    public record WeekOfTerm(
            String label, String title, String address, boolean chosen, boolean off, int exams, int height) {}

    /**
     * The section that is selected.
     *
     * @param standing how it stands in the plan
     * @param swaps the other sections of its course that fit
     * @param notFitting how many complete sets of its course do not
     */
    public record Selected(
            String token,
            String name,
            String title,
            String sheet,
            List<String> when,
            String where,
            SeatWords seats,
            String standing,
            List<Remedy> swaps,
            int notFitting,
            String close) {}

    /**
     * What is wrong, or to be known.
     *
     * @param none said where nothing mends it
     * @param remedies the first
     * @param more the rest of them
     */
    public record Trouble(String words, boolean stops, String none, List<Remedy> remedies, List<Remedy> more) {}

    /**
     * Sections for others.
     *
     * @param comes the sections that come
     * @param when those meet
     * @param out as forms send them
     * @param in the same
     */
    public record Remedy(List<Numbered> comes, String words, String when, String out, String in) {

        /** The first section that comes, as addresses name it. */
        public String anchor() {
            return "swap-" + in.split(",")[0];
        }
    }

    /** An entry number with the address of its sheet. */
    public record Numbered(String entry, String sheet) {}

    /** The credits of one term, line by line. */
    public record LoadOfTerm(String term, List<LoadLine> lines, String credits, String says) {}

    /** One course of it. */
    public record LoadLine(String words, String credits) {}

    /** One week as a bar: shares of the heaviest week, in pixels. */
    public record LoadWeek(String label, int classHeight, int studyHeight, int x) {}

    /**
     * One section of the plan.
     *
     * @param lead whether it is no companion of the one before it
     * @param status what a student should know beside the seats: waited for
     */
    public record Entry(
            String token,
            String entry,
            String name,
            String title,
            String sheet,
            SeatWords seats,
            boolean lead,
            String status) {}

    /** @param at its place among the busy times */
    public record Busy(int at, String label, String when) {}

    /** A day of the week to be ticked. */
    public record DayChoice(String code, String name, boolean chosen) {}
}

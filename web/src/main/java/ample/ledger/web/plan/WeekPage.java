package ample.ledger.web.plan;

import ample.ledger.core.schedule.Campus;
import ample.ledger.store.Shares;
import ample.ledger.web.words.SeatWords;
import java.util.List;
import java.util.Optional;

/**
 * What stands on My week.
 *
 * @param here the address of the page as it is
 * @param told sentences on what was just done
 * @param selected the section that is selected
 */
public record WeekPage(
        String term,
        String title,
        String here,
        List<String> told,
        PlanShown plan,
        Drawn drawn,
        Weeks weeks,
        Optional<Selected> selected,
        Wrong wrong,
        Dates dates,
        Loads load,
        Sections sections,
        BusyTimes busy,
        Onward onward,
        WeavePage weave) {

    /**
     * The plan that is shown, among the others.
     *
     * @param version of the plans, which forms send back
     * @param others all plans of the season, this one too
     * @param undo what the latest change was; empty where there is none to take back
     */
    public record PlanShown(
            long version,
            String id,
            String name,
            List<OtherPlan> others,
            String undo,
            boolean empty,
            String notes,
            List<Shares.Share> shares) {}

    /** The week as bands, and one day of it for narrow screens. */
    public record Drawn(Bands bands, List<Phone> phone, Bands.Band phoneDay) {}

    /**
     * Which week it is.
     *
     * @param scrub the weeks of term to choose from
     * @param whole whether all of term is shown
     * @param around what is said of the week or of the term that is shown
     */
    public record Weeks(List<WeekOfTerm> scrub, boolean whole, String wholeAddress, String around) {}

    /**
     * What stops the plan, and what only ought to be known.
     *
     * @param well that nothing does; empty where something does
     * @param notKnown what it depends on and is not known here; empty where all is
     * @param record where to say what is on one's record
     * @param homes campuses of which the student has not said which is the own one; none where that does not matter, or was said
     */
    public record Wrong(
            List<Trouble> troubles,
            List<Trouble> toKnow,
            String well,
            String notKnown,
            String record,
            List<Campus> homes) {}

    /**
     * The dates that are not to be missed.
     *
     * @param next the first that are still to come
     * @param rest all others, in their order
     */
    public record Dates(List<Dated> next, List<Dated> rest) {}

    /**
     * A date that is not to be missed.
     *
     * @param what "Last day to add"
     * @param of "TIDE 214, GLAC 120"; empty where it is of the whole plan
     * @param meaning in the institution's own words; empty where it says none
     */
    public record Dated(String when, String what, String of, String meaning, boolean past) {}

    /** How much work it is, by term and by week. */
    public record Loads(List<LoadOfTerm> terms, List<String> say, List<LoadWeek> weeks) {}

    /**
     * The sections of the plan.
     *
     * @param numbers their entry numbers, line by line, to be copied
     * @param goingOn those of other terms that go on meanwhile
     * @param registered what the student has at the registrar and not in this plan
     * @param beside those of the plan in other terms
     */
    public record Sections(
            List<Entry> entries, String numbers, List<Entry> goingOn, List<Entry> registered, List<Entry> beside) {}

    /** When the student is busy otherwise, and the form for more. */
    public record BusyTimes(List<Busy> times, BusyController.Typed typed, List<DayChoice> days) {}

    /**
     * Where the week leads.
     *
     * @param clear the address of Browse with what is clear of the plan
     */
    public record Onward(String clear, String lineUp) {}

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

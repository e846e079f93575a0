package ample.ledger.web.browse;

import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Strip;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What stands on the Browse screen.
 *
 * @param title what is browsed: "Autumn 2031"
 * @param action the path that forms of this screen go to
 * @param term code of the term whose sections can be kept and lined up
 */
public record BrowsePage(
        String title,
        String action,
        String term,
        Asked asked,
        Onward onward,
        Account account,
        WeekPicture week,
        Strip.Ground ground,
        SeatsSeen seats,
        Listed list,
        NothingFits nothing) {

    /**
     * What is asked.
     *
     * @param say what must be said before anything else: what of an address was not understood, or could not be taken along
     * @param heard how a line of text was read; null where the brief was not read from one
     * @param saved briefs that the visitor has saved
     */
    public record Asked(
            BriefSentence sentence,
            List<String> say,
            @Nullable Heard heard,
            List<Choice> saved) {}

    /**
     * Addresses that say the same.
     *
     * @param here of what was understood
     * @param back the same as it is looked at, whatever page of the list is shown
     * @param startOver without any condition; null when there is none to drop
     * @param whole of the whole list on one page
     */
    public record Onward(String here, String back, @Nullable String startOver, String whole, String csv, String json) {}

    /**
     * Of when the seats are.
     *
     * @param now what time the seats are of
     * @param stream the address that tells of their changes
     * @param lastChange the number of the last of them that is in the page
     */
    public record SeatsSeen(String now, String stream, long lastChange) {}

    /**
     * The list.
     *
     * @param nearMisses how many stand in place; empty for none
     * @param strayMisses near misses of courses of which nothing fits
     */
    public record Listed(
            String total,
            String nearMisses,
            List<Choice> orders,
            List<Choice> subjects,
            LeafPage leaf,
            List<Miss> strayMisses) {}

    /**
     * Where to turn when nothing fits.
     *
     * @param notOffered courses asked for that are not offered, in sentences
     * @param byItself what fits without all it is taken with
     */
    public record NothingFits(List<Remedy> waysBack, List<String> notOffered, Optional<ByThemselves> byItself) {}

    /** Sections that fit by their own days: that there are such, and where they are shown. */
    public record ByThemselves(String sentence, String show, String address) {}

    /**
     * The running account.
     *
     * @param struck conditions put aside, each with the address that restores it
     * @param cancelled sections that fit and are cancelled; null where none is
     * @param incomplete sections that belong to no complete set; null where there is none
     */
    public record Account(
            String posted,
            @Nullable String incomplete,
            List<AccountLine> lines,
            List<Remedy> struck,
            @Nullable String cancelled,
            String left,
            @Nullable Remedy hint) {}

    /**
     * One condition of the account.
     *
     * @param strike the address of the brief with it put aside
     */
    public record AccountLine(String label, String removed, String onlyThis, String strike) {}

    /** A change of the brief: what it says and does, and its address. */
    public record Remedy(String sentence, String address) {}

    /** A link among several of which one holds. */
    public record Choice(String label, String title, String address, boolean chosen) {}

    /**
     * A line of text, and what was read in it.
     *
     * @param stretches first what was understood, by condition, then what was not
     * @param nothing whether nothing was understood
     */
    public record Heard(String text, List<Stretch> stretches, boolean nothing) {

        /** With something before the rest. */
        Heard of(Stretch first) {
            return new Heard(
                    text, Stream.concat(Stream.of(first), stretches.stream()).toList(), nothing);
        }
    }

    /**
     * Words of a line that were read together.
     *
     * @param means the phrase that they became part of; null where they were not understood
     * @param not why they were not understood, or that they were not
     * @param without the address with the text read again without them
     */
    public record Stretch(String text, @Nullable String means, String not, String without) {}

    /**
     * One leaf of the list.
     *
     * @param number from 1
     * @param of how many there are
     * @param before the address of the one before; null for the first
     * @param after the address of the one after; null for the last
     * @param blocks made one after the other as they are written, where they are many
     * @param lines of each leaf of the list, with commas between; a course begins with a head, which counts as one more
     */
    public record LeafPage(
            int number,
            int of,
            @Nullable String before,
            @Nullable String after,
            String lines,
            String address,
            Iterable<Block> blocks) {}

    /**
     * Lines under one head.
     *
     * @param term what is posted from here on, where several terms are browsed and a new one begins
     * @param course null for lines that are not in order of their courses
     */
    public record Block(@Nullable String term, @Nullable CourseHead course, List<Line> lines, List<Miss> misses) {}

    /**
     * The head of a course.
     *
     * @param subject of the first course of a subject; null for the others
     * @param codeMeans its code as the institution's key explains it
     * @param address of the page of the course
     */
    public record CourseHead(
            String anchor,
            @Nullable SubjectHead subject,
            String code,
            String codeMeans,
            String address,
            String title,
            String credits,
            String toward,
            String needs,
            String fit) {}

    /**
     * Where a subject begins.
     *
     * @param note what must be read before one chooses in it; empty where nothing must
     * @param more the rest of that
     */
    public record SubjectHead(String anchor, String name, String note, List<String> more) {}

    /**
     * One section.
     *
     * @param sectionMeans its code as the institution's key explains it
     * @param course its course in a few words, where lines are not in order of their courses
     * @param twins "the same class as LIMN 244d F3"; empty where it is posted for one course
     * @param away that it is not at the student's home campus; empty where it is
     * @param changed what is different from the edition before; empty for nothing
     * @param picked how forms send it
     * @param kept whether it is in the visitor's week
     * @param inTheWay what of the visitor's week it does not go with: "clashes with GLAC 111 F1 of your week"; empty for nothing
     * @param look opens it in place, or closes it; null where nothing does
     * @param essentials what it opens to; null while closed
     */
    public record Line(
            String id,
            String entry,
            String section,
            String sectionMeans,
            String sheet,
            String course,
            String kind,
            boolean companion,
            boolean cancelled,
            String twins,
            Strip strip,
            List<String> when,
            String where,
            String away,
            String who,
            SeatWords seats,
            String runs,
            String changed,
            @Nullable String look,
            String picked,
            boolean kept,
            String inTheWay,
            @Nullable Essentials essentials) {}

    /** The essentials of a sheet, in place. */
    public record Essentials(String description, List<Fact> facts, SeatWords seats, String sheet) {}

    /** Something about a section, under a word for it. */
    public record Fact(String label, String text) {}

    /** Near misses that miss by the same, in words, and the remedy that lets them all in. */
    public record Miss(List<Missing> sections, String sentence, Remedy remedy) {}

    /** @param name "TIDE 214 T3 Estuary Hydraulics" */
    public record Missing(String entry, String name, String sheet) {}
}

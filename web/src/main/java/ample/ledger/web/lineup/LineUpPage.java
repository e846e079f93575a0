package ample.ledger.web.lineup;

import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Strip;
import java.util.List;

/**
 * What stands on the line-up.
 *
 * @param term the code of the term
 * @param here its own address
 * @param lines the entry numbers with commas between
 * @param full whether there is no room for another section
 * @param text what was typed to add a section, and could not be
 * @param say what must be said: sections that there are not, or too many
 * @param choices sections of the course that was typed
 * @param week what is in the visitor's week, beside the sections lined up
 * @param together all of them, one over the other
 * @param overlapping the times at which they clash
 * @param unlike rows in which the sections differ
 * @param alike rows in which they all say the same
 * @param clashes in sentences, among them and with the visitor's week
 * @param weave the address that weaves weeks of their courses
 */
public record LineUpPage(
        String term,
        String title,
        String here,
        String lines,
        boolean full,
        String text,
        List<String> say,
        List<Choice> choices,
        String back,
        Strip.Ground ground,
        List<Column> columns,
        Strip week,
        Strip together,
        Strip overlapping,
        List<Row> unlike,
        List<Same> alike,
        List<String> clashes,
        String weave) {

    /**
     * One section.
     *
     * @param means its code as the institution's key explains it
     * @param course the address of the page of its course
     * @param drop the address of the line-up without it
     * @param kept whether it is in the visitor's week
     * @param others sections of the same course to have in its place
     */
    public record Column(
            String entry,
            String name,
            String means,
            String title,
            String sheet,
            String course,
            String drop,
            boolean kept,
            boolean cancelled,
            Strip strip,
            List<Choice> others) {}

    /** A section that could stand in the line-up, and the address of the line-up with it. */
    public record Choice(String entry, String name, String when, SeatWords seats, String address) {}

    /** One fact of every section, in the order of the columns. */
    public record Row(String label, List<String> cells) {}

    /** One fact that all share. */
    public record Same(String label, String text) {}
}

package ample.ledger.web.plan;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The week as it is drawn: a band for each day, hours from left to right. Across, measures are shares of the width in per cent; down,
 * pixels.
 *
 * @param from the minute of the day at the left edge
 * @param to the same at the right edge
 * @param hours the heads
 * @param days those shown
 * @param untimed what has no set time
 */
public record Bands(int from, int to, List<Hour> hours, List<Band> days, List<Untimed> untimed) {

    /** A full hour at {@code x}. */
    public record Hour(String label, String x) {}

    /**
     * One day.
     *
     * @param code as addresses have it: mon
     * @param name in full
     * @param note what stands beside it: a date, a day off
     * @param blocks what is attended, and busy times
     * @param ghosts what could be taken instead of what is selected
     * @param previews of each woven week what it has on the day
     */
    public record Band(
            String code,
            String name,
            String note,
            int height,
            List<Block> blocks,
            List<Hatch> hatches,
            List<Way> ways,
            List<Free> free,
            List<Block> ghosts,
            List<Preview> previews,
            List<Row> rows) {

        /** Whether anything stands on it. */
        public boolean busy() {
            return !blocks.isEmpty();
        }

        /** What a narrow screen says of it. */
        public String summary() {
            return blocks.isEmpty()
                    ? "free"
                    : rows.stream().filter(Row::attended).count() + "";
        }
    }

    /**
     * One stay.
     *
     * @param style how it is drawn
     * @param name what it is, in one or two lines
     * @param more what stands below it, as far as there is room
     * @param label all of it in words
     * @param address what it leads to; empty for nothing
     */
    public record Block(
            String x,
            String width,
            int y,
            int height,
            String style,
            List<String> name,
            List<String> more,
            String label,
            String address) {

        /** The lines with where each of them stands. */
        public List<Line> lines() {
            List<Line> lines = new ArrayList<>();
            int at = FIRST_LINE;
            for (String line : name) {
                lines.add(new Line(line, at, true));
                at += LINE;
            }
            for (String line : more) {
                if (at <= height - 3) {
                    lines.add(new Line(line, at, false));
                }
                at += LINE;
            }
            return lines;
        }
    }

    static final int FIRST_LINE = 13;
    static final int LINE = 13;

    /** A line of text in a block. */
    public record Line(String text, int y, boolean strong) {}

    /**
     * Where two stays are held at once.
     *
     * @param wordsAt from its top, the line on which its words stand
     */
    public record Hatch(String x, String width, int y, int height, String words, int wordsAt) {}

    /**
     * From one campus to another.
     *
     * @param late whether there is too little time
     */
    public record Way(String from, String to, String middle, int y, String words, boolean late) {}

    /** Nothing for some time: what fits there can be browsed. */
    public record Free(String x, String width, String label, String address) {}

    /** @param number of the woven week, counted from 1 */
    public record Preview(int number, boolean shown, List<Block> blocks) {}

    /**
     * A line of the day as a narrow screen has it.
     *
     * @param attended whether it is class
     */
    public record Row(String when, String name, String more, String style, boolean attended, String address) {}

    /**
     * Something without a set time.
     *
     * @param address selects it; null in a preview
     * @param weave the number of the woven week that it is a preview of; 0 for what is in the plan
     * @param shown whether that week is drawn
     */
    public record Untimed(
            String name,
            String hours,
            String style,
            String width,
            String label,
            @Nullable String address,
            int weave,
            boolean shown) {}
}

package ample.ledger.core.weave;

import java.util.List;

/**
 * What the weaver works on, as plain numbers, so that any other solver can be asked the same: of each group one option, any two
 * of which go together.
 *
 * @param options of all groups, in the order in which {@code compatibility} numbers them
 * @param weeksOf how many weeks of term are like each of the typical weeks
 */
public record WeaveModel(Compatibility compatibility, List<Option> options, int[] weeksOf) {

    /**
     * One option.
     *
     * @param days the typical days on which it meets, numbered seven a week, Monday first
     * @param starts in minutes of the day, for each of those
     * @param ends the same
     * @param own points that it costs by itself, weighed
     */
    public record Option(int[] days, int[] starts, int[] ends, long own) {

        static Option of(Footprint footprint) {
            int count = footprint.cells().length;
            int[] starts = new int[count];
            int[] ends = new int[count];
            for (int i = 0; i < count; i++) {
                starts[i] = Wishing.start(footprint.classes()[i]);
                ends[i] = Wishing.end(footprint.classes()[i]);
            }
            return new Option(footprint.cells().clone(), starts, ends, footprint.own());
        }
    }
}

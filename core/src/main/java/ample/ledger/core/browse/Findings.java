package ample.ledger.core.browse;

import ample.ledger.core.schedule.Section;
import java.util.List;

/**
 * The answer to a brief.
 *
 * @param fitting the sections that meet every condition, in the order of the schedule
 * @param waysBack where nothing fits: every smallest choice of conditions without which something would, the one that
 *     brings back most first; empty where something fits
 */
public record Findings(Brief brief, List<Section> fitting, RunningAccount account, List<WayBack> waysBack) {

    public Findings {
        fitting = List.copyOf(fitting);
        waysBack = List.copyOf(waysBack);
    }

    /**
     * A choice of conditions to drop, none of which could stay.
     *
     * @param sections how many sections come back
     */
    public record WayBack(List<Condition> dropped, int sections) {

        public WayBack {
            dropped = List.copyOf(dropped);
        }
    }
}

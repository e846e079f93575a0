package ample.ledger.core.browse.answer;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Unit;
import ample.ledger.core.schedule.Section;

/**
 * A section that fails one condition of a brief, and by how much.
 *
 * @param condition the one it fails
 * @param distance how far it is from fitting, in {@code unit}; 1 or more
 * @param sentence that says so: "starts 8:30, half an hour before your window"
 * @param remedy the brief changed as little as lets the section in
 */
public record NearMiss(Section section, Condition condition, int distance, Unit unit, String sentence, Brief remedy) {

    /** The distance on the scale common to all units. */
    public int weight() {
        return unit.weight(distance);
    }
}

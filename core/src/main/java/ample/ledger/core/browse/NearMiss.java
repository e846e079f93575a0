package ample.ledger.core.browse;

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

    /**
     * What a distance is counted in. To compare one unit with another each has a weight in minutes: how many minutes on the
     * edge of a day a student would trade for one of it. The weights are this product's judgement, no source.
     */
    public enum Unit {
        MINUTE(1),
        SEAT(10),
        PERSON_WAITING(10),
        DATE(10),
        DAY_OF_THE_WEEK(90),
        WEEK(60),
        /** Another value of a facet of the set: another campus. */
        VALUE(120),
        SECTION_OF_THE_PLAN(180),
        /** A condition that there is no nearer and farther to. */
        CONDITION(240),
        /** Something other than the course, or the section, that was asked for. */
        OTHER_COURSE(600);

        private final int minutes;

        Unit(int minutes) {
            this.minutes = minutes;
        }
    }

    /** The distance on the scale common to all units. */
    public int weight() {
        return weight(distance, unit);
    }

    static int weight(int distance, Unit unit) {
        return distance * unit.minutes;
    }
}

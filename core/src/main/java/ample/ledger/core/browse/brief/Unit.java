package ample.ledger.core.browse.brief;

/**
 * What it is counted in how far a section is from fitting. To compare one unit with another each has a weight in minutes: how
 * many minutes on the edge of a day a student would trade for one of it. The weights are this product's judgement, no source.
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

    /** So many of it on the scale common to all units. */
    public int weight(int distance) {
        return distance * minutes;
    }
}

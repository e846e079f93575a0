package ample.ledger.core.edition;

/**
 * Something in a posting that is probably not meant, and does not keep it from being posted.
 *
 * @param about what it is found in: sections, a course, a pool or a requirement, as people name them
 * @param sentence what was found
 */
public record Warning(Kind kind, String about, String sentence) {

    /** What is found, and why it matters. */
    public enum Kind {
        ROOM_TWICE("Two sections in one room at once", "One of them will stand in the corridor."),
        PERSON_TWICE("One person in two places at once", "One of the classes will have nobody to teach it."),
        COMPANION_OUT_OF_REACH(
                "A companion that clashes with everything it goes with",
                "Nobody can take it, and its seats stay empty."),
        DELIVERY_CONTRADICTED(
                "Declared delivery against the meetings", "Students who filter by delivery are shown the meetings."),
        CODE_NOT_EXPLAINED("A code that the key does not explain", "Students cannot tell what the letter stands for."),
        OUTSIDE_SPAN(
                "A meeting outside the dates of its span", "It is easily missed, and dates that bind leave it out."),
        HELD_BEYOND_CAPACITY("More seats held than there are", "No seat will show as open to anybody."),
        REQUIREMENT_NOT_OFFERED(
                "A requirement that nothing counts toward", "Students who still owe it find nothing this term."),
        PREREQUISITE_UNKNOWN("A prerequisite that is not a course here", "Nobody can be seen to meet it."),
        PREREQUISITE_CIRCLE("Courses that need each other first", "Nobody can take any of them.");

        private final String label;
        private final String why;

        Kind(String label, String why) {
            this.label = label;
            this.why = why;
        }

        /** What is found, as a heading. */
        public String label() {
            return label;
        }

        /** Why it matters to students. */
        public String why() {
            return why;
        }
    }
}

package ample.ledger.core.plan;

import java.util.List;

/** What takes a student's time: going to a section, or a busy time of their own. Its text names it. */
public sealed interface Engagement permits Attendance, BusyTime {

    /** When; empty for what has no set time. */
    List<Stay> stays();

    /** Whether on some date both are held at once. */
    default boolean clashes(Engagement other) {
        for (Stay stay : stays()) {
            for (Stay another : other.stays()) {
                if (stay.clashes(another)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether one can go to both, and get from one to the other: on no date are they held at once, or one too soon after the other. */
    static boolean reachable(Engagement one, Engagement other, PostedSchedules posted) {
        for (Stay stay : one.stays()) {
            for (Stay another : other.stays()) {
                if (!Travel.possible(stay, another, posted)) {
                    return false;
                }
            }
        }
        return true;
    }
}

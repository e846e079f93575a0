package ample.ledger.core.edition;

import ample.ledger.core.schedule.Section;
import java.util.Optional;

/**
 * One way in which a section differs from what an earlier edition said of it.
 *
 * @param before the section as it was; empty for one that was not posted
 */
public record SectionChange(What what, Optional<Section> before) {

    /** What is different. */
    public enum What {
        ADDED,
        CANCELLED,
        HELD_AFTER_ALL,
        RENAMED,
        /** Other days, hours or weeks. */
        MOVED,
        /** Another span of dates. */
        SPAN,
        /** Another room, building, campus, or online instead. */
        PLACE,
        PEOPLE,
        FEWER_SEATS,
        /** Somebody may no longer take it. */
        RESTRICTED
    }
}

package ample.ledger.core.schedule;

import java.util.List;
import java.util.Optional;

/**
 * How a section is taught.
 *
 * <p>Derived from where and when it meets. Every meeting at a place: <em>on site</em>. Some online and some at a place:
 * <em>mixed</em>. Every one online: <em>online timed</em> if one of them has a set time, otherwise <em>online untimed</em>.
 * Arranged hours at a place are on site: a person has to be there.
 */
public enum Delivery implements Coded {
    ON_SITE("on site"),
    MIXED("mixed"),
    ONLINE_TIMED("online timed"),
    ONLINE_UNTIMED("online untimed");

    private final String label;

    Delivery(String label) {
        this.label = label;
    }

    /** As shown to people: "online timed". */
    public String label() {
        return label;
    }

    /** What these meetings say; empty when there are none. */
    public static Optional<Delivery> of(List<Meeting> meetings) {
        if (meetings.isEmpty()) {
            return Optional.empty();
        }
        long online = meetings.stream()
                .filter(meeting -> meeting.place() instanceof Place.Online)
                .count();
        if (online == 0) {
            return Optional.of(ON_SITE);
        }
        if (online < meetings.size()) {
            return Optional.of(MIXED);
        }
        boolean timed =
                meetings.stream().anyMatch(meeting -> meeting.timing().time().isPresent());
        return Optional.of(timed ? ONLINE_TIMED : ONLINE_UNTIMED);
    }
}

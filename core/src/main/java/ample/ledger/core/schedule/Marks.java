package ample.ledger.core.schedule;

import java.util.List;
import java.util.Optional;

/**
 * The institution's own marks on a section, which its code key explains.
 *
 * @param attributes for anything but kind and status, in the order posted
 */
public record Marks(Optional<String> kind, Optional<String> status, List<String> attributes) {

    /** A section without marks. */
    public static final Marks NONE = new Marks(Optional.empty(), Optional.empty(), List.of());

    public Marks {
        attributes = List.copyOf(attributes);
    }
}

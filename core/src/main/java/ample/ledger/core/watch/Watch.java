package ample.ledger.core.watch;

import java.util.EnumSet;
import java.util.Set;

/**
 * What a student asks to be told about.
 *
 * @param tells at least one
 * @param seats how many seats have to be open to the student before {@link Tell#SEAT} tells; 1 or more
 */
public record Watch(Watched about, Set<Tell> tells, int seats) {

    /** More than anybody takes along. */
    public static final int MOST_SEATS = 99;

    /** @throws IllegalArgumentException for a watch that tells nothing, and for fewer seats than one */
    public Watch {
        if (tells.isEmpty() || seats < 1 || seats > MOST_SEATS) {
            throw new IllegalArgumentException("A watch tells something, of 1 to %d seats".formatted(MOST_SEATS));
        }
        tells = Set.copyOf(tells);
    }

    /** What can be told of such a thing. */
    public static Set<Tell> possible(Watched about) {
        return about instanceof Watched.OfBrief
                ? EnumSet.of(Tell.FITS)
                : EnumSet.of(Tell.SEAT, Tell.CHANGED, Tell.CANCELLED, Tell.NAMED);
    }

    boolean tells(Tell tell) {
        return tells.contains(tell);
    }
}

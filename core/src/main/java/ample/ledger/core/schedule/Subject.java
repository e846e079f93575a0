package ample.ledger.core.schedule;

import java.util.List;
import java.util.Optional;

/**
 * A field of study: GLAC, Glaciology.
 *
 * @param department code of the department that answers for it
 * @param notes what must be read before one chooses among its sections, in the order to show
 * @param knownAs everyday words that students look for it by
 */
public record Subject(String code, String name, Optional<String> department, List<String> notes, List<String> knownAs) {

    public Subject {
        notes = List.copyOf(notes);
        knownAs = List.copyOf(knownAs);
    }
}

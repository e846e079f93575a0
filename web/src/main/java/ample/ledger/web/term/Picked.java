package ample.ledger.web.term;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.TermCode;
import java.util.Arrays;
import java.util.List;

/**
 * A section that a form sends: its entry number, as in 40127; where the page shows sections of several terms, that of another
 * term than the address names has its term before it, as in quarter-autumn-2031.10011.
 *
 * @param term the code of its term
 * @param entry as it was sent; not always an entry number
 */
public record Picked(TermCode term, String entry) {

    /**
     * @param term the code of the term that the address names
     * @param line sections, each by itself, as forms send them, or with commas between
     */
    public static List<Picked> of(TermCode term, List<String> line) {
        return line.stream()
                .flatMap(some -> Arrays.stream(some.split(",")))
                .map(String::strip)
                .filter(some -> !some.isEmpty())
                .distinct()
                .map(some -> {
                    int dot = some.indexOf('.');
                    return dot < 0
                            ? new Picked(term, some)
                            : new Picked(new TermCode(some.substring(0, dot)), some.substring(dot + 1));
                })
                .toList();
    }

    /** How a form sends a section of another term. */
    public static String elsewhere(TermCode term, EntryNumber entry) {
        return term + "." + entry;
    }
}

package ample.ledger.core.browse.index;

import java.util.function.Function;

/**
 * One parameter of an address, as it is documented.
 *
 * @param meaning of its value, a phrase with a capital: "Codes of campuses"
 * @param example a value that makes sense where these codes are known
 */
public record Parameter(String name, String meaning, Function<Vocabulary, String> example) {

    /** One whose example makes sense everywhere. */
    public Parameter(String name, String meaning, String example) {
        this(name, meaning, vocabulary -> example);
    }
}

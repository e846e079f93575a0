package ample.ledger.web.words;

import ample.ledger.core.code.CodeKey;
import java.util.stream.Collectors;

/** A code in a line of words, as the institution's key explains it. */
public final class CodeWords {

    private CodeWords() {}

    /**
     * "F Upper Fell campus, 3 third section here, e evening"; what the key does not explain is said.
     *
     * @param sort of code, as the key calls it: "course", "section"
     */
    public static String of(CodeKey key, String sort, String code) {
        return key.takeApart(sort, code).stream()
                .filter(part -> !part.punctuation())
                .map(part -> part.text() + " " + part.meaning().orElse("not in the code key"))
                .collect(Collectors.joining(", "));
    }
}

package ample.ledger.core.browse.quick;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The words of a line of text, looked at from any place. */
record QuickLine(List<QuickToken> tokens) {

    /** The word at a place, in lower case and without accents; empty behind the last. */
    String word(int at) {
        return at < tokens.size() ? tokens.get(at).plain() : "";
    }

    /** The same as it is written. */
    String written(int at) {
        return tokens.get(at).text();
    }

    /** Several words with a blank between them. */
    String phrase(int from, int count) {
        return tokens.subList(from, from + count).stream()
                .map(QuickToken::plain)
                .collect(Collectors.joining(" "));
    }

    int size() {
        return tokens.size();
    }

    static Optional<Integer> whole(String word) {
        return word.matches("[0-9]{1,4}") ? Optional.of(Integer.valueOf(word)) : Optional.empty();
    }
}

package ample.ledger.core.browse.quick;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The words of a line of text, looked at from any place. */
record QuickLine(List<QuickToken> tokens) {

    /** The word at a place, in lower case and without accents; empty behind the last. */
    String word(int at) {
        return at < tokens.size() ? tokens.get(at).plain() : "";
    }

    /** The same as it is written. */
    String written(int at) {
        return at < tokens.size() ? tokens.get(at).text() : "";
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

    /** Whether a word that denies stands before a place, with a word between them at most. */
    boolean isDenied(int at) {
        return at > 0 && QuickWords.DENYING.contains(word(at - 1))
                || at > 1 && QuickWords.DENYING.contains(word(at - 2));
    }

    static Optional<Integer> whole(String word) {
        return word.matches("[0-9]{1,4}") ? Optional.of(Integer.valueOf(word)) : Optional.empty();
    }

    /**
     * What a number is to something: "at least", "under".
     *
     * @param tokens how many words say so
     */
    record Bound(Kind kind, int tokens) {

        enum Kind {
            AT_LEAST,
            MORE,
            AT_MOST,
            LESS
        }

        /** @param compared what comparing something with the number gave */
        boolean allows(int compared) {
            return switch (kind) {
                case AT_LEAST -> compared >= 0;
                case MORE -> compared > 0;
                case AT_MOST -> compared <= 0;
                case LESS -> compared < 0;
            };
        }
    }

    /** "at least", "more than", "at most", "under" and the like at a place. */
    Optional<Bound> bound(int at) {
        String word = word(at);
        String next = word(at + 1);
        if (word.equals("at") && next.equals("least")) {
            return Optional.of(new Bound(Bound.Kind.AT_LEAST, 2));
        }
        if (word.equals("at") && next.equals("most") || word.equals("up") && next.equals("to")) {
            return Optional.of(new Bound(Bound.Kind.AT_MOST, 2));
        }
        int than = next.equals("than") ? 2 : 1;
        if (Set.of("under", "below").contains(word)
                || Set.of("less", "fewer", "shorter").contains(word) && than == 2) {
            return Optional.of(new Bound(Bound.Kind.LESS, than));
        }
        return Set.of("over", "above").contains(word)
                        || Set.of("more", "longer").contains(word) && than == 2
                ? Optional.of(new Bound(Bound.Kind.MORE, than))
                : Optional.empty();
    }
}

package ample.ledger.web.words;

/**
 * Keeps names that are written from right to left together. Pages are in English; an Arabic or Hebrew name in a sentence would else carry the
 * figures and commas behind it over to its other side (Unicode Standard Annex 9, "isolates").
 */
final class Isolated {

    private static final char FIRST_STRONG_ISOLATE = '\u2068';
    private static final char POP_ISOLATE = '\u2069';

    /** No letter before this one is written from right to left. */
    private static final char FIRST_FROM_RIGHT = '\u0590';

    /** What stands between two names, and between two facts, belongs to neither. */
    private static final String BETWEEN = ",;:·|\n";

    private Isolated() {}

    /** The text with each name from right to left isolated; the text itself where it has none. */
    static CharSequence of(CharSequence text) {
        int first = 0;
        while (first < text.length() && !isFromRight(text.charAt(first))) {
            first++;
        }
        return first == text.length() ? text : isolated(text, first);
    }

    private static String isolated(CharSequence text, int first) {
        StringBuilder isolated = new StringBuilder(text.length() + 8).append(text, 0, first);
        int at = first;
        while (at < text.length()) {
            int end = isFromRight(text.charAt(at)) ? endOfName(text, at) : at;
            if (end > at) {
                isolated.append(FIRST_STRONG_ISOLATE).append(text, at, end).append(POP_ISOLATE);
                at = end;
            } else {
                isolated.append(text.charAt(at));
                at++;
            }
        }
        return isolated.toString();
    }

    /** Behind the last letter from right to left before one from left to right, or before what stands between names. */
    private static int endOfName(CharSequence text, int start) {
        int end = start;
        for (int at = start; at < text.length(); at++) {
            char letter = text.charAt(at);
            if (isFromRight(letter)) {
                end = at + 1;
            } else if (Character.isLetter(letter) && isCode(text, at)) {
                at = endOfWord(text, at) - 1;
            } else if (BETWEEN.indexOf(letter) >= 0 || Character.isLetter(letter)) {
                return end;
            }
        }
        return end;
    }

    /** Codes of courses stand within sentences that are written from right to left: they have a digit. */
    private static boolean isCode(CharSequence text, int start) {
        return text.subSequence(start, endOfWord(text, start)).chars().anyMatch(Character::isDigit);
    }

    private static int endOfWord(CharSequence text, int start) {
        int at = start;
        while (at < text.length() && !Character.isWhitespace(text.charAt(at)) && BETWEEN.indexOf(text.charAt(at)) < 0) {
            at++;
        }
        return at;
    }

    private static boolean isFromRight(char letter) {
        if (letter < FIRST_FROM_RIGHT) {
            return false;
        }
        byte direction = Character.getDirectionality(letter);
        return direction == Character.DIRECTIONALITY_RIGHT_TO_LEFT
                || direction == Character.DIRECTIONALITY_RIGHT_TO_LEFT_ARABIC
                || direction == Character.DIRECTIONALITY_ARABIC_NUMBER
                // Vowel signs stand over the letter before them.
                || direction == Character.DIRECTIONALITY_NONSPACING_MARK && letter < '\u0700';
    }
}

package ample.ledger.core.browse.quick;

import ample.ledger.core.text.SearchText;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A word of a line of text.
 *
 * @param text as written
 * @param plain as {@link SearchText} folds it
 * @param start of its first letter
 */
record QuickToken(String text, String plain, int start) {

    /** What is not blank, less punctuation around it; a comma, a slash or a semicolon parts words like a blank. */
    private static final Pattern WORD = Pattern.compile("[^\\s,;/()\"“”?!]+");

    static List<QuickToken> of(String line) {
        List<QuickToken> tokens = new ArrayList<>();
        Matcher matcher = WORD.matcher(line);
        while (matcher.find()) {
            String word = matcher.group().replaceAll("[.:'-]+$", "");
            if (!word.isEmpty()) {
                tokens.add(new QuickToken(word, plain(word), matcher.start()));
            }
        }
        return tokens;
    }

    static String plain(String text) {
        return SearchText.folded(text);
    }

    int end() {
        return start + text.length();
    }
}

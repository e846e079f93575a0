package ample.ledger.core.text;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Locale;
import java.util.regex.Pattern;
import org.apache.lucene.analysis.ar.ArabicNormalizer;
import org.apache.lucene.analysis.miscellaneous.ASCIIFoldingFilter;

/**
 * Text as it is looked for: whoever types need not know how a name is accented. "Łódź", "lodz" and "LÓDZ" are the same, and so are the spellings
 * of Arabic letters that are often exchanged, with and without vowel signs and the article.
 */
public final class SearchText {

    private static final Pattern MARKS = Pattern.compile("\\p{M}+");

    /** Alef and lam before at least two letters more. */
    private static final Pattern ARTICLE = Pattern.compile("(?<!\\p{L})\u0627\u0644(?=\\p{L}{2})");

    private static final ArabicNormalizer ARABIC = new ArabicNormalizer();

    private SearchText() {}

    /** In lower case, without accents, ligatures and Arabic articles; letters of other scripts than Latin stay what they are. */
    public static String folded(String text) {
        if (isPlain(text)) {
            return text.toLowerCase(Locale.ROOT);
        }
        String unmarked =
                MARKS.matcher(Normalizer.normalize(text, Normalizer.Form.NFKD)).replaceAll("");
        char[] letters = unmarked.toCharArray();
        // One letter becomes four at most.
        char[] latin = new char[4 * letters.length];
        int length = ASCIIFoldingFilter.foldToASCII(letters, 0, latin, 0, letters.length);
        char[] arabic = Arrays.copyOf(latin, length);
        String folded = new String(arabic, 0, ARABIC.normalize(arabic, length));
        return ARTICLE.matcher(folded).replaceAll("").toLowerCase(Locale.ROOT);
    }

    private static boolean isPlain(String text) {
        return text.chars().allMatch(letter -> letter < 128);
    }
}

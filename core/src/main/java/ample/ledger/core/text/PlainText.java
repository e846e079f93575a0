package ample.ledger.core.text;

/**
 * Text without control characters. Those have no place in what people write; PostgreSQL refuses some of them, and others
 * forge lines of a log.
 */
public final class PlainText {

    private PlainText() {}

    /**
     * The text without control characters (Unicode category Cc) and without halves of surrogate pairs. Line feeds and tabs stay; a
     * carriage return goes, so that a line ends in one way.
     */
    public static String of(String text) {
        return isPlain(text)
                ? text
                : text.codePoints()
                        .filter(PlainText::isPlain)
                        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                        .toString();
    }

    /** The same on one line: a line feed or a tab becomes a blank. */
    public static String onOneLine(String text) {
        return of(text).replace('\n', ' ').replace('\t', ' ');
    }

    private static boolean isPlain(String text) {
        return text.codePoints().allMatch(PlainText::isPlain);
    }

    private static boolean isPlain(int codePoint) {
        boolean half = codePoint >= Character.MIN_SURROGATE && codePoint <= Character.MAX_SURROGATE;
        return !half && (!Character.isISOControl(codePoint) || codePoint == '\n' || codePoint == '\t');
    }
}

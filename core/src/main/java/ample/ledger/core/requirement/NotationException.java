package ample.ledger.core.requirement;

/** A prerequisite that is not written as the notation asks. */
public final class NotationException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final int at;
    private final String sentence;

    /**
     * @param at how many characters of the text stand before the place
     * @param sentence what is wrong there, and what would be right
     */
    NotationException(int at, String sentence) {
        this("At character " + (at + 1) + ": " + sentence, at);
    }

    private NotationException(String sentence, int at) {
        super(sentence);
        this.at = at;
        this.sentence = sentence;
    }

    /** Where it is, what is wrong there, and what would be right. */
    public String sentence() {
        return sentence;
    }

    /** How many characters of the text stand before the place; 0 to the length of the text. */
    public int at() {
        return at;
    }
}

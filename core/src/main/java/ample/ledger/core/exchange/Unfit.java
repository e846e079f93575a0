package ample.ledger.core.exchange;

/** What is wrong with one cell of the row being assembled; the assembler turns it into a {@link Fault}. */
final class Unfit extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String column;
    private final String sentence;

    Unfit(String column, String sentence) {
        super(sentence);
        this.column = column;
        this.sentence = sentence;
    }

    String column() {
        return column;
    }

    String sentence() {
        return sentence;
    }
}

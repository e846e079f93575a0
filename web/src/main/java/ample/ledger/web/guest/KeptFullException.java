package ample.ledger.web.guest;

/** That no more is kept for a visitor, who has changed nothing. Its message is a sentence for them. */
public final class KeptFullException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    KeptFullException(String sentence) {
        super(sentence);
    }
}

package ample.ledger.web.guest;

/** That what is kept for a visitor cannot be reached for the moment, and nothing can be done without it. */
public final class AwayException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public AwayException() {
        super("What is kept for the visitor cannot be reached for the moment");
    }
}

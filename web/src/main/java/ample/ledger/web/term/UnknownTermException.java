package ample.ledger.web.term;

/** An address names a term that nothing is posted for. */
public final class UnknownTermException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String code;

    UnknownTermException(String code) {
        super("No term " + code);
        this.code = code;
    }

    public String code() {
        return code;
    }
}

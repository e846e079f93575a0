package ample.ledger.core.registrar;

/** Wishes that the registrar does not take: the period is over or has not begun, or a group is none of the round. What was wished before stays. */
public final class WishRefusedException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /** @param words why, in the registrar's own words: a whole sentence */
    public WishRefusedException(String words) {
        super(words);
    }
}

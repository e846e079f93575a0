package ample.ledger.store;

import ample.ledger.core.schedule.TermCode;

/** Somebody else is posting the same term at this moment; nothing was changed. */
public final class PostingUnderWayException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    PostingUnderWayException(TermCode term) {
        super("Another posting of " + term
                + " is under way, and this one was not begun. Look at what it brings, and post"
                + " again if yours is still wanted.");
    }
}

package ample.ledger.core.watch;

/** What a watch tells. */
public enum Tell {
    /** As many seats as are wanted are open to the student. */
    SEAT,
    /** Anything that a new edition changes. */
    CHANGED,
    /** It will not be held, or is no longer posted. */
    CANCELLED,
    /** A person or a room that was to be announced has a name. */
    NAMED,
    /** A section fits the brief that did not, or was not posted. */
    FITS
}

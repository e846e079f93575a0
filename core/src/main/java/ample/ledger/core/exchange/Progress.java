package ample.ledger.core.exchange;

/** Hears how far the reading of a large bundle has come. */
@FunctionalInterface
public interface Progress {

    /** Nobody listens. */
    Progress UNHEARD = (file, rows) -> {};

    /** Rows between two reports. */
    int STEP = 25_000;

    /** So many rows of the file are read; said once every {@link #STEP}. */
    void read(String file, int rows);
}

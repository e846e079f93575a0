package ample.ledger.core.browse.index;

/** A candidate, by its position in the layout of {@link Candidates}. */
public record CandidateAt(int position) {

    /** The word of a bitmap in which it stands. */
    int word() {
        return position >> 6;
    }

    /** In that word, the one bit that is its own. */
    long bit() {
        return 1L << position;
    }
}

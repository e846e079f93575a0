package ample.ledger.core.browse.index;

import java.util.stream.Stream;

/** Candidates in some order, each as a number of four bytes: thousands of them are gone through for one page. */
final class CandidatesInOrder {

    private final int[] positions;

    CandidatesInOrder(Stream<CandidateAt> some) {
        this.positions = some.mapToInt(CandidateAt::position).toArray();
    }

    int size() {
        return positions.length;
    }

    CandidateAt get(int place) {
        return new CandidateAt(positions[place]);
    }
}

package ample.ledger.web.wish;

import java.util.List;

/** The wish rounds of a term. */
record RoundsPage(String term, List<Line> rounds) {

    /**
     * A round.
     *
     * @param says until when it is open, or what came of it
     */
    record Line(String name, String address, String says) {}
}

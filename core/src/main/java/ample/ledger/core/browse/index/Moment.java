package ample.ledger.core.browse.index;

/** An index with its seats as they stand at one moment, so that all of an answer is of one moment. */
public record Moment(TermIndex index, SeatView seats) {

    public FacetIndex facet(Facet facet) {
        return facet == Facet.STATUS ? seats.statuses() : index.facet(facet);
    }
}

package ample.ledger.store;

import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.watch.Concern;
import java.util.Collection;
import java.util.List;
import java.util.Locale;

/** What of what is posted concerns whom. */
public class Concerns {

    private final ConcernMapper mapper;

    Concerns(ConcernMapper mapper) {
        this.mapper = mapper;
    }

    /** What a concern follows from. */
    enum Source {
        KEPT,
        REGISTRAR
    }

    /**
     * Somebody waits for seats.
     *
     * @param about an entry number, or the code of a course
     * @param seats how many; 1 or more
     */
    public record SeatWait(String owner, TermCode term, String about, int seats) {}

    /** That exactly these concern somebody, as far as they follow from {@code source}. */
    void replace(String owner, Source source, Collection<Concern> concerns) {
        mapper.replace(
                owner,
                source.name().toLowerCase(Locale.ROOT),
                concerns.stream().map(concern -> concern.term().text()).toArray(String[]::new),
                concerns.stream().map(Concern::about).toArray(String[]::new),
                concerns.stream().map(Concern::seats).toArray(Integer[]::new));
    }

    /** Some of those whom one of these concerns, in the order of their names. */
    List<String> owners(TermCode term, Collection<String> abouts, String after, int most) {
        return mapper.owners(term, abouts.toArray(String[]::new), after, most);
    }

    /** Who waits for seats in one of these. */
    public List<SeatWait> seatWaits(TermCode term, Collection<String> abouts) {
        return mapper.seatWaits(term, abouts.toArray(String[]::new));
    }

    /** Some that nobody has looked at yet. */
    public List<SeatWait> newSeatWaits(int most) {
        return mapper.newSeatWaits(most);
    }

    /** All of them. */
    public List<SeatWait> allSeatWaits() {
        return mapper.allSeatWaits();
    }
}

package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.reading.Status;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * So many seats are open to the student, and at most so many people wait before them. Seats are counted over companions: where
 * several groups share one lecture, the lecture has as many seats as they have together, yet no more than its own; groups with
 * a longer queue are not counted. The set taken must itself have a seat in each of its sections. A cancelled section has none.
 *
 * @param atLeast 0 or more
 * @param waitingAtMost 0 or more; empty for any number
 */
public record Seats(int atLeast, OptionalInt waitingAtMost) implements Condition {

    private static final String SEATS = "seats";
    private static final String WAITING = "waiting";

    static final List<Parameter> PARAMETERS = List.of(
            new Parameter(SEATS, "Seats open, at least, counted over companions", "3"),
            new Parameter(WAITING, "People waiting, at most", "0"));

    private static final int MOST = 100_000;

    public Seats {
        Conditions.requireSome(atLeast == 0 && waitingAtMost.isEmpty(), "number of seats");
        if (atLeast < 0 || waitingAtMost.orElse(0) < 0) {
            throw new IllegalArgumentException("Seats and people waiting cannot be fewer than 0");
        }
    }

    static Optional<Condition> read(AddressReader address) {
        int atLeast = address.whole(SEATS, 0, MOST).orElse(0);
        OptionalInt waiting = address.whole(WAITING, 0, MOST);
        return atLeast == 0 && waiting.isEmpty() ? Optional.empty() : Optional.of(new Seats(atLeast, waiting));
    }

    @Override
    public Topic topic() {
        return Topic.SEATS;
    }

    @Override
    public CandidateSet in(Moment moment) {
        return moment.seats().takeable(atLeast, mostWaiting());
    }

    @Override
    public CandidateSet notIn(Moment moment) {
        return moment.seats().having(atLeast, mostWaiting()).complement();
    }

    private int mostWaiting() {
        return waitingAtMost.orElse(Integer.MAX_VALUE);
    }

    @Override
    public Phrase phrase(Wording wording) {
        String seats = atLeast == 1 ? "1 or more seats" : "%,d or more seats".formatted(atLeast);
        String waiting = mostWaiting() == 0 ? "nobody waiting" : "at most %,d waiting".formatted(mostWaiting());
        if (waitingAtMost.isEmpty()) {
            return new Phrase("with", seats);
        }
        return new Phrase("with", atLeast == 0 ? waiting : seats + " and " + waiting);
    }

    @Override
    public Phrase notPhrase(Wording wording) {
        return new Phrase("without", phrase(wording).text());
    }

    @Override
    public Map<String, String> parameters() {
        Map<String, String> parameters = new LinkedHashMap<>();
        if (atLeast > 0) {
            parameters.put(SEATS, String.valueOf(atLeast));
        }
        waitingAtMost.ifPresent(most -> parameters.put(WAITING, String.valueOf(most)));
        return parameters;
    }

    /** A condition that the candidate would meet: so many seats fewer, and people more, than this one. */
    private record Way(int fewer, int more, int atLeast, OptionalInt waiting) {

        int cost() {
            return fewer + more;
        }
    }

    /**
     * The nearest condition that would hold: with fewer seats, or a longer queue, or both. A longer queue may bring in more
     * companions, and their seats.
     */
    @Override
    public Shortfall shortfall(Candidate candidate) {
        Optional<Way> nearest = IntStream.concat(IntStream.of(mostWaiting()), candidate.queues())
                .filter(waiting -> waiting >= mostWaiting())
                .mapToObj(waiting -> way(candidate, waiting))
                .flatMap(Optional::stream)
                .min(Comparator.comparingInt(Way::cost));
        if (nearest.isEmpty()) {
            return Shortfall.whole(Unit.CONDITION, wording -> "is cancelled, or goes only with what is cancelled");
        }
        Way way = nearest.get();
        return new Shortfall(
                Math.max(1, way.cost()),
                way.more() > way.fewer() ? Unit.PERSON_WAITING : Unit.SEAT,
                wording -> sentence(way, candidate),
                () -> way.atLeast() == 0 && way.waiting().isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Seats(way.atLeast(), way.waiting())));
    }

    private Optional<Way> way(Candidate candidate, int waiting) {
        int together = candidate.seatsOverCompanions(waiting);
        int inSet = candidate.leastOpen();
        if (together < 0 || inSet < 0 || candidate.longestQueue() > waiting) {
            return Optional.empty();
        }
        int left = inSet == 0 ? 0 : Math.min(atLeast, together);
        return Optional.of(
                waitingAtMost.isEmpty()
                        ? new Way(atLeast - left, 0, left, OptionalInt.empty())
                        : new Way(atLeast - left, waiting - mostWaiting(), left, OptionalInt.of(waiting)));
    }

    private static String sentence(Way way, Candidate candidate) {
        String seats = way.atLeast() == 0
                ? none(candidate.reading().status())
                : "%,d open, %,d short".formatted(way.atLeast(), way.fewer());
        String queue =
                "%,d waiting, %,d more than you accept".formatted(way.waiting().orElse(0), way.more());
        if (way.more() == 0) {
            return seats;
        }
        return way.fewer() == 0 ? queue : seats + ", and " + queue;
    }

    private static String none(Status status) {
        return status == Status.OPEN || status == Status.OPEN_TO_SOME
                ? "no seat open in what it goes with"
                : "no seat: " + status.label();
    }
}

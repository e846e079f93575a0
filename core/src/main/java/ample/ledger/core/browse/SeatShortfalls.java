package ample.ledger.core.browse;

import ample.ledger.core.browse.NearMiss.Unit;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/** How one section, in one of its sets, falls short of a condition on seats. */
final class SeatShortfalls {

    private final SeatView seats;
    private final int section;
    private final int[] set;

    SeatShortfalls(SeatView seats, int section, int[] set) {
        this.seats = seats;
        this.section = section;
        this.set = set;
    }

    /** Seats fewer, people more: the sum of both that is least. */
    private record Way(int fewer, int more, int atLeast, OptionalInt waiting) {

        int cost() {
            return fewer + more;
        }
    }

    /**
     * The nearest condition that would hold: with fewer seats, or a longer queue, or both. A longer queue may bring in more
     * companions, and their seats.
     */
    Shortfall of(SetCondition.Seats condition) {
        int accepted = condition.mostWaiting();
        Optional<Way> nearest = IntStream.concat(IntStream.of(accepted), queues())
                .filter(waiting -> waiting >= accepted)
                .mapToObj(waiting -> way(condition, waiting))
                .flatMap(Optional::stream)
                .min((one, other) -> Integer.compare(one.cost(), other.cost()));
        if (nearest.isEmpty()) {
            return Shortfall.whole(Unit.CONDITION, wording -> "is cancelled, or goes only with what is cancelled");
        }
        Way way = nearest.get();
        return new Shortfall(
                Math.max(1, way.cost()),
                way.more() > way.fewer() ? Unit.PERSON_WAITING : Unit.SEAT,
                wording -> sentence(way),
                () -> way.atLeast() == 0 && way.waiting().isEmpty()
                        ? Optional.empty()
                        : Optional.of(new SetCondition.Seats(way.atLeast(), way.waiting())));
    }

    /** How long the queues are that decide. */
    private IntStream queues() {
        return IntStream.concat(Arrays.stream(set), seats.alternatives(section))
                .map(each -> seats.account(each).waiting())
                .distinct();
    }

    private Optional<Way> way(SetCondition.Seats condition, int waiting) {
        int together = seats.overCompanions(section, waiting);
        boolean queued = Arrays.stream(set).anyMatch(each -> seats.account(each).waiting() > waiting);
        int inSet = seats.leastOpen(set);
        if (together < 0 || inSet < 0 || queued) {
            return Optional.empty();
        }
        int atLeast = inSet == 0 ? 0 : Math.min(condition.atLeast(), together);
        boolean any = condition.waitingAtMost().isEmpty();
        return Optional.of(new Way(
                condition.atLeast() - atLeast,
                any ? 0 : waiting - condition.mostWaiting(),
                atLeast,
                any ? OptionalInt.empty() : OptionalInt.of(waiting)));
    }

    private static String sentence(Way way) {
        String seats = way.atLeast() == 0
                ? "no seat open to you"
                : "%,d open, %,d short".formatted(way.atLeast(), way.fewer());
        String queue =
                "%,d waiting, %,d more than you accept".formatted(way.waiting().orElse(0), way.more());
        if (way.more() == 0) {
            return seats;
        }
        return way.fewer() == 0 ? queue : seats + ", and " + queue;
    }
}

package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Topic;
import java.util.Optional;
import java.util.Set;

/** Takes from a line of text what it says of seats, of waitlists, and of set times. */
final class QuickSeats {

    private static final Set<String> SEATS = Set.of("seats", "seat", "places", "place", "spots", "spot");
    private static final Set<String> WAITLIST = Set.of("waitlist", "waitlists", "queue", "waiting", "wait");
    private static final Set<String> WAITING = Set.of("waiting", "queued", "ahead");

    /** Behind seats they say nothing more: "3 seats open now". */
    private static final Set<String> THERE = Set.of("open", "left", "available", "free", "now");

    private final QuickLine line;

    QuickSeats(QuickLine line) {
        this.line = line;
    }

    Optional<Meant> at(int at) {
        return open(at).or(() -> number(at))
                .or(() -> waitlist(at))
                .or(() -> waiting(at))
                .or(() -> untimed(at));
    }

    private int there(int at) {
        int count = 0;
        while (THERE.contains(line.word(at + count)) && !QuickWords.OF_MATERIALS.contains(line.word(at + count + 1))) {
            count++;
        }
        return count;
    }

    private static Meant seats(int tokens, int least) {
        return Meant.of(tokens, Topic.SEATS, brief -> brief.seats(least, false))
                .denied(Topic.SEATS, brief -> brief.seats(least, true));
    }

    private static Meant waiting(int tokens, int most) {
        return Meant.of(tokens, Topic.SEATS, brief -> brief.waiting(most, false))
                .denied(Topic.SEATS, brief -> brief.waiting(most, true));
    }

    /** "open", "open seats", "open now", "seats left", "available". */
    private Optional<Meant> open(int at) {
        String word = line.word(at);
        if (SEATS.contains(word)) {
            return Optional.of(seats(1 + there(at + 1), 1));
        }
        if (!word.equals("open") && !word.equals("available")) {
            return Optional.empty();
        }
        int seats = SEATS.contains(line.word(at + 1)) ? 1 : 0;
        return Optional.of(seats(1 + seats + there(at + 1 + seats), 1));
    }

    /** "3 seats", "at least 3 seats", "3+ seats", "more than 2 seats"; fewer than some is the denial of that many. */
    private Optional<Meant> number(int at) {
        Optional<QuickLine.Bound> bound = line.bound(at);
        int lead = bound.map(QuickLine.Bound::tokens).orElse(0);
        Optional<Integer> number =
                QuickLine.whole(line.word(at + lead).replaceFirst("\\+$", "")).filter(some -> some > 0);
        boolean open = line.word(at + lead + 1).equals("open");
        if (number.isEmpty() || !SEATS.contains(line.word(at + lead + 1)) && !open) {
            return Optional.empty();
        }
        int count = lead + 2 + there(at + lead + 2);
        int some = number.get();
        return Optional.of(
                switch (bound.map(QuickLine.Bound::kind).orElse(QuickLine.Bound.Kind.AT_LEAST)) {
                    case AT_LEAST -> seats(count, some);
                    case MORE -> seats(count, some + 1);
                    case LESS -> seats(count, some).turned();
                    case AT_MOST -> seats(count, some + 1).turned();
                });
    }

    /** "waitlist under 5", "waitlist of at most 3"; behind "no" a waitlist alone: nobody waits. */
    private Optional<Meant> waitlist(int at) {
        String word = line.word(at);
        if (word.equals("nobody") && WAITING.contains(line.word(at + 1))) {
            return Optional.of(waiting(2, 0));
        }
        if (word.equals("one") && WAITING.contains(line.word(at + 1)) || WAITLIST.contains(word)) {
            int count = word.equals("one") ? 2 : 1;
            int of = Set.of("of", "is", "with").contains(line.word(at + count)) ? 1 : 0;
            Optional<QuickLine.Bound> bound = line.bound(at + count + of);
            int lead = bound.map(QuickLine.Bound::tokens).orElse(0);
            Optional<Integer> number = QuickLine.whole(line.word(at + count + of + lead));
            if (bound.isPresent() && number.isPresent()) {
                return bounded(count + of + lead + 1, bound.get(), number.get());
            }
            return line.isDenied(at) ? Optional.of(waiting(count, 0).turned()) : Optional.empty();
        }
        return Optional.empty();
    }

    private static Optional<Meant> bounded(int count, QuickLine.Bound bound, int number) {
        return switch (bound.kind()) {
            case AT_MOST -> Optional.of(waiting(count, number));
            case LESS -> number > 0 ? Optional.of(waiting(count, number - 1)) : Optional.empty();
            case MORE -> Optional.of(waiting(count, number).turned());
            case AT_LEAST -> number > 0 ? Optional.of(waiting(count, number - 1).turned()) : Optional.empty();
        };
    }

    /** "at most 2 waiting", "fewer than 5 waiting", "2 waiting". */
    private Optional<Meant> waiting(int at) {
        Optional<QuickLine.Bound> bound = line.bound(at);
        int lead = bound.map(QuickLine.Bound::tokens).orElse(0);
        Optional<Integer> number = QuickLine.whole(line.word(at + lead));
        if (number.isEmpty() || !WAITING.contains(line.word(at + lead + 1))) {
            return Optional.empty();
        }
        return bound.isEmpty() ? Optional.of(waiting(2, number.get())) : bounded(lead + 2, bound.get(), number.get());
    }

    /** "untimed", "no set times"; "timed" or "set times" leave the untimed out. */
    private Optional<Meant> untimed(int at) {
        String word = line.word(at);
        if (word.equals("untimed")) {
            return Optional.of(timed(1).turned());
        }
        if (word.equals("timed")) {
            return Optional.of(timed(1));
        }
        return word.equals("set") && line.word(at + 1).matches("times?") ? Optional.of(timed(2)) : Optional.empty();
    }

    private static Meant timed(int tokens) {
        return Meant.of(tokens, Topic.UNTIMED, brief -> brief.timed(true))
                .denied(Topic.UNTIMED, brief -> brief.timed(false));
    }
}

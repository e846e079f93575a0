package ample.ledger.core.watch;

import ample.ledger.core.plan.PlanDate;
import ample.ledger.core.reading.OwnOpening;
import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.Registration.Offer;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.WishRound;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;

/** What the registrar, or time, brings to one student. */
public sealed interface PersonalNotice {

    /** The same for what is one notice, and for nothing else of the student. */
    String key();

    /** From when on it is of no use any more; empty for never. */
    default Optional<Instant> past() {
        return Optional.empty();
    }

    /** About a seat that is or was kept for the student. */
    sealed interface AboutOffer extends PersonalNotice {

        Offer offer();

        @Override
        default Optional<Instant> past() {
            return Optional.of(offer().until());
        }
    }

    /** A seat is kept for the student. */
    record Offered(Offer offer) implements AboutOffer {
        @Override
        public String key() {
            return "offer " + keyOf(offer);
        }
    }

    /** It is kept for some hours more only. */
    record OfferEnds(Offer offer) implements AboutOffer {
        @Override
        public String key() {
            return "offer ends " + keyOf(offer);
        }
    }

    /** It went to the next. */
    record OfferLapsed(Offer offer) implements AboutOffer {
        @Override
        public String key() {
            return "offer lapsed " + keyOf(offer);
        }

        @Override
        public Optional<Instant> past() {
            return Optional.empty();
        }
    }

    record HoldPut(Hold hold) implements PersonalNotice {
        @Override
        public String key() {
            return "hold " + keyOf(hold);
        }
    }

    record HoldLifted(Hold hold) implements PersonalNotice {
        @Override
        public String key() {
            return "hold lifted " + keyOf(hold);
        }
    }

    /** Registration opens for the student tomorrow. */
    record OpensSoon(OwnOpening opening, Schedule schedule) implements PersonalNotice {
        @Override
        public String key() {
            return "opens " + schedule.term().code() + " " + opening.opening().from();
        }

        @Override
        public Optional<Instant> past() {
            return Optional.of(opening.opening()
                    .from()
                    .atZone(schedule.institution().zone())
                    .toInstant());
        }
    }

    /** A deadline of the plan is within the week. */
    record BindsSoon(PlanDate.Binds date) implements PersonalNotice {
        @Override
        public String key() {
            return "binds %s %s %s"
                    .formatted(date.schedule().term().code(), date.rule().name(), date.date());
        }

        @Override
        public Optional<Instant> past() {
            return Optional.of(endOf(date.date(), date.schedule()));
        }
    }

    /** The places of a wish round are distributed in which the student wished something. */
    record RoundDecided(Schedule schedule, WishRound round, RoundStanding standing) implements PersonalNotice {
        @Override
        public String key() {
            return "round %s %s".formatted(schedule.term().code(), round.code());
        }
    }

    /**
     * A place that somebody gave back has come to the student.
     *
     * @param group its code
     */
    record PlaceCame(Schedule schedule, WishRound round, String group) implements PersonalNotice {
        @Override
        public String key() {
            return "place %s %s %s".formatted(schedule.term().code(), round.code(), group);
        }
    }

    private static Instant endOf(LocalDate date, Schedule schedule) {
        return date.plusDays(1).atStartOfDay(schedule.institution().zone()).toInstant();
    }

    private static String keyOf(Offer offer) {
        return offer.part() + " until " + offer.until();
    }

    private static String keyOf(Hold hold) {
        return hold.by() + " " + hold.stops() + " " + hold.since();
    }
}

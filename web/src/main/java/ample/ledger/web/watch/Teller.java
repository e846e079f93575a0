package ample.ledger.web.watch;

import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.stereotype.Component;

/** Looks whether there is something to tell. */
@Component
@ConditionalOnWebApplication
class Teller extends Rounds {

    /** In milliseconds. Whoever watches seats hears of them within two seconds. */
    private static final long PAUSE = 400;

    /** Offers that end soon need not be looked for as often. */
    private static final int ROUNDS_OF_TIME = 12;

    private final EditionTelling editions;
    private final SeatTelling seats;
    private final PersonalTelling personal;
    private int round;

    Teller(EditionTelling editions, SeatTelling seats, PersonalTelling personal) {
        super("teller", PAUSE);
        this.editions = editions;
        this.seats = seats;
        this.personal = personal;
    }

    @Override
    void round() {
        attempt(seats::tell);
        attempt(personal::tellChanges);
        attempt(editions::tell);
        attempt(personal::tellTime);
        if (round++ % ROUNDS_OF_TIME == 0) {
            attempt(personal::tellEnds);
        }
    }
}

package ample.ledger.web.watch;

import ample.ledger.store.Letters;
import ample.ledger.store.Telling;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.stereotype.Component;

/** Measures what is still to be told. It looks every ten seconds: whoever reads the measures does not wait for the database. */
@Component
@ConditionalOnWebApplication
class Waiting extends Rounds implements MeterBinder {

    private static final long PAUSE = 10_000;

    private final Letters letters;
    private final Telling telling;
    private volatile double lettersWaiting = Double.NaN;
    private volatile double editionsToTell = Double.NaN;

    Waiting(Letters letters, Telling telling) {
        super("waiting", PAUSE);
        this.letters = letters;
        this.telling = telling;
    }

    @Override
    void round() {
        lettersWaiting = letters.waiting();
        editionsToTell = telling.editionsToTell();
    }

    @Override
    public void bindTo(MeterRegistry registry) {
        Gauge.builder("ledger.letters.waiting", this, waiting -> waiting.lettersWaiting)
                .description("Letters that have not been handed to the mail server yet")
                .register(registry);
        Gauge.builder("ledger.editions.to.tell", this, waiting -> waiting.editionsToTell)
                .description("Editions of which not everybody has been told whom they concern")
                .register(registry);
    }
}

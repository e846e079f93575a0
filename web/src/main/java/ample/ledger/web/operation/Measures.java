package ample.ledger.web.operation;

import ample.ledger.web.term.Terms;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import org.springframework.stereotype.Component;

/** What is worth knowing of what is posted, beside what Spring measures of requests, connections and memory. */
@Component
class Measures implements MeterBinder {

    private final Terms terms;

    Measures(Terms terms) {
        this.terms = terms;
    }

    @Override
    public void bindTo(MeterRegistry registry) {
        Gauge.builder("ledger.terms", terms, all -> all.all().size())
                .description("Terms that can be browsed")
                .register(registry);
        Gauge.builder(
                        "ledger.sections",
                        terms,
                        all -> all.all().stream()
                                .mapToInt(posted -> posted.schedule().sections().size())
                                .sum())
                .description("Sections in the indexes")
                .register(registry);
    }
}

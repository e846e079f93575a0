package ample.ledger.web.posting;

import ample.ledger.core.edition.PostingChecks;
import ample.ledger.core.exchange.BundleReader;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.ScheduleAssembler;
import ample.ledger.store.Editions;
import java.nio.file.Path;
import java.time.Clock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Posts the bundle that the option {@code ledger.post} names, or the one that {@code ledger.demo} names unless it was
 * posted at an earlier start, before the first page is served. A bundle with faults stops
 * the start and changes nothing; warnings are logged.
 */
@Component
class PostingAtStart implements InitializingBean {

    private static final Logger LOG = LoggerFactory.getLogger(PostingAtStart.class);

    private final Editions editions;
    private final Clock clock;
    private final String bundle;
    private final String demo;
    private final String note;

    PostingAtStart(
            Editions editions,
            Clock clock,
            @Value("${ledger.post}") String bundle,
            @Value("${ledger.demo}") String demo,
            @Value("${ledger.note}") String note) {
        this.editions = editions;
        this.clock = clock;
        this.bundle = bundle;
        this.demo = demo;
        this.note = note;
    }

    @Override
    public void afterPropertiesSet() {
        if (!bundle.isBlank()) {
            post(BundleReader.read(Path.of(bundle)));
        } else if (!demo.isBlank()) {
            BundleTables tables = BundleReader.read(Path.of(demo));
            // What somebody posted since then stays current.
            if (!editions.wasPosted(tables)) {
                post(tables);
            }
        }
    }

    private void post(BundleTables tables) {
        Editions.Posting posting = editions.post(tables, note, clock.instant());
        LOG.info(
                "{}: edition {} {}",
                posting.edition().term(),
                posting.edition().number(),
                posting.posted() ? "posted" : "stands; the bundle says the same");
        PostingChecks.warningsOf(ScheduleAssembler.assemble(tables))
                .forEach(warning -> LOG.warn(
                        "{}: {}: {} {}",
                        warning.kind().label(),
                        warning.about(),
                        warning.sentence(),
                        warning.kind().why()));
    }
}

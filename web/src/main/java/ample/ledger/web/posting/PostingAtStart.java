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
 * Posts the bundle that the option {@code ledger.post} names, before the first page is served. A bundle with faults stops
 * the start and changes nothing; warnings are logged.
 */
@Component
class PostingAtStart implements InitializingBean {

    private static final Logger LOG = LoggerFactory.getLogger(PostingAtStart.class);

    private final Editions editions;
    private final Clock clock;
    private final String folder;
    private final String note;

    PostingAtStart(
            Editions editions,
            Clock clock,
            @Value("${ledger.post}") String folder,
            @Value("${ledger.note}") String note) {
        this.editions = editions;
        this.clock = clock;
        this.folder = folder;
        this.note = note;
    }

    @Override
    public void afterPropertiesSet() {
        if (folder.isBlank()) {
            return;
        }
        BundleTables tables = BundleReader.read(Path.of(folder));
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

package ample.ledger.web.posting;

import ample.ledger.core.edition.PostingChecks;
import ample.ledger.core.edition.Warning;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.store.Editions;
import ample.ledger.web.LedgerSettings;
import java.nio.file.Path;
import java.time.Clock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.stereotype.Component;

/**
 * Posts the bundle that the option {@code ledger.post} names, before the first page is served. A bundle with faults stops
 * the start and changes nothing; warnings are logged. With {@code ledger.check} it is only read and looked over.
 */
@Component
class PostingAtStart implements InitializingBean {

    private static final Logger LOG = LoggerFactory.getLogger(PostingAtStart.class);

    /** As who an edition is posted that is named when the application starts. */
    private static final String BY = "the command line";

    private final Editions editions;
    private final Clock clock;
    private final LedgerSettings settings;

    PostingAtStart(Editions editions, Clock clock, LedgerSettings settings) {
        this.editions = editions;
        this.clock = clock;
        this.settings = settings;
    }

    @Override
    public void afterPropertiesSet() {
        if (settings.post().isBlank()) {
            return;
        }
        ScheduleBundle read = read(settings.post());
        warn(read);
        if (settings.check()) {
            LOG.info("The bundle can be posted; nothing was.");
        } else {
            post(read);
        }
    }

    private static ScheduleBundle read(String path) {
        ScheduleBundle read = ScheduleBundle.read(
                Path.of(path), (file, rows) -> LOG.info("{}: {} rows read", file, "%,d".formatted(rows)));
        LOG.info(
                "{}: {} sections",
                read.schedule().term().code(),
                "%,d".formatted(read.schedule().sections().size()));
        return read;
    }

    private void post(ScheduleBundle read) {
        Editions.Posting posting = editions.post(read, settings.note(), BY, clock.instant());
        LOG.info(
                "{}: edition {} {}",
                posting.edition().term(),
                posting.edition().number(),
                posting.posted() ? "posted" : "stands; the bundle says the same");
    }

    private static void warn(ScheduleBundle read) {
        for (Warning warning : PostingChecks.warningsOf(read.schedule())) {
            LOG.warn(
                    "{}: {}: {} {} ({})",
                    warning.kind().label(),
                    warning.about(),
                    warning.sentence(),
                    warning.kind().why(),
                    warning.where(read.tables()));
        }
    }
}

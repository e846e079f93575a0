package ample.ledger.web.guest;

import ample.ledger.store.OwnData;
import ample.ledger.store.Visitors;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** Forgets who has not come for as long as things are kept, every ten minutes; several instances do so without being in each other's way. */
@Component
@ConditionalOnWebApplication
class KeptSweep {

    private static final Logger LOG = LoggerFactory.getLogger(KeptSweep.class);

    private final Visitors visitors;
    private final OwnData ownData;

    KeptSweep(Visitors visitors, OwnData ownData) {
        this.visitors = visitors;
        this.ownData = ownData;
    }

    @Scheduled(initialDelay = 1, fixedDelay = 10, timeUnit = TimeUnit.MINUTES)
    void sweep() {
        try {
            note(visitors.sweep(), "guests");
            note(ownData.deleteLongGone(), "students");
        } catch (DataAccessException | TransactionException away) {
            LOG.debug("They are forgotten another time: {}", away.getMessage());
        }
    }

    private static void note(int gone, String who) {
        if (gone > 0) {
            LOG.info("{} {} who have not come for long are forgotten", gone, who);
        }
    }
}

package ample.ledger.web.guest;

import ample.ledger.store.Visitors;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** Forgets guests who have not come for long, every ten minutes; several instances do so without being in each other's way. */
@Component
@ConditionalOnWebApplication
class GuestSweep {

    private static final Logger LOG = LoggerFactory.getLogger(GuestSweep.class);

    private final Visitors visitors;

    GuestSweep(Visitors visitors) {
        this.visitors = visitors;
    }

    @Scheduled(initialDelay = 1, fixedDelay = 10, timeUnit = TimeUnit.MINUTES)
    void sweep() {
        try {
            int gone = visitors.sweep();
            if (gone > 0) {
                LOG.info("{} guests who have not come for long are forgotten", gone);
            }
        } catch (DataAccessException | TransactionException away) {
            LOG.debug("Guests are swept another time: {}", away.getMessage());
        }
    }
}

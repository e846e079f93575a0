package ample.ledger.web.ready;

import java.util.concurrent.TimeUnit;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Lets what was not answered be asked again, every two seconds; several instances do so without being in each other's way. */
@Component
@ConditionalOnWebApplication
class AskingAgain {

    private final Handing handing;

    AskingAgain(Handing handing) {
        this.handing = handing;
    }

    @Scheduled(initialDelay = 5, fixedDelay = 2, timeUnit = TimeUnit.SECONDS)
    void again() {
        handing.again();
    }
}

package ample.ledger.web.posting;

import ample.ledger.core.exchange.FaultyBundleException;
import ample.ledger.store.PostingUnderWayException;
import org.springframework.boot.SpringBootExceptionReporter;

/**
 * Says in plain sentences, and in no more, why a bundle was not posted and the application not started. Named in
 * {@code META-INF/spring.factories}.
 */
final class RefusedPostingReporter implements SpringBootExceptionReporter {

    @Override
    public boolean reportException(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof FaultyBundleException faulty) {
                System.err.println("The bundle was not posted; nothing has changed. Its faults:");
                faulty.faults().forEach(fault -> System.err.println("  " + fault));
                return true;
            }
            if (cause instanceof PostingUnderWayException told) {
                System.err.println(told.getMessage());
                return true;
            }
        }
        return false;
    }
}

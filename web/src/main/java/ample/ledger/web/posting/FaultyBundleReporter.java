package ample.ledger.web.posting;

import ample.ledger.core.exchange.FaultyBundleException;
import org.springframework.boot.SpringBootExceptionReporter;

/**
 * Says in plain sentences, and in no more, what is wrong with a bundle that kept the application from starting. Named in
 * {@code META-INF/spring.factories}.
 */
final class FaultyBundleReporter implements SpringBootExceptionReporter {

    @Override
    public boolean reportException(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof FaultyBundleException faulty) {
                System.err.println("The bundle was not posted; nothing has changed. What is wrong with it:");
                faulty.faults().forEach(fault -> System.err.println("  " + fault));
                return true;
            }
        }
        return false;
    }
}

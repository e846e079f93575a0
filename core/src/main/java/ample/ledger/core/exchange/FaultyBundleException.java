package ample.ledger.core.exchange;

import java.util.List;
import java.util.stream.Collectors;

/** A bundle could not be read; it says everything that is wrong with it, and nothing of it was taken. */
public final class FaultyBundleException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<Fault> faults;

    /** @param faults at least one */
    public FaultyBundleException(List<Fault> faults) {
        super(faults.stream().map(Fault::toString).collect(Collectors.joining("\n")));
        this.faults = List.copyOf(faults);
    }

    public List<Fault> faults() {
        return faults;
    }
}

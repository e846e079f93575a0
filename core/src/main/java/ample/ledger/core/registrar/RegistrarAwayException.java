package ample.ledger.core.registrar;

import java.time.Instant;

/** The institution's own systems do not answer for the moment, or not in a way that can be understood. */
public final class RegistrarAwayException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final Instant since;

    /** @param since when they answered last, or when they were asked first */
    public RegistrarAwayException(Instant since, Throwable why) {
        super("The registrar does not answer", why);
        this.since = since;
    }

    public Instant since() {
        return since;
    }
}

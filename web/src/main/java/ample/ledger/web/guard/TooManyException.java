package ample.ledger.web.guard;

import java.time.Duration;

/** That somebody asks for more than can be done for one. Its message is a sentence for them. */
public final class TooManyException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final long seconds;

    /** @param wait until it makes sense to ask again */
    public TooManyException(String sentence, Duration wait) {
        super(sentence);
        this.seconds = Math.max(1, wait.plusMillis(999).toSeconds());
    }

    /** After how many seconds it makes sense to ask again; at least 1. */
    public long seconds() {
        return seconds;
    }
}

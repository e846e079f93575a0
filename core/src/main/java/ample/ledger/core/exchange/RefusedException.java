package ample.ledger.core.exchange;

import java.io.IOException;

/** A file of a bundle that is refused for what it is, before its contents are looked at. */
final class RefusedException extends IOException {

    private static final long serialVersionUID = 1L;

    private final String file;
    private final String sentence;

    RefusedException(String file, String sentence) {
        super(sentence);
        this.file = file;
        this.sentence = sentence;
    }

    String file() {
        return file;
    }

    String sentence() {
        return sentence;
    }
}

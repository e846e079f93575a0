package ample.ledger.core.exchange;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** Bytes of a file, up to a limit; one more is refused, whatever the file said of its own size. */
final class LimitedInputStream extends FilterInputStream {

    private final String file;
    private final long limit;
    private long count;

    LimitedInputStream(String file, InputStream in, long limit) {
        super(in);
        this.file = file;
        this.limit = limit;
    }

    @Override
    public int read() throws IOException {
        int read = super.read();
        if (read >= 0) {
            add(1);
        }
        return read;
    }

    @Override
    public int read(byte[] bytes, int offset, int length) throws IOException {
        int read = super.read(bytes, offset, length);
        if (read > 0) {
            add(read);
        }
        return read;
    }

    @Override
    public boolean markSupported() {
        return false;
    }

    private void add(int read) throws RefusedException {
        count += read;
        if (count > limit) {
            throw new RefusedException(
                    file, "It holds more than %,d bytes; no table of a bundle is that large.".formatted(limit));
        }
    }
}

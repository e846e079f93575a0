package ample.ledger.core.exchange;

import java.io.FilterReader;
import java.io.IOException;
import java.io.Reader;

/**
 * Watches CSV go by for a quotation mark that is never closed. A reader of CSV takes all that follows such a mark for one cell, to the end of
 * the file.
 */
final class OpenQuotation extends FilterReader {

    private int line = 1;
    private int openedAt;
    private boolean quoted;
    private boolean ended;
    private boolean cellBegins = true;
    private char last = '\n';

    OpenQuotation(Reader csv) {
        super(csv);
    }

    /** The line in which the mark stands that is open at the end of the file, counted from 1; 0 before the end, and where none is. */
    int line() {
        return quoted && ended ? openedAt : 0;
    }

    @Override
    public int read() throws IOException {
        int next = super.read();
        if (next >= 0) {
            see((char) next);
        }
        ended |= next < 0;
        return next;
    }

    @Override
    public int read(char[] into, int from, int most) throws IOException {
        int count = super.read(into, from, most);
        for (int i = 0; i < count; i++) {
            see(into[from + i]);
        }
        ended |= count < 0;
        return count;
    }

    /** RFC 4180: a cell that begins with a mark goes on to the next one; two marks within are one that is meant. */
    private void see(char next) {
        if (next == '"' && quoted) {
            quoted = false;
        } else if (next == '"' && (cellBegins || last == '"')) {
            openedAt = cellBegins ? line : openedAt;
            quoted = true;
        }
        cellBegins = !quoted && (next == ',' || next == '\n' || next == '\r');
        if (next == '\n' && last != '\r' || next == '\r') {
            line++;
        }
        last = next;
    }
}

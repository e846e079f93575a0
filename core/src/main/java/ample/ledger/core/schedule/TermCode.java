package ample.ledger.core.schedule;

/** Names a term in files and addresses, as in {@code autumn-2031}. Whether there is one of that name it does not say. */
public record TermCode(String text) implements Comparable<TermCode> {

    @Override
    public int compareTo(TermCode other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}

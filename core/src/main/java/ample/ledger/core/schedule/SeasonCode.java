package ample.ledger.core.schedule;

/** Names a season in files and addresses, as in {@code autumn-2031}. Whether there is one of that name it does not say. */
public record SeasonCode(String text) implements Comparable<SeasonCode> {

    @Override
    public int compareTo(SeasonCode other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}

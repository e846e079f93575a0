package ample.ledger.core.schedule;

/** Names a campus in files and addresses, as in {@code upper-fell}. Whether there is one of that name it does not say. */
public record CampusCode(String text) implements Comparable<CampusCode> {

    @Override
    public int compareTo(CampusCode other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}

package ample.ledger.core.browse.quick;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Finds in a line of text the name of a term, or of an institution, that is browsed at another address. */
public final class QuickPlaces {

    private final List<Named> named;

    /**
     * What can be browsed.
     *
     * @param name as it is written: "Spring 2032"
     * @param path the beginning of its addresses
     */
    public record Named(String name, String path) {}

    /**
     * A place that a line names.
     *
     * @param words of the line that name it
     * @param rest the line without them
     */
    public record Found(String words, Named place, String rest) {}

    public QuickPlaces(List<Named> named) {
        this.named = named.stream()
                .sorted(Comparator.comparing((Named one) -> one.name().length()).reversed())
                .toList();
    }

    /** The longest name in {@code text}; none where the line denies it. */
    public Optional<Found> find(String text) {
        List<QuickToken> tokens = QuickToken.of(text);
        QuickLine line = new QuickLine(tokens);
        for (Named place : named) {
            List<QuickToken> name = QuickToken.of(place.name());
            String plain = new QuickLine(name).phrase(0, name.size());
            for (int at = 0; !name.isEmpty() && at + name.size() <= tokens.size(); at++) {
                if (!line.isDenied(at) && line.phrase(at, name.size()).equals(plain)) {
                    int start = tokens.get(at).start();
                    int end = tokens.get(at + name.size() - 1).end();
                    String rest = text.substring(0, start).stripTrailing() + " "
                            + text.substring(end).stripLeading();
                    return Optional.of(new Found(text.substring(start, end), place, rest.strip()));
                }
            }
        }
        return Optional.empty();
    }
}

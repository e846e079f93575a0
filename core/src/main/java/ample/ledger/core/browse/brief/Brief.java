package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Facet;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a student is looking for: a list of conditions, all of which must hold. At most one about each topic, in the
 * order of {@link Topic}. Without conditions it asks for everything posted.
 */
public record Brief(List<Condition> conditions) {

    /** Asks for everything. */
    public static final Brief EVERYTHING = new Brief(List.of());

    /** @throws IllegalArgumentException when two conditions are about one topic */
    public Brief {
        Map<Topic, Condition> byTopic = new EnumMap<>(Topic.class);
        for (Condition condition : conditions) {
            Condition other = byTopic.put(condition.topic(), condition);
            if (other != null) {
                throw new IllegalArgumentException("Two conditions on one topic: " + other + " and " + condition);
            }
        }
        conditions = List.copyOf(byTopic.values());
    }

    public static Brief of(Condition... conditions) {
        return new Brief(List.of(conditions));
    }

    public Optional<Condition> about(Topic topic) {
        return conditions.stream()
                .filter(condition -> condition.topic() == topic)
                .findFirst();
    }

    /** This brief's condition of that type, where it has one. */
    public <C extends Condition> Optional<C> condition(Class<C> type) {
        return conditions.stream().filter(type::isInstance).map(type::cast).findFirst();
    }

    /** The values of {@code facet} that it asks for; none where it asks for none, or for all but some. */
    public Set<String> codes(Facet facet) {
        return about(Topic.of(facet)).orElse(null) instanceof Having having ? having.codes() : Set.of();
    }

    /** This brief with {@code condition} in the place of the one about the same topic. */
    public Brief with(Condition condition) {
        return new Brief(Stream.concat(without(condition.topic()).conditions.stream(), Stream.of(condition))
                .toList());
    }

    /** This brief without its condition about {@code topic}. */
    public Brief without(Topic topic) {
        return new Brief(conditions.stream()
                .filter(condition -> condition.topic() != topic)
                .toList());
    }

    public boolean isEmpty() {
        return conditions.isEmpty();
    }

    /** How it is written in an address: value by parameter, in order. */
    public Map<String, String> parameters() {
        Map<String, String> parameters = new LinkedHashMap<>();
        conditions.forEach(condition -> condition
                .parameters()
                .forEach(
                        (parameter, value) -> parameters.merge(parameter, value, (before, one) -> before + "," + one)));
        return Collections.unmodifiableMap(parameters);
    }
}

package ample.ledger.core.browse;

import ample.ledger.core.schedule.Schedule;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A property with a short list of values, such as the subject or the campus: what can be asked for by ticking some of them.
 */
public sealed interface Facet permits CourseFacet, SectionFacet, SetFacet {

    String name();

    /** What it is called, and what its values are. */
    Traits traits();

    default Condition.Topic topic() {
        return traits().topic();
    }

    /** Of an address. */
    default String parameter() {
        return traits().parameter();
    }

    /** Every value that {@code schedule} knows, in the order to show them. */
    default List<Value> values(Schedule schedule) {
        return traits().values().apply(schedule);
    }

    /** The condition that it has one of these values or, with {@link Match#ALL}, every one. */
    Condition having(Set<String> codes, Match match);

    /**
     * What tells one facet from another in words.
     *
     * @param parameter of an address: {@code subject}
     * @param plural several of its values: "subjects"
     * @param lead what leads to its values in a sentence: "in", "at"
     */
    record Traits(
            Condition.Topic topic,
            String parameter,
            String plural,
            String lead,
            Function<Schedule, List<Value>> values) {}

    /** A value of a facet: its code in files and addresses, and its name. */
    record Value(String code, String name) {}

    /** How many of the values asked for there must be. */
    enum Match {
        ANY,
        ALL
    }

    /** Every facet, in the order of topics. */
    static List<Facet> all() {
        return Stream.of(CourseFacet.values(), SectionFacet.values(), SetFacet.values())
                .<Facet>flatMap(Arrays::stream)
                .sorted((one, other) -> one.topic().compareTo(other.topic()))
                .toList();
    }

    /** The facet that a topic is about, where it is about one. */
    static Optional<Facet> about(Condition.Topic topic) {
        return all().stream().filter(facet -> facet.topic() == topic).findFirst();
    }
}

package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.schedule.Coded;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a condition is about, in the order in which a brief tells and an account subtracts. Each topic knows the parameters that
 * an address has for it, and how its condition is read from them.
 */
public enum Topic implements Coded {
    SUBJECT(Facet.SUBJECT),
    DEPARTMENT(Facet.DEPARTMENT),
    PROGRAMME(Facet.PROGRAMME),
    NUMBER(Numbers.PARAMETERS, Numbers::read),
    WORDS(Mentioning.PARAMETERS, Mentioning::read),
    ENTRY(Entries.PARAMETERS, Entries::read),
    LEVEL(Facet.LEVEL),
    CREDITS(Facet.CREDITS),
    KIND(Facet.KIND),
    INSTRUCTOR(Facet.INSTRUCTOR),
    CAMPUS(Facet.CAMPUS),
    BUILDING(Facet.BUILDING),
    DAYS(OnDays.PARAMETERS, OnDays::read),
    TIMES(Between.PARAMETERS, Between::read),
    CLOSED(Closed.PARAMETERS, Closed::read),
    UNTIMED(Timed.PARAMETERS, Timed::read),
    SPAN(Facet.SPAN),
    DATES(Dates.PARAMETERS, Dates::read),
    DELIVERY(Facet.DELIVERY),
    LANGUAGE(Facet.LANGUAGE),
    REQUIREMENT(Facet.REQUIREMENT),
    STILL_OWED(Facet.STILL_OWED),
    PREREQUISITE(Facet.PREREQUISITE),
    MAY_TAKE(Facet.MAY_TAKE),
    ON_RECORD(Facet.ON_RECORD),
    MATERIALS(Facet.MATERIALS),
    SEATS(Seats.PARAMETERS, Seats::read),
    STATUS(Facet.STATUS),
    PLAN(ClearOf.PARAMETERS, ClearOf::read);

    private static final Map<Facet, Topic> BY_FACET = Arrays.stream(values())
            .filter(topic -> topic.facet().isPresent())
            .collect(Collectors.toMap(
                    topic -> topic.facet().orElseThrow(),
                    UnaryOperator.identity(),
                    (one, other) -> one,
                    () -> new EnumMap<>(Facet.class)));

    private final List<Parameter> parameters;
    private final Function<AddressReader, Optional<Condition>> reader;
    private final Optional<Facet> facet;

    Topic(Facet facet) {
        this.parameters = List.of(facet.parameter());
        this.reader = address -> Having.read(address, facet);
        this.facet = Optional.of(facet);
    }

    Topic(List<Parameter> parameters, Function<AddressReader, Optional<Condition>> reader) {
        this.parameters = parameters;
        this.reader = reader;
        this.facet = Optional.empty();
    }

    /** The topic that is about {@code facet}. */
    public static Topic of(Facet facet) {
        return Objects.requireNonNull(BY_FACET.get(facet));
    }

    /** The facet that it is about, where it is about one. */
    public Optional<Facet> facet() {
        return facet;
    }

    /** Every parameter of an address that belongs to a brief, in the order in which a brief tells. */
    public static List<Parameter> allParameters() {
        return Stream.concat(
                        Arrays.stream(values()).flatMap(topic -> topic.parameters.stream()), Stream.of(Not.PARAMETER))
                .toList();
    }

    /** The condition that the address has; empty where it has none, or none that can be understood. */
    Optional<Condition> read(AddressReader address) {
        return reader.apply(address);
    }
}

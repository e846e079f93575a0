package ample.ledger.core.browse;

import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.reading.Status;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Span;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * A facet that every section of a complete set must be asked about: who takes the lecture at one campus has to take its lab
 * somewhere too. A section has one value of it.
 */
public enum SetFacet implements Facet {
    CAMPUS(
            Condition.Topic.CAMPUS,
            "at",
            "campuses",
            "at",
            (section, seats) -> section.campus().code(),
            schedule -> schedule.campuses().stream().map(SetFacet::value).toList()),
    /** As the span is called; its dates are asked for by {@link SetCondition.Dates}. */
    SPAN(
            Condition.Topic.SPAN,
            "span",
            "spans",
            "running",
            (section, seats) -> section.span().code(),
            schedule -> schedule.sections().stream()
                    .map(Section::span)
                    .distinct()
                    .sorted(Comparator.comparing((Span span) -> span.dates().first())
                            .thenComparing(span -> span.dates().last())
                            .thenComparing(Span::code))
                    .map(span -> new Value(span.code(), span.name().toLowerCase(Locale.ROOT)))
                    .distinct()
                    .toList()),
    /** As the meetings say. */
    DELIVERY(
            Condition.Topic.DELIVERY,
            "delivery",
            "deliveries",
            "taught",
            (section, seats) -> section.delivery().code(),
            schedule -> Arrays.stream(Delivery.values())
                    .map(delivery -> new Value(delivery.code(), delivery.label()))
                    .toList()),
    LANGUAGE(
            Condition.Topic.LANGUAGE,
            "language",
            "languages",
            "held in",
            (section, seats) -> section.language().toLanguageTag(),
            schedule -> schedule.sections().stream()
                    .map(Section::language)
                    .distinct()
                    .sorted(Comparator.comparing(Locale::toLanguageTag))
                    .map(language -> new Value(language.toLanguageTag(), language.getDisplayName(Locale.ENGLISH)))
                    .toList()),
    MATERIALS(
            Condition.Topic.MATERIALS,
            "materials",
            "kinds of materials",
            "with",
            (section, seats) -> section.freeMaterials() ? "free" : "paid",
            schedule -> List.of(new Value("free", "free materials"), new Value("paid", "materials to pay for"))),
    /** As seats stand at the moment of asking. */
    STATUS(
            Condition.Topic.STATUS,
            "status",
            "statuses",
            "now",
            (section, seats) -> Status.of(section, seats).code(),
            schedule -> Status.OF_SEATS.stream()
                    .map(status -> new Value(status.code(), status.label()))
                    .toList());

    private final Traits traits;
    private final BiFunction<Section, SeatAccount, String> code;

    SetFacet(
            Condition.Topic topic,
            String parameter,
            String plural,
            String lead,
            BiFunction<Section, SeatAccount, String> code,
            Function<Schedule, List<Value>> values) {
        this.traits = new Traits(topic, parameter, plural, lead, values);
        this.code = code;
    }

    @Override
    public Traits traits() {
        return traits;
    }

    /** @throws IllegalArgumentException when all are asked for: a section has but one value */
    @Override
    public SetCondition.Having having(Set<String> wanted, Match match) {
        if (match == Match.ALL && wanted.size() > 1) {
            throw new IllegalArgumentException(
                    "A section has one value of " + parameter() + ", never all of " + wanted);
        }
        return new SetCondition.Having(this, wanted);
    }

    /** The value that the section has while its seats stand like this. */
    String codeOf(Section section, SeatAccount seats) {
        return code.apply(section, seats);
    }

    private static Value value(Campus campus) {
        return new Value(campus.code(), campus.name());
    }
}

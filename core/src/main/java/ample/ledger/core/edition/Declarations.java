package ample.ledger.core.edition;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.code.CodeKey;
import ample.ledger.core.schedule.Marks;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a posting declares in one place and contradicts in another. */
final class Declarations {

    private Declarations() {}

    static Stream<Warning> of(Schedule schedule) {
        List<Warning> warnings = new ArrayList<>();
        for (Section section : schedule.sections()) {
            delivery(section).forEach(warnings::add);
            dates(section).forEach(warnings::add);
            codes(section, schedule.codeKey()).forEach(warnings::add);
        }
        schedule.sections().stream()
                .map(Section::pool)
                .distinct()
                .flatMap(Declarations::held)
                .forEach(warnings::add);
        requirements(schedule).forEach(warnings::add);
        return warnings.stream();
    }

    private static Stream<Warning> delivery(Section section) {
        return section.delivery() == section.declared()
                ? Stream.empty()
                : Stream.of(Warning.ofSections(
                        Warning.Kind.DELIVERY_CONTRADICTED,
                        "Declared %s; its meetings are %s."
                                .formatted(
                                        section.declared().label(),
                                        section.delivery().label()),
                        section));
    }

    private static Stream<Warning> dates(Section section) {
        DateRange span = section.span().dates();
        return section.meetings().stream()
                .map(meeting -> held(meeting.timing()))
                .filter(held -> !span.contains(held.first()) || !span.contains(held.last()))
                .map(held -> Warning.ofSections(
                        Warning.Kind.OUTSIDE_SPAN,
                        "It meets from %s to %s; its span is %s to %s."
                                .formatted(held.first(), held.last(), span.first(), span.last()),
                        section));
    }

    private static DateRange held(Timing timing) {
        if (timing instanceof Timing.Once once) {
            return new DateRange(once.date(), once.date());
        }
        return timing instanceof Timing.Weekly weekly ? weekly.dates() : ((Timing.Arranged) timing).dates();
    }

    private static Stream<Warning> codes(Section section, CodeKey key) {
        Marks marks = section.marks();
        String unexplained = Stream.of(
                        unexplained(key, "course", Stream.of(section.course().written())),
                        unexplained(key, "section", Stream.of(section.code())),
                        unexplained(key, "span", section.span().mark().stream()),
                        unexplained(key, "kind", marks.kind().stream()),
                        unexplained(key, "status", marks.status().stream()),
                        unexplained(key, "attribute", marks.attributes().stream()))
                .flatMap(parts -> parts)
                .collect(Collectors.joining(", "));
        return unexplained.isEmpty()
                ? Stream.empty()
                : Stream.of(Warning.ofSections(
                        Warning.Kind.CODE_NOT_EXPLAINED, "The code key does not have " + unexplained + ".", section));
    }

    private static Stream<String> unexplained(CodeKey key, String sort, Stream<String> codes) {
        return codes.flatMap(code -> key.takeApart(sort, code).stream())
                .filter(part -> !part.explained())
                .map(part -> "“" + part.text() + "”");
    }

    private static Stream<Warning> held(SeatPool pool) {
        int held = pool.held().stream().mapToInt(SeatPool.Held::seats).sum();
        return held <= pool.capacity()
                ? Stream.empty()
                : Stream.of(Warning.ofPool(
                        Warning.Kind.HELD_BEYOND_CAPACITY,
                        "%d seats are held of %d.".formatted(held, pool.capacity()),
                        pool));
    }

    private static Stream<Warning> requirements(Schedule schedule) {
        Set<String> offered = schedule.sections().stream()
                .filter(section -> !section.cancelled())
                .flatMap(section -> section.course().requirements().stream())
                .collect(Collectors.toSet());
        return schedule.requirements().stream()
                .filter(requirement -> !offered.contains(requirement.code()))
                .map(requirement -> Warning.ofRequirement(
                        Warning.Kind.REQUIREMENT_NOT_OFFERED,
                        "No section of %s counts toward it."
                                .formatted(schedule.term().name()),
                        requirement));
    }
}

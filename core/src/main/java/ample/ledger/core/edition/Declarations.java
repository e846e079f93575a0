package ample.ledger.core.edition;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.code.CodeKey;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.List;
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
                : Stream.of(new Warning(
                        Warning.Kind.DELIVERY_CONTRADICTED,
                        section.toString(),
                        "Declared %s; its meetings are %s."
                                .formatted(
                                        section.declared().label(),
                                        section.delivery().label())));
    }

    private static Stream<Warning> dates(Section section) {
        DateRange span = section.span().dates();
        return section.meetings().stream()
                .map(meeting -> held(meeting.timing()))
                .filter(held -> !span.contains(held.first()) || !span.contains(held.last()))
                .map(held -> new Warning(
                        Warning.Kind.OUTSIDE_SPAN,
                        section.toString(),
                        "It meets from %s to %s; its span is %s to %s."
                                .formatted(held.first(), held.last(), span.first(), span.last())));
    }

    private static DateRange held(Timing timing) {
        if (timing instanceof Timing.Once once) {
            return new DateRange(once.date(), once.date());
        }
        return timing instanceof Timing.Weekly weekly ? weekly.dates() : ((Timing.Arranged) timing).dates();
    }

    private static Stream<Warning> codes(Section section, CodeKey key) {
        String unexplained = Stream.concat(
                        key.takeApart("course", section.course().code().toString()).stream(),
                        key.takeApart("section", section.code()).stream())
                .filter(part -> !part.explained())
                .map(part -> "“" + part.text() + "”")
                .collect(Collectors.joining(", "));
        return unexplained.isEmpty()
                ? Stream.empty()
                : Stream.of(new Warning(
                        Warning.Kind.CODE_NOT_EXPLAINED,
                        section.toString(),
                        "The code key does not have " + unexplained + "."));
    }

    private static Stream<Warning> held(SeatPool pool) {
        int held = pool.held().stream().mapToInt(SeatPool.Held::seats).sum();
        return held <= pool.capacity()
                ? Stream.empty()
                : Stream.of(new Warning(
                        Warning.Kind.HELD_BEYOND_CAPACITY,
                        "Pool " + pool.code(),
                        "%d seats are held of %d.".formatted(held, pool.capacity())));
    }

    private static Stream<Warning> requirements(Schedule schedule) {
        return schedule.requirements().stream()
                .filter(requirement -> schedule.sections().stream()
                        .filter(section -> !section.cancelled())
                        .noneMatch(section -> section.course().requirements().contains(requirement.code())))
                .map(requirement -> new Warning(
                        Warning.Kind.REQUIREMENT_NOT_OFFERED,
                        requirement.name(),
                        "No section of " + schedule.term().name() + " counts toward it."));
    }
}

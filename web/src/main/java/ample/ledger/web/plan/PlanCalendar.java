package ample.ledger.web.plan;

import ample.ledger.core.exchange.CalendarFile;
import ample.ledger.core.plan.PlanDate;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A plan as a calendar file.
 *
 * @param now the moment it is made
 */
record PlanCalendar(Terms terms, Instant now) {

    /** @param dates for whom the dates are given that bind, with openings and the ends of offers; empty to leave all of them out */
    String of(PlannedWeek week, Optional<Visit> dates) {
        return CalendarFile.of(
                week.attended(),
                dates.map(visit -> dates(week, visit)).orElse(List.of()),
                term -> terms.get(term).edition().number(),
                now);
    }

    private List<PlanDate> dates(PlannedWeek week, Visit visit) {
        Stream<PlanDate> kept = visit.registration().stream()
                .flatMap(has -> has.offers().stream())
                .flatMap(offer -> offer.part().in(week.posted()).stream()
                        .filter(part ->
                                part.term().season().code().equals(week.plan().season()))
                        .map(part -> new PlanDate.SeatKept(
                                part,
                                LocalDateTime.ofInstant(
                                        offer.until(),
                                        part.schedule().institution().zone()))));
        return Stream.concat(
                        PlanDate.of(
                                week,
                                attendance -> visit.reading(
                                        terms.get(attendance.term().code()), attendance.section()))
                                .stream(),
                        kept)
                .toList();
    }
}

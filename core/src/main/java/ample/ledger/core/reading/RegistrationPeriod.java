package ample.ledger.core.reading;

import ample.ledger.core.schedule.BindingRule;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/**
 * When one can register for a term.
 *
 * @param from the first opening; the first day of the term where none is posted
 * @param until the end of the last day on which a section can be added; that of the term where none is posted
 */
public record RegistrationPeriod(LocalDateTime from, LocalDateTime until) {

    public static RegistrationPeriod of(Schedule schedule) {
        LocalDateTime from = schedule.lists().openings().stream()
                .map(Opening::from)
                .min(Comparator.naturalOrder())
                .orElse(schedule.term().dates().first().atStartOfDay());
        LocalDateTime until = schedule.spans().stream()
                .flatMap(span -> BindingDate.of(span, schedule.lists().bindingRules()).stream())
                .filter(date -> date.rule().purpose() == BindingRule.Purpose.ADD)
                .map(BindingDate::date)
                .max(Comparator.naturalOrder())
                .orElse(schedule.term().dates().last())
                .plusDays(1)
                .atStartOfDay();
        return new RegistrationPeriod(from, until);
    }

    /**
     * The term that matters most at a moment: the one that can be registered for, the first to begin where several can; else the one for which
     * that comes next; else the last one.
     *
     * @param terms of one institution; at least one
     * @param now on its wall clock
     */
    public static Schedule mostUrgent(Collection<Schedule> terms, LocalDateTime now) {
        Optional<Schedule> open = terms.stream()
                .filter(term -> of(term).contains(now))
                .min(Comparator.comparing(term -> term.term().dates().first()));
        Optional<Schedule> next = terms.stream()
                .filter(term -> now.isBefore(of(term).from()))
                .min(Comparator.comparing(term -> of(term).from()));
        return open.or(() -> next)
                .or(() -> terms.stream()
                        .max(Comparator.comparing(term -> term.term().dates().first())))
                .orElseThrow();
    }

    private boolean contains(LocalDateTime moment) {
        return !moment.isBefore(from) && moment.isBefore(until);
    }
}

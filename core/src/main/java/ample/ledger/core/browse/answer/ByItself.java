package ample.ledger.core.browse.answer;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Moment;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Sections that fit by their own days, where none fits by the days of everything it is taken with: labs on Friday, whose lectures are on
 * other days.
 *
 * @param brief the same, with each section by itself
 * @param sections how many fit it; more than 0
 * @param kind the code of the only kind that was asked for; empty where several were, or none
 */
public record ByItself(Brief brief, OnDays days, int sections, Optional<String> kind) {

    /** Empty where something fits, where the days do not matter, and where nothing fits by itself either. */
    public static Optional<ByItself> of(SeasonFindings findings, List<Moment> moments) {
        Brief asked = findings.brief();
        Optional<OnDays> days = asked.condition(OnDays.class).filter(condition -> !condition.alone());
        if (findings.size() > 0 || days.isEmpty()) {
            return Optional.empty();
        }
        Brief alone = asked.with(days.get().byItself());
        Set<String> kinds = asked.codes(Facet.KIND);
        return Optional.of(new ByItself(
                        alone,
                        days.get(),
                        SeasonFindings.count(moments, alone),
                        kinds.size() == 1 ? kinds.stream().findFirst() : Optional.empty()))
                .filter(some -> some.sections() > 0);
    }
}

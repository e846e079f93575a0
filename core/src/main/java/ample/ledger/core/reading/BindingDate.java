package ample.ledger.core.reading;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.schedule.BindingRule;
import ample.ledger.core.schedule.BindingRule.Reckoning;
import ample.ledger.core.schedule.Span;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * One of the dates that bind a section: a deadline that a rule of the institution gives to sections of its span.
 *
 * @param rule the rule it comes of
 * @param date the last day on which it can be done; for the census the day itself
 */
public record BindingDate(BindingRule rule, LocalDate date) {

    /**
     * The dates that {@code rules} give to sections of {@code span}, in order. For each purpose the rules for just this span
     * count, and where there is none those for all spans.
     */
    public static List<BindingDate> of(Span span, Collection<BindingRule> rules) {
        return Arrays.stream(BindingRule.Purpose.values())
                .flatMap(purpose -> rulesFor(span, purpose, rules))
                .map(rule -> new BindingDate(rule, date(rule.reckoning(), span.dates())))
                .sorted(Comparator.comparing(BindingDate::date))
                .toList();
    }

    private static Stream<BindingRule> rulesFor(Span span, BindingRule.Purpose purpose, Collection<BindingRule> rules) {
        List<BindingRule> ofPurpose =
                rules.stream().filter(rule -> rule.purpose() == purpose).toList();
        List<BindingRule> own = ofPurpose.stream()
                .filter(rule -> rule.span().filter(span.code()::equals).isPresent())
                .toList();
        return own.isEmpty() ? ofPurpose.stream().filter(rule -> rule.span().isEmpty()) : own.stream();
    }

    private static LocalDate date(Reckoning reckoning, DateRange dates) {
        if (reckoning instanceof Reckoning.DaysAfterFirst after) {
            return dates.first().plusDays(after.days());
        }
        if (reckoning instanceof Reckoning.Fixed fixed) {
            return fixed.date();
        }
        BigDecimal days = BigDecimal.valueOf(ChronoUnit.DAYS.between(dates.first(), dates.last()) + 1);
        int over = ((Reckoning.ShareOfSpan) reckoning)
                .share()
                .multiply(days)
                .setScale(0, RoundingMode.CEILING)
                .intValueExact();
        return dates.first().plusDays(Math.max(over - 1, 0));
    }
}

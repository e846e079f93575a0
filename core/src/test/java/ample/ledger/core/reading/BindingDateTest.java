package ample.ledger.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.BindingRule;
import ample.ledger.core.schedule.BindingRule.Purpose;
import ample.ledger.core.schedule.BindingRule.Reckoning;
import ample.ledger.core.schedule.Span;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BindingDateTest {

    private static final LocalDate FIRST = LocalDate.of(2031, 9, 8);

    /**
     * The published points, of spans of several lengths: the census at 20 percent (California Code of Regulations title 5,
     * §58004), the last day to withdraw at 75 percent (§55024), aid earned in full at 60 percent (34 CFR 668.22). The shares are
     * from memory; so is that the last of them leaves out long breaks, which a rule here would have to state by date.
     */
    @ParameterizedTest
    @CsvSource({
        "0.2, 100, 2031-09-27",
        "0.75, 100, 2031-11-21",
        "0.6, 100, 2031-11-06",
        "0.2, 103, 2031-09-28",
        "0.2, 47, 2031-09-17",
        "0.6, 5, 2031-09-10",
        "0, 47, 2031-09-08",
        "1, 47, 2031-10-24"
    })
    void shareOfTheSpanIsOverOnThatDay(BigDecimal share, int days, LocalDate date) {
        Span span = span("full-term", days);

        assertThat(BindingDate.of(span, List.of(rule("", Purpose.CENSUS, new Reckoning.ShareOfSpan(share)))))
                .extracting(BindingDate::date)
                .containsExactly(date);
    }

    /** By counting: the first day on which at least the share of the days is over. */
    @Property
    void shareIsTheFirstDayOnWhichItIsOver(
            @ForAll @IntRange(min = 1, max = 250) int days, @ForAll @IntRange(max = 100) int percent) {
        LocalDate date = BindingDate.of(
                        span("any", days),
                        List.of(rule("", Purpose.DROP, new Reckoning.ShareOfSpan(BigDecimal.valueOf(percent, 2)))))
                .get(0)
                .date();
        long over = ChronoUnit.DAYS.between(FIRST, date) + 1;

        assertThat(over * 100).isGreaterThanOrEqualTo((long) percent * days);
        assertThat(over == 1 || (over - 1) * 100 < (long) percent * days).isTrue();
    }

    @Test
    void ruleOfTheSpanItselfGoesBeforeTheRuleForAll() {
        var all = rule("", Purpose.ADD, new Reckoning.DaysAfterFirst(11));
        var late = rule("late-start", Purpose.ADD, new Reckoning.DaysAfterFirst(7));
        var fixed = rule("", Purpose.WITHDRAW, new Reckoning.Fixed(LocalDate.of(2031, 9, 10)));

        assertThat(BindingDate.of(span("late-start", 70), List.of(all, late, fixed)))
                .containsExactly(
                        new BindingDate(fixed, LocalDate.of(2031, 9, 10)),
                        new BindingDate(late, LocalDate.of(2031, 9, 15)));
        assertThat(BindingDate.of(span("full-term", 103), List.of(all, late)))
                .containsExactly(new BindingDate(all, LocalDate.of(2031, 9, 19)));
    }

    @Test
    void halfTermBindsInHalfTheTime() {
        var rules = Schedules.kernelSchedule().lists().bindingRules();

        assertThat(BindingDate.of(span("first-half", 47), rules))
                .filteredOn(each -> each.rule().purpose() == Purpose.DROP)
                .extracting(BindingDate::date)
                .containsExactly(LocalDate.of(2031, 9, 22));
        assertThat(BindingDate.of(span("full-term", 103), rules))
                .filteredOn(each -> each.rule().purpose() == Purpose.DROP)
                .extracting(BindingDate::date)
                .containsExactly(LocalDate.of(2031, 10, 8));
    }

    private static Span span(String code, int days) {
        return new Span(code, code, new DateRange(FIRST, FIRST.plusDays(days - 1L)), Optional.empty());
    }

    private static BindingRule rule(String span, Purpose purpose, Reckoning reckoning) {
        return new BindingRule(
                purpose.code(),
                Optional.of(span).filter(code -> !code.isEmpty()),
                purpose,
                "Last day",
                reckoning,
                Optional.empty());
    }
}

package ample.ledger.core.schedule;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A rule that gives a section one of its dates that bind.
 *
 * @param span code of the span it holds for; empty: every span that has no rule of its own for this purpose
 * @param name as students know it: "Last day to drop without a mark"
 * @param meaning what it means in money or on the record, in the institution's own words
 */
public record BindingRule(
        String code,
        Optional<String> span,
        Purpose purpose,
        String name,
        Reckoning reckoning,
        Optional<String> meaning) {

    /** What a date that binds is the last day for. */
    public enum Purpose implements Coded {
        ADD,
        REFUND,
        /** The day on which students are counted. */
        CENSUS,
        DROP,
        WITHDRAW
    }

    /** How the day is found. */
    public sealed interface Reckoning {

        /**
         * So many calendar days after the first day of the section.
         *
         * @param days 0 for the first day itself
         */
        record DaysAfterFirst(int days) implements Reckoning {}

        /**
         * When this share of the days from the section's first to its last is over, counted up to whole days.
         *
         * @param share 0 to 1
         */
        record ShareOfSpan(BigDecimal share) implements Reckoning {}

        /** The same day for everybody. */
        record Fixed(LocalDate date) implements Reckoning {}
    }
}

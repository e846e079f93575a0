package ample.ledger.core.schedule;

import java.math.BigDecimal;

/**
 * What one credit is worth at an institution: hours of 60 minutes of work in all, class and study together.
 *
 * @param unit what its credits are called
 * @param leastHours more than 0
 * @param mostHours at least {@code leastHours}; the same where no range is given
 */
public record CreditWorth(Unit unit, BigDecimal leastHours, BigDecimal mostHours) {

    /** What credits are called, and what they are worth where the institution does not say. */
    public enum Unit implements Coded {
        /**
         * United States, 34 CFR 600.2: one hour in class and at least two of study, each week for about fifteen weeks. The hour in class is
         * commonly one of 50 minutes (common practice); here hours are of 60.
         */
        SEMESTER(45, 45),

        /** The same regulation, for about ten weeks. */
        QUARTER(30, 30),

        /** European Credit Transfer and Accumulation System, Users’ Guide 2015: 25 to 30 hours of work in all. */
        ECTS(25, 30);

        private final int least;
        private final int most;

        Unit(int least, int most) {
            this.least = least;
            this.most = most;
        }

        /** What a credit of this unit is worth by the published standard. */
        public CreditWorth usual() {
            return new CreditWorth(this, BigDecimal.valueOf(least), BigDecimal.valueOf(most));
        }

        /** The same where the institution says how many hours. */
        public CreditWorth of(BigDecimal hours) {
            return new CreditWorth(this, hours, hours);
        }
    }

    /** @throws IllegalArgumentException unless 0 &lt; least &le; most */
    public CreditWorth {
        if (leastHours.signum() <= 0 || mostHours.compareTo(leastHours) < 0) {
            throw new IllegalArgumentException(
                    "A credit cannot be worth " + leastHours + " to " + mostHours + " hours");
        }
    }

    /** Whether it is given as a range. */
    public boolean isRange() {
        return leastHours.compareTo(mostHours) != 0;
    }

    /** The hours of class and study that these credits stand for at least. */
    public BigDecimal leastHours(BigDecimal credits) {
        return credits.multiply(leastHours);
    }

    /** The same at most. */
    public BigDecimal mostHours(BigDecimal credits) {
        return credits.multiply(mostHours);
    }
}

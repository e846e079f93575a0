package ample.ledger.core.reading;

import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.schedule.Section;
import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * The hours that a section takes over its span, in class, arranged and at the desk, and what published standards say of so many
 * credits. A half-term section of the same credits asks for twice as much a week, and the weeks say so. Everything is reckoned in
 * minutes, and rounded once, to tenths of an hour.
 *
 * @param weeks of the span, a part of one counted whole; 1 or more
 * @param credits in the institution's own unit; 0 or more
 */
public record Workload(ClassHours inClass, int weeks, BigDecimal credits) {

    private static final BigDecimal HOUR = BigDecimal.valueOf(60);

    /** A published rule on how many hours a credit stands for. */
    public enum Standard {
        /**
         * United States, 34 CFR 600.2: one hour in class and at least two of study, each week for about fifteen weeks, a semester
         * credit. The hour in class is commonly one of 50 minutes (common practice); here hours are of 60.
         */
        CREDIT_HOUR(
                "34 CFR 600.2", "1 hour in class and 2 of study a week, for about 15 weeks, for each credit", 45, 45),

        /** European Credit Transfer and Accumulation System, Users’ Guide 2015: 25 to 30 hours of work in all. */
        ECTS("ECTS Users’ Guide 2015", "25 to 30 hours of work in all for each credit", 25, 30);

        private final String source;
        private final String words;
        private final int leastHours;
        private final int mostHours;

        Standard(String source, String words, int leastHours, int mostHours) {
            this.source = source;
            this.words = words;
            this.leastHours = leastHours;
            this.mostHours = mostHours;
        }

        /** Where it is published. */
        public String source() {
            return source;
        }

        /** What it says, in a few words. */
        public String words() {
            return words;
        }

        /** Hours of work in all, class and study together, that so many credits stand for at least. */
        public BigDecimal leastHours(BigDecimal credits) {
            return credits.multiply(BigDecimal.valueOf(leastHours));
        }

        /** The same at most; the least where the standard knows no range. */
        public BigDecimal mostHours(BigDecimal credits) {
            return credits.multiply(BigDecimal.valueOf(mostHours));
        }
    }

    public Workload {
        if (weeks < 1) {
            throw new IllegalArgumentException("A span has at least one week, not " + weeks);
        }
    }

    /** Of {@code section}, whose meetings are held on the dates that {@code calendar} leaves standing. */
    public static Workload of(Section section, TermCalendar calendar) {
        return new Workload(
                ClassHours.of(section, calendar),
                section.span().dates().weeks(),
                section.course().credits());
    }

    /** Hours in class and arranged, of 60 minutes, over the whole span. */
    public BigDecimal classHours() {
        return hours(classMinutes());
    }

    /** The same in minutes, not rounded. */
    public BigDecimal classMinutes() {
        return inClass.arrangedPerWeek()
                .multiply(HOUR)
                .multiply(BigDecimal.valueOf(weeks))
                .add(BigDecimal.valueOf(inClass.minutes()));
    }

    /** The hours in class and arranged a week, on the average of the weeks of the span. */
    public BigDecimal classHoursAWeek() {
        return hoursAWeek(classMinutes());
    }

    /**
     * Hours of study over the whole span that the credits imply by the standard, beside those in class; 0 where class takes all of
     * them or more.
     */
    public BigDecimal studyHours(Standard standard) {
        return hours(studyMinutes(standard));
    }

    /** The same a week, on the average of the weeks of the span. */
    public BigDecimal studyHoursAWeek(Standard standard) {
        return hoursAWeek(studyMinutes(standard));
    }

    private BigDecimal studyMinutes(Standard standard) {
        return standard.leastHours(credits)
                .multiply(HOUR)
                .subtract(classMinutes())
                .max(BigDecimal.ZERO);
    }

    private BigDecimal hoursAWeek(BigDecimal minutes) {
        return minutes.divide(HOUR.multiply(BigDecimal.valueOf(weeks)), 1, RoundingMode.HALF_UP);
    }

    private static BigDecimal hours(BigDecimal minutes) {
        return minutes.divide(HOUR, 1, RoundingMode.HALF_UP);
    }
}

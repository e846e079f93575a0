package ample.ledger.core.reading;

import ample.ledger.core.schedule.CreditWorth;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;

/**
 * The hours that sections of one course, taken together, ask for over their span: in class, arranged and at the desk, as far as the credits of the
 * course imply them. A half-term section of the same credits asks for twice as much a week, and the weeks say so. Everything is reckoned in
 * minutes, and rounded once, to tenths of an hour.
 *
 * @param classMinutes in class and arranged, over the whole span; 0 or more
 * @param weeks of the span, a part of one counted whole; 1 or more
 * @param credits in the institution's own unit; 0 or more
 * @param worth what one of them stands for
 */
public record Workload(BigDecimal classMinutes, int weeks, BigDecimal credits, CreditWorth worth) {

    private static final BigDecimal HOUR = BigDecimal.valueOf(60);
    private static final BigDecimal MINUTES_OF_A_WEEK = BigDecimal.valueOf(7 * 24 * 60L);

    public Workload {
        if (weeks < 1) {
            throw new IllegalArgumentException("A span has at least one week, not " + weeks);
        }
    }

    /**
     * Of sections of {@code schedule} that are taken together.
     *
     * @param set at least one; the first leads, and its span counts
     */
    public static Workload of(List<Section> set, Schedule schedule) {
        Section lead = set.get(0);
        return new Workload(
                set.stream().map(section -> classMinutes(section, schedule)).reduce(BigDecimal.ZERO, BigDecimal::add),
                lead.span().dates().weeks(),
                lead.course().credits(),
                schedule.institution().credit());
    }

    private static BigDecimal classMinutes(Section section, Schedule schedule) {
        ClassHours inClass = ClassHours.of(section, schedule.term().calendar());
        return inClass.arrangedPerWeek()
                .multiply(HOUR)
                .multiply(BigDecimal.valueOf(section.span().dates().weeks()))
                .add(BigDecimal.valueOf(inClass.minutes()));
    }

    /** Hours in class and arranged, of 60 minutes, over the whole span. */
    public BigDecimal classHours() {
        return classMinutes.divide(HOUR, 1, RoundingMode.HALF_UP);
    }

    /** The hours in class and arranged a week, on the average of the weeks of the span. */
    public BigDecimal classHoursAWeek() {
        return hoursAWeek(classMinutes, 1);
    }

    /**
     * Hours of study a week that the credits imply at least, beside those in class, on the average of the weeks of the span; 0 where class takes all of
     * them or more.
     */
    public BigDecimal leastStudyAWeek() {
        return hoursAWeek(studyMinutes(worth.leastHours(credits)), 1);
    }

    /** The same at most. */
    public BigDecimal mostStudyAWeek() {
        return hoursAWeek(studyMinutes(worth.mostHours(credits)), 1);
    }

    /** As {@link #leastStudyAWeek()}, with more digits behind the point than one, for sums. */
    public BigDecimal leastStudyAWeek(int digits) {
        return hoursAWeek(studyMinutes(worth.leastHours(credits)), digits);
    }

    /**
     * Whether the credits imply more hours a week than a week has. Then they are those of more than the dates that are posted, or
     * mistaken.
     */
    public boolean isMoreThanAWeekHolds() {
        return classMinutes
                        .add(studyMinutes(worth.leastHours(credits)))
                        .compareTo(MINUTES_OF_A_WEEK.multiply(BigDecimal.valueOf(weeks)))
                > 0;
    }

    private BigDecimal studyMinutes(BigDecimal hours) {
        return hours.multiply(HOUR).subtract(classMinutes).max(BigDecimal.ZERO);
    }

    private BigDecimal hoursAWeek(BigDecimal minutes, int digits) {
        return minutes.divide(HOUR.multiply(BigDecimal.valueOf(weeks)), digits, RoundingMode.HALF_UP);
    }
}

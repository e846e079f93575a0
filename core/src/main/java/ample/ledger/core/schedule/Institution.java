package ample.ledger.core.schedule;

import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.text.NameOrder;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.Locale;

/**
 * Who posts, and what is usual there.
 *
 * @param zone the zone its wall clocks show
 * @param language what its sections are taught in where they do not say, and whose rules order its names
 * @param codes how it puts codes together
 * @param week what its weeks begin with, and when they are free
 * @param credit what a credit is worth
 * @param grades the grades of its records and prerequisites
 */
public record Institution(
        String code,
        String name,
        ZoneId zone,
        Locale language,
        CodeForm codes,
        WeekForm week,
        CreditWorth credit,
        GradeScale grades) {

    /** The order of names by the rules of its language. */
    public Comparator<String> nameOrder() {
        return NameOrder.of(language);
    }
}

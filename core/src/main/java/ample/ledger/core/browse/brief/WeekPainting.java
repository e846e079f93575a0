package ample.ledger.core.browse.brief;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.Optional;

/**
 * Closes and opens hours of the week in a brief, as a student paints them on a picture of the week.
 *
 * <p>Hours can be closed by three conditions: hours painted closed, "only on these days" or "on none of these", and
 * "between". Painting may change all three. An hour that is opened is open afterwards, whichever of them had closed it. What
 * can be said in days and times stays said in days and times. "On all of these days" and "on at
 * least one of them" close no hour and stay as they are.
 */
public final class WeekPainting {

    private static final int MIDNIGHT = 24 * 60;
    private static final WeekHours WEEK =
            Arrays.stream(DayOfWeek.values()).map(WeekPainting::day).reduce(WeekHours.NONE, WeekHours::plus);

    private final Brief brief;
    private final Optional<OnDays> days;
    private final Optional<Between> times;

    private WeekPainting(Brief brief) {
        this.brief = brief;
        this.days = brief.condition(OnDays.class)
                .filter(condition -> !condition.alone()
                        && (condition.rule() == OnDays.Rule.ONLY || condition.rule() == OnDays.Rule.NONE));
        this.times = brief.condition(Between.class);
    }

    /**
     * The hours in which nothing that fits {@code brief} may meet. Of five minutes that "between" cuts, all counts as
     * open.
     */
    public static WeekHours closed(Brief brief) {
        return new WeekPainting(brief).closed();
    }

    /** {@code brief} with these hours closed too. */
    public static Brief close(Brief brief, WeekHours hours) {
        WeekPainting painting = new WeekPainting(brief);
        return painting.saying(painting.closed().plus(hours));
    }

    /** {@code brief} with these hours open, whatever had closed them. */
    public static Brief open(Brief brief, WeekHours hours) {
        WeekPainting painting = new WeekPainting(brief);
        return painting.saying(painting.closed().minus(hours));
    }

    private WeekHours closed() {
        return painted()
                .plus(days.map(WeekPainting::closedBy).orElse(WeekHours.NONE))
                .plus(times.map(WeekPainting::closedBy).orElse(WeekHours.NONE));
    }

    private WeekHours painted() {
        return brief.condition(Closed.class).map(Closed::hours).orElse(WeekHours.NONE);
    }

    /** The brief that closes exactly {@code closed}: by days and by times as far as it did so before, the rest painted. */
    private Brief saying(WeekHours closed) {
        Brief said = brief.without(Topic.CLOSED);
        WeekHours covered = WeekHours.NONE;
        Optional<OnDays> still = days.flatMap(condition -> onDays(condition.rule(), openDays(closed)));
        if (days.isPresent()) {
            said = said.without(Topic.DAYS);
        }
        if (still.isPresent()) {
            said = said.with(still.get());
            covered = closedBy(still.get());
        }
        if (times.isPresent()) {
            WeekHours outside = closedBy(times.get());
            if (outside.minus(closed).isEmpty()) {
                covered = covered.plus(outside);
            } else {
                said = said.without(Topic.TIMES);
            }
        }
        WeekHours rest = closed.minus(covered);
        return rest.isEmpty() ? said : said.with(new Closed(rest));
    }

    private static Optional<OnDays> onDays(OnDays.Rule rule, Days open) {
        Days named = rule == OnDays.Rule.ONLY ? open : new Days(Days.ALL.mask() & ~open.mask());
        boolean sayable = !open.isEmpty() && !open.equals(Days.ALL);
        return sayable ? Optional.of(new OnDays(rule, named)) : Optional.empty();
    }

    private static Days openDays(WeekHours closed) {
        return Days.of(Arrays.stream(DayOfWeek.values())
                .filter(day -> !day(day).minus(closed).isEmpty())
                .toList());
    }

    private static WeekHours closedBy(OnDays condition) {
        return Arrays.stream(DayOfWeek.values())
                .filter(day -> condition.days().contains(day) == (condition.rule() == OnDays.Rule.NONE))
                .map(WeekPainting::day)
                .reduce(WeekHours.NONE, WeekHours::plus);
    }

    private static WeekHours closedBy(Between condition) {
        int from = condition.from().map(ClockTime::minuteOfDay).orElse(0);
        int to = condition.to().map(ClockTime::minuteOfDay).orElse(MIDNIGHT);
        return WEEK.minus(Arrays.stream(DayOfWeek.values())
                .map(day -> WeekHours.of(day, from, to))
                .reduce(WeekHours.NONE, WeekHours::plus));
    }

    private static WeekHours day(DayOfWeek day) {
        return WeekHours.of(day, 0, MIDNIGHT);
    }
}

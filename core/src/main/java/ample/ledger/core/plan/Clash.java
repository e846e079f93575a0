package ample.ledger.core.plan;

import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Two engagements that are held at the same time: date by date, so that two halves of a term do not clash.
 *
 * @param exam whether an exam is one of what clashes; what clashes beside it is another clash
 * @param hours of the week at which they do, each pair of meetings by itself; none for those that share only a date
 * @param shared what each pair of meetings shares; at least one
 */
public record Clash(Engagement one, Engagement other, boolean exam, List<Hours> hours, List<Shared> shared) {

    /** A time on some days of the week. */
    public record Hours(Days days, TimeRange time) {}

    /**
     * What two meetings share.
     *
     * @param dates at least one
     * @param minutes on each of them; at least 1
     */
    public record Shared(DateSet dates, int minutes) {}

    public Clash {
        if (shared.isEmpty()) {
            throw new IllegalArgumentException(one + " and " + other + " share no date");
        }
        hours = List.copyOf(hours);
        shared = List.copyOf(shared);
    }

    /** For each date on which they do, how many minutes they share; at least one date, each at least 1. */
    public SortedMap<LocalDate, Integer> minutesByDate() {
        SortedMap<LocalDate, Integer> minutes = new TreeMap<>();
        for (Shared some : shared) {
            some.dates().stream().forEach(date -> minutes.merge(date, some.minutes(), Integer::sum));
        }
        return Collections.unmodifiableSortedMap(minutes);
    }

    /** The first date on which they do. */
    public LocalDate first() {
        return dates().first();
    }

    /** On how many dates; at least 1. */
    public int times() {
        return dates().size();
    }

    private DateSet dates() {
        return shared.stream().map(Shared::dates).reduce(DateSet.NONE, DateSet::plus);
    }

    /** The most minutes that they share on one date; at least 1. */
    public int minutes() {
        return shared.size() == 1
                ? shared.get(0).minutes()
                : Collections.max(minutesByDate().values());
    }

    /** Every clash between two of these, exams included, in their order. Cost: each pair of stays once. */
    public static List<Clash> all(List<? extends Engagement> engagements) {
        List<Clash> clashes = new ArrayList<>();
        for (int i = 0; i < engagements.size(); i++) {
            for (int j = i + 1; j < engagements.size(); j++) {
                between(engagements.get(i), engagements.get(j), false).ifPresent(clashes::add);
                between(engagements.get(i), engagements.get(j), true).ifPresent(clashes::add);
            }
        }
        return clashes;
    }

    private static Optional<Clash> between(Engagement one, Engagement other, boolean exam) {
        List<Shared> shared = new ArrayList<>();
        List<Hours> hours = new ArrayList<>();
        for (Stay some : one.stays()) {
            for (Stay others : other.stays()) {
                if ((some.exam() || others.exam()) == exam && some.clashes(others)) {
                    TimeRange time = some.time().overlap(others.time()).orElseThrow();
                    shared.add(new Shared(some.dates().and(others.dates()), time.minutes()));
                    Days days = some.days().and(others.days());
                    if (!days.isEmpty()) {
                        hours.add(new Hours(days, time));
                    }
                }
            }
        }
        return shared.isEmpty() ? Optional.empty() : Optional.of(new Clash(one, other, exam, hours, shared));
    }
}

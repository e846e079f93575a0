package ample.ledger.web.plan;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.FullSection;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.Obstacles;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.Swap;
import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.web.plan.WeekPage.Remedy;
import ample.ledger.web.plan.WeekPage.Trouble;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.words.ObstacleSentences;
import ample.ledger.web.words.Words;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says what stands in the way of a plan, and what mends it. */
final class ObstacleWords {

    private static final int MOST_REMEDIES = 3;
    private static final String FULL = " (no seat open)";

    private final PlannedWeek week;
    private final WeekAsk ask;
    private final ClockStyle clock;
    private final ObstacleSentences sentences;
    private final Function<Attendance, StatusReading> seats;

    /** @param seats as they stand now: what has some is offered first */
    ObstacleWords(PlannedWeek week, WeekAsk ask, ClockStyle clock, Function<Attendance, StatusReading> seats) {
        this.seats = seats;
        this.week = week;
        this.ask = ask;
        this.clock = clock;
        this.sentences = new ObstacleSentences(clock);
    }

    Trouble trouble(Obstacle obstacle) {
        if (obstacle instanceof Obstacle.NoLongerPosted gone) {
            Remedy without = new Remedy(
                    List.of(), "without " + gone.pick().entry(), "", PlanTokens.of(gone.pick(), ask.term()), "");
            return new Trouble(sentences.of(obstacle), true, "", List.of(without), List.of());
        }
        List<Swap> swaps = Obstacles.remedies(obstacle, week);
        return trouble(sentences.of(obstacle), obstacle.stops(), none(obstacle, swaps), swaps);
    }

    private String none(Obstacle obstacle, List<Swap> swaps) {
        boolean soluble = obstacle instanceof Obstacle.SameTime
                || obstacle instanceof Obstacle.NoTimeToTravel
                || obstacle instanceof Obstacle.LacksCompanion
                || obstacle instanceof Obstacle.LacksCorequisite
                || obstacle instanceof Obstacle.IsCancelled
                || obstacle instanceof Obstacle.LacksLead;
        return soluble && swaps.isEmpty() ? "No other section of this course solves it." : "";
    }

    /** Said in the place of some that there is no room for. */
    static Trouble more(int count) {
        return new Trouble(
                "And %s. You will see them once some of these are solved."
                        .formatted(Words.count(count, "more of the kind", "more of the kind")),
                true,
                "",
                List.of(),
                List.of());
    }

    /** @param sentence what it is to who plans */
    Trouble trouble(FullSection full, String sentence) {
        Status status = full.reading().status();
        if (status != Status.FULL && status != Status.FULL_WAITLIST_OPEN) {
            return trouble(full.attendance() + ": " + sentence, true, "", full.instead());
        }
        if (status == Status.FULL && full.reading().seats().waitlistCapacity() == 0) {
            return trouble(
                    "%s is full and has no waitlist.".formatted(full.attendance()),
                    true,
                    full.instead().isEmpty() ? "No other section of its course that fits has a seat." : "",
                    full.instead());
        }
        int waiting = full.reading().seats().waiting();
        String queue =
                waiting == 0 ? "" : waiting == 1 ? ", and one person waits" : ", and " + waiting + " people wait";
        return trouble(
                "%s has no open seat%s. Select it to join the waitlist.".formatted(full.attendance(), queue),
                true,
                full.instead().isEmpty() ? "No other section of its course that fits has a seat." : "",
                full.instead());
    }

    private Trouble trouble(String words, boolean stops, String none, List<Swap> swaps) {
        List<Remedy> remedies = bySeats(swaps).map(this::remedy).toList();
        return new Trouble(
                words,
                stops,
                none,
                remedies.stream().limit(MOST_REMEDIES).toList(),
                remedies.stream().skip(MOST_REMEDIES).toList());
    }

    /** Those of which every section has a seat first. */
    Stream<Swap> bySeats(List<Swap> swaps) {
        return swaps.stream().sorted(Comparator.comparing(this::isFull));
    }

    private boolean isFull(Swap swap) {
        return swap.in().stream().anyMatch(one -> seats.apply(one).open() == 0);
    }

    /** A swap as a form. */
    Remedy remedy(Swap swap) {
        String words;
        if (swap.in().isEmpty()) {
            words = "without " + names(swap.out());
        } else if (swap.out().isEmpty()) {
            words = "add " + names(swap.in());
        } else {
            words = names(swap.in()) + " instead of " + names(swap.out());
        }
        String when = swap.in().stream()
                .flatMap(attendance -> attendance.section().meetings().stream())
                .map(meeting -> Words.when(meeting.timing(), clock))
                .collect(Collectors.joining("; "));
        return new Remedy(
                swap.in().stream().map(ObstacleWords::numbered).toList(),
                words + (isFull(swap) ? FULL : ""),
                when,
                PlanTokens.of(swap.out(), ask.term()),
                PlanTokens.of(swap.in(), ask.term()));
    }

    /** The same where what leaves is on the screen already. */
    Remedy other(Swap swap) {
        Remedy remedy = remedy(swap);
        return swap.in().isEmpty()
                ? remedy
                : new Remedy(
                        remedy.comes(),
                        names(swap.in()) + (isFull(swap) ? FULL : ""),
                        remedy.when(),
                        remedy.out(),
                        remedy.in());
    }

    private static WeekPage.Numbered numbered(Attendance attendance) {
        EntryNumber entry = attendance.section().entry();
        return new WeekPage.Numbered(
                entry.digits(), new Addresses(attendance.term().code()).sheet(entry, Brief.EVERYTHING));
    }

    private static String names(List<Attendance> attendances) {
        return attendances.stream().map(Object::toString).collect(Collectors.joining(" and "));
    }
}

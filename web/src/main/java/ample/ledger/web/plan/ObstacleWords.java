package ample.ledger.web.plan;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.plan.Clash;
import ample.ledger.core.plan.Engagement;
import ample.ledger.core.plan.FullSection;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.Obstacles;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.plan.Swap;
import ample.ledger.core.plan.Travel;
import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.web.plan.WeekPage.Remedy;
import ample.ledger.web.plan.WeekPage.Trouble;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.words.Words;
import java.time.format.TextStyle;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
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
    private final Function<Attendance, StatusReading> seats;

    /** @param seats as they stand now: what has some is offered first */
    ObstacleWords(PlannedWeek week, WeekAsk ask, ClockStyle clock, Function<Attendance, StatusReading> seats) {
        this.seats = seats;
        this.week = week;
        this.ask = ask;
        this.clock = clock;
    }

    Trouble trouble(Obstacle obstacle) {
        if (obstacle instanceof Obstacle.NoLongerPosted gone) {
            Remedy without = new Remedy(
                    List.of(), "without " + gone.pick().entry(), "", PlanTokens.of(gone.pick(), ask.term()), "");
            return new Trouble(sentence(obstacle), true, "", List.of(without), List.of());
        }
        List<Swap> swaps = Obstacles.remedies(obstacle, week);
        return trouble(sentence(obstacle), obstacle.stops(), none(obstacle, swaps), swaps);
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

    private String sentence(Obstacle obstacle) {
        if (obstacle instanceof Obstacle.SameTime same) {
            return sameTime(same.clash());
        }
        if (obstacle instanceof Obstacle.NoTimeToTravel none) {
            return travel(none.travel());
        }
        if (obstacle instanceof Obstacle.ManyExams many) {
            return manyExams(many);
        }
        if (obstacle instanceof Obstacle.SameCourse same) {
            return "%s and %s are the same course%s; one of them is enough."
                    .formatted(
                            same.one(),
                            same.other(),
                            same.one().leads()
                                    ? ""
                                    : ", two of one choice ("
                                            + same.one()
                                                    .section()
                                                    .companion()
                                                    .orElseThrow()
                                                    .choice() + ")");
        }
        if (obstacle instanceof Obstacle.SharedListing shared) {
            return "%s and %s are one class posted under two subjects: credit counts once, under the subject you register in."
                    .formatted(shared.one(), shared.other());
        }
        if (obstacle instanceof Obstacle.CreditOnce once) {
            return "%s beside %s gives no credit twice: %s"
                    .formatted(once.one(), once.other(), once.equivalent().sentence());
        }
        if (obstacle instanceof Obstacle.LacksCompanion lacks) {
            return "%s needs a %s with it.".formatted(lacks.lead(), lacks.choice());
        }
        if (obstacle instanceof Obstacle.LacksLead lacks) {
            return lacks.foreign().isEmpty()
                    ? "%s goes only with a section of its course, and none is here.".formatted(lacks.companion())
                    : "%s does not go with %s: it belongs to another."
                            .formatted(lacks.companion(), names(lacks.foreign()));
        }
        if (obstacle instanceof Obstacle.LacksCorequisite lacks) {
            return "%s: %s".formatted(lacks.attendance(), lacks.corequisite().sentence());
        }
        if (obstacle instanceof Obstacle.LacksPrerequisite lacks) {
            return prerequisite(lacks);
        }
        if (obstacle instanceof Obstacle.OverLoad over) {
            return "%s in %s are an over-load: it begins above %s. %s"
                    .formatted(
                            Words.credits(over.credits()),
                            over.term().name(),
                            Words.credits(over.rule().credits()),
                            over.rule().meaning().orElse(""))
                    .strip();
        }
        return toKnow(obstacle);
    }

    private static String prerequisite(Obstacle.LacksPrerequisite lacks) {
        String asks = lacks.attendance() + " needs " + lacks.prerequisite().sentence();
        return switch (lacks.verdict()) {
            case UNKNOWN -> asks + " Whether that is met is not known here.";
            case SUPPOSED -> asks + " That is met if the what-if lines come true.";
            case NEEDS_PERMISSION -> asks + " Somebody must be asked.";
            case NOT_MET, MET, WAIVED, IN_PROGRESS, PLANNED -> asks + " The record does not meet it.";
        };
    }

    private String toKnow(Obstacle obstacle) {
        if (obstacle instanceof Obstacle.OtherCampus other) {
            return "%s is at %s, not at the home campus %s."
                    .formatted(
                            other.attendance(),
                            other.attendance().section().campus().name(),
                            other.home().name());
        }
        if (obstacle instanceof Obstacle.OtherCalendar other) {
            return "%s follows another calendar, %s: %s."
                    .formatted(
                            other.attendance(),
                            other.attendance().term().name(),
                            Words.dates(other.attendance().section().span().dates()));
        }
        if (obstacle instanceof Obstacle.DuringOwnExam during) {
            return "The exam of %s is held during %s on %s. One of the two will move: ask the instructors which."
                    .formatted(
                            during.exam(),
                            during.held().equals(during.exam()) ? "its own class" : during.held(),
                            Words.date(during.date()));
        }
        if (obstacle instanceof Obstacle.IsCancelled cancelled) {
            return "%s is cancelled.".formatted(cancelled.attendance());
        }
        Obstacle.NoLongerPosted gone = (Obstacle.NoLongerPosted) obstacle;
        return "Entry number %s is no longer posted.".formatted(gone.pick().entry());
    }

    private String sameTime(Clash clash) {
        String days = clash.hours().stream()
                .flatMap(hours -> hours.days().list().stream())
                .distinct()
                .sorted(Comparator.naturalOrder())
                .map(day -> day.getDisplayName(TextStyle.FULL, Locale.ENGLISH) + "s")
                .collect(Collectors.joining(" and "));
        String times = clash.times() == 1
                ? "once, on " + Words.date(clash.first())
                : "%s times%s, the first on %s"
                        .formatted(
                                Words.number(clash.times()),
                                days.isEmpty() || clash.exam() ? "" : " on " + days,
                                Words.date(clash.first()));
        return "%s%s and %s are held at the same time: %s shared, %s."
                .formatted(
                        clash.exam() ? "An exam: " : "",
                        who(clash.one()),
                        who(clash.other()),
                        Words.count(clash.minutes(), "minute"),
                        times);
    }

    private static String who(Engagement engagement) {
        return engagement instanceof BusyTime busy ? "your “" + busy.label() + "”" : engagement.toString();
    }

    private String travel(Travel travel) {
        return "From %s (until %s) to %s (from %s) it takes %s %s, and there are %s: %s, the first on %s."
                .formatted(
                        travel.from() + exam(travel.left()),
                        clock.format(travel.left().time().end()),
                        travel.to() + exam(travel.reached()),
                        clock.format(travel.reached().time().start()),
                        Words.count(travel.way().minutes(), "minute"),
                        "by " + travel.way().means(),
                        travel.minutes() == 0 ? "none" : String.valueOf(travel.minutes()),
                        Words.times(travel.dates().size()),
                        Words.date(travel.dates().first()))
                .replace("by on foot", "on foot");
    }

    private static String exam(Stay stay) {
        return stay.exam() ? ", exam" : "";
    }

    private String manyExams(Obstacle.ManyExams many) {
        String exams = many.exams().stream()
                .distinct()
                .map(attendance -> attendance
                        + attendance.stays().stream()
                                .filter(stay -> stay.exam() && stay.dates().contains(many.date()))
                                .map(stay -> " at " + clock.format(stay.time().start()))
                                .collect(Collectors.joining(" and")))
                .collect(Collectors.joining(", "));
        return "%s on %s: %s."
                .formatted(
                        Words.capitalised(inLetters(many.exams().size()) + " exams"), Words.date(many.date()), exams);
    }

    private static String inLetters(int number) {
        return switch (number) {
            case 2 -> "two";
            case 3 -> "three";
            case 4 -> "four";
            default -> String.valueOf(number);
        };
    }
}

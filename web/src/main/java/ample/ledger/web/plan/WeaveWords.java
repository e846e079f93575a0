package ample.ledger.web.plan;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.weave.Demand;
import ample.ledger.core.weave.Impossibility;
import ample.ledger.core.weave.Weave;
import ample.ledger.core.weave.Weaver;
import ample.ledger.core.weave.Wish;
import ample.ledger.web.words.Words;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says what came of a weaving. */
record WeaveWords(ClockStyle clock) {

    /** How many weeks there are, and whether the best are proven. */
    String count(Weaver.Woven woven, boolean counted) {
        String weeks;
        if (!counted) {
            weeks = "How many weeks hold what you want is still being counted.";
        } else if (!woven.count().exact()) {
            weeks = "More than %s weeks hold what you want: too many to count them all.".formatted(Words.number((int)
                    Math.min(Integer.MAX_VALUE, woven.count().choices())));
        } else if (woven.count().choices() == 0) {
            return "No week holds all that you want.";
        } else {
            String variants = woven.count().weighed() == woven.count().choices()
                    ? ""
                    : ", %s with sections of the same times told apart"
                            .formatted(big(woven.count().weighed()));
            weeks = (woven.count().choices() == 1
                            ? "One week holds"
                            : big(woven.count().choices()) + " weeks hold") + " what you want" + variants + ".";
        }
        return weeks
                + (woven.proven() ? " None is better than these." : " These are the best found before it was stopped.");
    }

    String big(long number) {
        return String.format(Locale.ENGLISH, "%,d", number);
    }

    /** Why a week has its rank: how it stands to each wish, or its days and hours where nothing was wished. */
    List<String> reasons(Weave found, List<Demand.Want> wants) {
        List<String> reasons = new ArrayList<>();
        found.measures().forEach(measure -> reasons.add(reason(measure)));
        if (reasons.isEmpty()) {
            Days days = found.sections().stream()
                    .map(attendance -> attendance.section().days())
                    .reduce(Days.NONE, Days::plus);
            reasons.add(Words.count(days.size(), "day") + " of class");
            hours(found.sections()).map(clock::format).ifPresent(reasons::add);
        }
        for (int want = 0; want < found.sets().size(); want++) {
            if (found.sets().get(want).isEmpty()) {
                reasons.add("without " + wants.get(want).courses().get(0).written());
            }
        }
        return reasons;
    }

    private Optional<TimeRange> hours(List<Attendance> sections) {
        List<TimeRange> times = sections.stream()
                .flatMap(attendance -> attendance.stays().stream())
                .filter(stay -> !stay.exam())
                .map(Stay::time)
                .toList();
        return times.stream()
                .map(TimeRange::start)
                .min(LocalTime::compareTo)
                .map(start -> new TimeRange(
                        start,
                        times.stream()
                                .map(TimeRange::end)
                                .max(LocalTime::compareTo)
                                .orElseThrow()));
    }

    private String reason(Weave.Measure measure) {
        long points = Math.round(measure.points());
        Wish wish = measure.wish();
        if (wish instanceof Wish.DaysFree free) {
            long days = Math.round(measure.points() / Wish.FREE_DAY);
            if (free.days().equals(Days.ALL)) {
                return Words.count((int) days, "day") + " of class";
            }
            return points == 0
                    ? free.days().join(", ") + " free"
                    : "class on " + free.days().join(", ");
        }
        if (points == 0) {
            return wish == Wish.Plain.FEW_GAPS ? "no gaps" : wish.inWords(clock);
        }
        if (wish instanceof Wish.NotBefore early) {
            return "%s before %s a week".formatted(Words.duration((int) points), clock.format(early.time()));
        }
        if (wish instanceof Wish.NotAfter late) {
            return "%s after %s a week".formatted(Words.duration((int) points), clock.format(late.time()));
        }
        if (wish instanceof Wish.TaughtBy by) {
            return "not all with " + by.name();
        }
        String times = Words.times((int) Math.max(1, Math.round(measure.points() / Wish.ONE_TIME)));
        return switch ((Wish.Plain) wish) {
            case FEW_GAPS -> Words.duration((int) points) + " of gaps a week";
            case ONE_CAMPUS -> "campus changed " + times + " a week";
            case SEATS_TO_SPARE -> "few seats in some";
            case SHORT_DAYS -> "days " + Words.duration((int) points) + " too long in all";
            case LUNCH -> "no lunch " + times + " a week";
        };
    }

    /** Which wants cannot be had, and what is in their way. */
    String conflict(Impossibility.Conflict conflict) {
        String because = conflict.because().stream().map(this::demand).collect(Collectors.joining(" and "));
        if (conflict.wants().size() == 1) {
            String want = want(conflict.wants().get(0));
            return because.isEmpty()
                    ? want + " has no section that fits everything else you ask for."
                    : "%s does not fit because of %s.".formatted(want, because);
        }
        String wants = conflict.wants().stream().map(this::want).collect(Collectors.joining(" and "));
        return wants + " cannot go together" + (because.isEmpty() ? "." : "; they could without " + because + ".");
    }

    private String want(Demand.Want want) {
        return want.courses().stream().map(Course::written).collect(Collectors.joining(" or "));
    }

    private String demand(Demand demand) {
        if (demand instanceof Demand.Want want) {
            return want(want);
        }
        if (demand instanceof Demand.Closed closed) {
            return "the free hours " + stretch(closed.hours());
        }
        if (demand instanceof Demand.Busy busy) {
            return "your “" + busy.time().label() + "”";
        }
        if (demand instanceof Demand.Kept keptSection) {
            return keptSection.section() + " of your plan";
        }
        if (demand instanceof Demand.Pinned pinned) {
            return "keeping " + pinned.section();
        }
        if (demand instanceof Demand.Seats) {
            return "without full sections";
        }
        return demand instanceof Demand.Refused refused ? "refusing " + refused.section() : "the brief";
    }

    private String stretch(WeekHours.Stretch stretch) {
        int from = stretch.from().toSecondOfDay() / 60;
        return String.join(
                ", ",
                WeekHours.of(stretch.day(), from, from + stretch.minutes()).inWords(clock));
    }

    /** What is to be given up for a week. */
    String loosening(List<Demand> given) {
        return given.stream()
                .map(demand -> demand instanceof Demand.Want want
                        ? "leave out " + want(want)
                        : demand instanceof Demand.Seats
                                ? "include full sections that you can wait for"
                                : "give up " + demand(demand))
                .collect(Collectors.joining(", and "));
    }
}

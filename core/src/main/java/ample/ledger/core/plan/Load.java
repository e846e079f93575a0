package ample.ledger.core.plan;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.reading.Workload;
import ample.ledger.core.schedule.CreditShare;
import ample.ledger.core.schedule.LoadRule;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * How much a plan is: its credits in each term, and its hours week by week.
 *
 * @param terms the terms of the season in which something is attended, in their order
 * @param weeks every week of the season from the first class to the last, breaks included
 * @param form how its weeks go
 * @param freeDays those that are not of the weekend, without those on which anything is ever held
 * @param longestGap between two engagements in class on one day; empty where there is none
 * @param earliest the first hour of class on any day; empty where nothing has a set time
 * @param latest the last
 * @param tooMuch the courses whose credits imply more hours than a week has, so that their study is not counted
 */
public record Load(
        List<OfTerm> terms,
        List<Week> weeks,
        WeekForm form,
        Days freeDays,
        Optional<Gap> longestGap,
        Optional<LocalTime> earliest,
        Optional<LocalTime> latest,
        List<Attendance> tooMuch) {

    private static final BigDecimal HOUR = BigDecimal.valueOf(60);

    /** Digits of what is not yet rounded: more than can come up to a tenth, however many are added. */
    private static final int FINE = 12;

    /**
     * The credits of one term.
     *
     * @param lines one a course, in the order of the plan
     * @param fullTime how the institution rules full time; empty where it does not
     * @param overLoad the same of over-load
     */
    public record OfTerm(
            Schedule schedule, List<Line> lines, Optional<LoadRule> fullTime, Optional<LoadRule> overLoad) {

        /** All lines together, in the institution's own unit. */
        public BigDecimal credits() {
            return lines.stream().map(Line::credits).reduce(BigDecimal.ZERO, BigDecimal::add);
        }

        /** Whether it is full time; empty where the institution does not rule. */
        public Optional<Boolean> isFullTime() {
            return fullTime.map(rule -> rule.holds(credits()));
        }

        public boolean isOverLoad() {
            return overLoad.filter(rule -> rule.holds(credits())).isPresent();
        }
    }

    /**
     * One course.
     *
     * @param credits that it gives in the term; 0 while a seat is only waited for
     * @param share whether that is a part of its credits, the rest falling to other terms
     * @param waited whether a seat is only waited for
     */
    public record Line(Attendance attendance, BigDecimal credits, boolean share, boolean waited) {}

    /**
     * One week.
     *
     * @param start its first day
     * @param classMinutes in class at set times, exams included
     * @param arranged hours of 60 minutes without a set time
     * @param study hours that the credits imply beside those in class
     */
    public record Week(LocalDate start, int classMinutes, BigDecimal arranged, BigDecimal study) {

        /** All together, in hours of 60 minutes, to a tenth. */
        public BigDecimal hours() {
            return exactly().add(study).setScale(1, RoundingMode.HALF_UP);
        }

        /** The same to a whole hour. */
        public BigDecimal aboutHours() {
            return exactly().add(study).setScale(0, RoundingMode.HALF_UP);
        }

        /** In class and arranged, in hours of 60 minutes, to a tenth. */
        public BigDecimal classHours() {
            return exactly().setScale(1, RoundingMode.HALF_UP);
        }

        private BigDecimal exactly() {
            return BigDecimal.valueOf(classMinutes)
                    .divide(HOUR, FINE, RoundingMode.HALF_UP)
                    .add(arranged);
        }
    }

    /** Nothing between two engagements of one day. */
    public record Gap(DayOfWeek day, TimeRange time) {}

    /** As {@link #of(PlannedWeek, WeekForm)}, by the weeks of its institution. */
    public static Load of(PlannedWeek week) {
        return of(week, week.posted().weekForm(week.plan().season()));
    }

    /** Of {@code week}, sections that are waited for giving no credit (common practice, no source) but taking their time. */
    public static Load of(PlannedWeek week, WeekForm form) {
        List<Attendance> attended = held(week);
        Days held = attended.stream()
                .flatMap(attendance -> attendance.stays().stream())
                .filter(stay -> !stay.exam())
                .map(Stay::days)
                .reduce(Days.NONE, Days::plus);
        List<TimeRange> times = attended.stream()
                .flatMap(attendance -> attendance.stays().stream())
                .filter(stay -> !stay.exam())
                .map(Stay::time)
                .toList();
        return new Load(
                terms(week),
                weeks(week, form),
                form,
                form.workdays().minus(held),
                longestGap(attended),
                times.stream().map(TimeRange::start).min(Comparator.naturalOrder()),
                times.stream().map(TimeRange::end).max(Comparator.naturalOrder()),
                attended.stream()
                        .filter(Attendance::leads)
                        .filter(lead -> workload(lead, week).isMoreThanAWeekHolds())
                        .toList());
    }

    /** The credits alone, which are there in less time: the terms of the season in which something is attended, in their order. */
    public static List<OfTerm> terms(PlannedWeek week) {
        return week.posted().ofSeason(week.plan().season()).stream()
                .map(schedule -> ofTerm(schedule, week))
                .filter(term -> !term.lines().isEmpty())
                .toList();
    }

    /** The heaviest week; empty where nothing is attended. */
    public Optional<Week> heaviest() {
        return weeks.stream().max(Comparator.comparing(Week::hours));
    }

    private static OfTerm ofTerm(Schedule schedule, PlannedWeek week) {
        List<Line> lines = new ArrayList<>();
        for (Attendance attendance : held(week)) {
            boolean counted = lines.stream().anyMatch(line -> line.attendance().sameCourse(attendance));
            if (!counted) {
                line(attendance, schedule, week).ifPresent(lines::add);
            }
        }
        return new OfTerm(
                schedule, lines, rule(schedule, LoadRule.Sort.FULL_TIME), rule(schedule, LoadRule.Sort.OVER_LOAD));
    }

    private static Optional<LoadRule> rule(Schedule schedule, LoadRule.Sort sort) {
        return schedule.lists().loads().stream()
                .filter(rule -> rule.sort() == sort)
                .findFirst();
    }

    /** What the course gives in the term; empty where it is not held in it. */
    private static Optional<Line> line(Attendance attendance, Schedule schedule, PlannedWeek week) {
        boolean waited = week.waitedFor().contains(attendance);
        TermCode term = schedule.term().code();
        boolean share = share(term, attendance).isPresent();
        return creditsIn(term, attendance)
                .map(some -> new Line(attendance, waited ? BigDecimal.ZERO : some, share, waited));
    }

    /** The credits that a course gives in one term, which may be a part of all; empty where it gives none in it. */
    public static Optional<BigDecimal> creditsIn(TermCode term, Attendance attendance) {
        List<CreditShare> shares = attendance.section().course().shares();
        return share(term, attendance)
                .or(() -> Optional.of(attendance.section().course().credits())
                        .filter(all ->
                                shares.isEmpty() && attendance.term().code().equals(term)));
    }

    private static Optional<BigDecimal> share(TermCode term, Attendance attendance) {
        return attendance.section().course().shares().stream()
                .filter(some -> some.term().equals(term))
                .map(CreditShare::credits)
                .findFirst();
    }

    /** What is cancelled takes no time and gives no credit. */
    private static List<Attendance> held(PlannedWeek week) {
        return week.attended().stream()
                .filter(attendance -> !attendance.section().cancelled())
                .toList();
    }

    private static List<Week> weeks(PlannedWeek week, WeekForm form) {
        Map<LocalDate, int[]> minutes = new TreeMap<>();
        for (Attendance attendance : held(week)) {
            for (Stay stay : attendance.stays()) {
                stay.dates().stream()
                        .forEach(date -> minutes.computeIfAbsent(form.startOf(date), absent -> new int[1])[0] +=
                                stay.time().minutes());
            }
        }
        Map<LocalDate, BigDecimal> arranged = new TreeMap<>();
        Map<LocalDate, BigDecimal> study = new TreeMap<>();
        for (Attendance attendance : held(week)) {
            DateRange dates = attendance.section().span().dates();
            if (attendance.leads()) {
                spread(study, dates, form, studyAWeek(attendance, week));
            }
            for (Meeting meeting : attendance.section().meetings()) {
                if (meeting.timing() instanceof Timing.Arranged hours) {
                    spread(arranged, hours.dates(), form, hours.hoursPerWeek());
                }
            }
        }
        DateRange season = week.posted().dates(week.plan().season());
        LocalDate begin = form.startOf(season.first());
        Stream.of(minutes, arranged, study)
                .forEach(byWeek ->
                        byWeek.keySet().removeIf(start -> start.isBefore(begin) || start.isAfter(season.last())));
        return Stream.of(minutes.keySet(), arranged.keySet(), study.keySet())
                .flatMap(Set::stream)
                .min(Comparator.naturalOrder())
                .map(first -> Stream.iterate(
                                first,
                                start -> !start.isAfter(last(minutes, arranged, study)),
                                start -> start.plusWeeks(1))
                        .map(start -> new Week(
                                start,
                                minutes.getOrDefault(start, new int[1])[0],
                                arranged.getOrDefault(start, BigDecimal.ZERO),
                                study.getOrDefault(start, BigDecimal.ZERO)))
                        .toList())
                .orElse(List.of());
    }

    private static LocalDate last(
            Map<LocalDate, int[]> minutes, Map<LocalDate, BigDecimal> arranged, Map<LocalDate, BigDecimal> study) {
        return Stream.of(minutes.keySet(), arranged.keySet(), study.keySet())
                .flatMap(Set::stream)
                .max(Comparator.naturalOrder())
                .orElseThrow();
    }

    private static void spread(Map<LocalDate, BigDecimal> byWeek, DateRange dates, WeekForm form, BigDecimal hours) {
        for (LocalDate start = form.startOf(dates.first()); !start.isAfter(dates.last()); start = start.plusWeeks(1)) {
            byWeek.merge(start, hours, BigDecimal::add);
        }
    }

    /** What the credits of a course imply beside the hours in class; 0 where that cannot be. */
    private static BigDecimal studyAWeek(Attendance lead, PlannedWeek week) {
        Workload workload = workload(lead, week);
        return workload.isMoreThanAWeekHolds() ? BigDecimal.ZERO : workload.leastStudyAWeek(FINE);
    }

    /** Of the whole course: of all its sections together. */
    private static Workload workload(Attendance lead, PlannedWeek week) {
        List<Section> set = Stream.concat(
                        Stream.of(lead),
                        week.attended().stream().filter(other -> lead.sameCourse(other) && !other.equals(lead)))
                .map(Attendance::section)
                .toList();
        return Workload.of(set, lead.schedule());
    }

    private static Optional<Gap> longestGap(List<Attendance> attended) {
        List<Stay> stays = attended.stream()
                .flatMap(attendance -> attendance.stays().stream())
                .filter(stay -> !stay.exam())
                .toList();
        Optional<Gap> longest = Optional.empty();
        for (Stay before : stays) {
            for (Stay after : stays) {
                int from = before.time().endMinute();
                int to = after.time().startMinute();
                boolean longer =
                        to - from > longest.map(gap -> gap.time().minutes()).orElse(0);
                if (longer && openOnADate(before, after, stays)) {
                    longest = Optional.of(new Gap(
                            before.dates().and(after.dates()).first().getDayOfWeek(),
                            new TimeRange(
                                    /* start= */ before.time().end(),
                                    /* end= */ after.time().start())));
                }
            }
        }
        return longest;
    }

    /** Whether some date has both, and nothing between them. */
    private static boolean openOnADate(Stay before, Stay after, List<Stay> stays) {
        DateSet both = before.dates().and(after.dates());
        if (both.isEmpty()) {
            return false;
        }
        TimeRange between = new TimeRange(
                /* start= */ before.time().end(), /* end= */ after.time().start());
        return both.stream()
                .anyMatch(date -> stays.stream()
                        .noneMatch(stay -> stay.time().overlapMinutes(between) > 0
                                && stay.dates().contains(date)));
    }
}

package ample.ledger.core.browse;

import ample.ledger.core.browse.NearMiss.Unit;
import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.Overlaps;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** How one section, in one of its sets, falls short of any condition but one on seats. */
final class Shortfalls {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private final Moment moment;
    private final Schedule schedule;
    private final Section section;
    private final List<Section> set;
    private final Timetable timetable;
    private final int position;
    private final int[] members;

    /**
     * @param position of the section in the schedule
     * @param members of its complete set, by their positions
     */
    Shortfalls(Moment moment, int position, int[] members) {
        this.moment = moment;
        this.schedule = moment.index().schedule();
        this.timetable = moment.index().timetable();
        this.position = position;
        this.members = members;
        this.section = moment.index().section(position);
        this.set = moment.index().sections(members);
    }

    /** The weight that every shortfall of this condition has at least; 1 where nothing better is known. */
    static int leastWeight(Condition condition) {
        Unit unit = Unit.MINUTE;
        if (condition instanceof Not) {
            unit = Unit.VALUE;
        } else if (condition instanceof CourseCondition.Having having) {
            unit = unit(having.facet());
        } else if (condition instanceof SectionCondition.Having || condition instanceof SetCondition.Having) {
            unit = Unit.VALUE;
        } else if (condition instanceof SetCondition.OnDays) {
            unit = Unit.DAY_OF_THE_WEEK;
        } else if (condition instanceof SectionCondition.Entries
                || condition instanceof CourseCondition.Numbers
                || condition instanceof CourseCondition.Words) {
            unit = Unit.OTHER_COURSE;
        }
        return NearMiss.weight(1, unit);
    }

    Shortfall of(Condition condition) {
        if (condition instanceof Not not) {
            return turned(not.of());
        }
        if (condition instanceof CourseCondition of) {
            return ofCourse(of);
        }
        return condition instanceof SectionCondition of ? ofSection(of) : ofSet((SetCondition) condition);
    }

    private Shortfall turned(Condition condition) {
        if (condition instanceof CourseCondition.Having having) {
            return spared(
                    having.facet(),
                    having.codes(),
                    having.match(),
                    having.facet().codesOf(section.course(), schedule));
        }
        if (condition instanceof SectionCondition.Having having) {
            return spared(
                    having.facet(),
                    having.codes(),
                    having.match(),
                    having.facet().codesOf(section));
        }
        if (condition instanceof SetCondition.Having having) {
            return spared(having.facet(), having.codes(), Facet.Match.ANY, valuesOfSet(having.facet()));
        }
        return Shortfall.whole(Unit.CONDITION, wording -> lower(condition.phrase(wording)));
    }

    /** Of a facet none of whose values {@code codes} are wanted. */
    private Shortfall spared(Facet facet, Set<String> codes, Facet.Match match, Collection<String> has) {
        Set<String> hit = both(codes, has);
        // Denying that it has all of them needs but one fewer of those it has; one that is left it would not have.
        return match == Facet.Match.ALL
                ? Shortfall.whole(Unit.VALUE, wording -> said(wording, facet, hit))
                : new Shortfall(
                        hit.size(),
                        unit(facet),
                        wording -> said(wording, facet, hit),
                        () -> some(minus(codes, hit)).map(left -> new Not(facet.having(left, match))));
    }

    private Shortfall ofCourse(CourseCondition condition) {
        if (condition instanceof CourseCondition.Having having) {
            return wanted(
                    having.facet(),
                    having.codes(),
                    having.match(),
                    having.facet().codesOf(section.course(), schedule));
        }
        CourseCode code = section.course().code();
        if (condition instanceof CourseCondition.Numbers numbers) {
            return new Shortfall(
                    1, Unit.OTHER_COURSE, wording -> "is " + section.course().written(), () -> {
                        List<NumberPattern> more = new ArrayList<>(numbers.numbers());
                        more.add(NumberPattern.exactly(code));
                        return Optional.of(new CourseCondition.Numbers(more));
                    });
        }
        if (condition instanceof CourseCondition.Words words) {
            return Shortfall.whole(Unit.OTHER_COURSE, wording -> "does not mention “" + words.text() + "”");
        }
        CourseCondition.OffRecord record = (CourseCondition.OffRecord) condition;
        return new Shortfall(
                1,
                Unit.CONDITION,
                wording -> "is on your record",
                () -> some(minus(record.taken(), Set.of(code))).map(CourseCondition.OffRecord::new));
    }

    private Shortfall ofSection(SectionCondition condition) {
        if (condition instanceof SectionCondition.Having having) {
            return wanted(
                    having.facet(),
                    having.codes(),
                    having.match(),
                    having.facet().codesOf(section));
        }
        SectionCondition.Entries entries = (SectionCondition.Entries) condition;
        return new Shortfall(1, Unit.OTHER_COURSE, wording -> "has entry number " + section.entry(), () -> {
            Set<EntryNumber> more = new TreeSet<>(entries.entries());
            more.add(section.entry());
            return Optional.of(new SectionCondition.Entries(more));
        });
    }

    /** Of a facet of which some or all values {@code codes} are wanted, and the section has others. */
    private Shortfall wanted(Facet facet, Set<String> codes, Facet.Match match, Collection<String> has) {
        if (match == Facet.Match.ALL) {
            Set<String> missing = minus(codes, has);
            return new Shortfall(
                    missing.size(),
                    unit(facet),
                    wording -> "not " + said(wording, facet, missing),
                    () -> some(minus(codes, missing)).map(left -> facet.having(left, match)));
        }
        if (has.isEmpty()) {
            return Shortfall.whole(unit(facet), wording -> "not " + said(wording, facet, codes));
        }
        return new Shortfall(1, unit(facet), wording -> said(wording, facet, has) + " instead", () -> {
            Set<String> more = new TreeSet<>(codes);
            more.add(has.iterator().next());
            return Optional.of(facet.having(more, match));
        });
    }

    private Shortfall ofSet(SetCondition condition) {
        if (condition instanceof SetCondition.Having having) {
            Set<String> others = minus(valuesOfSet(having.facet()), having.codes());
            String own = having.facet().codeOf(section, account(section));
            return new Shortfall(
                    others.size(),
                    unit(having.facet()),
                    wording -> whose(!others.contains(own)) + said(wording, having.facet(), others) + " instead",
                    () -> {
                        Set<String> more = new TreeSet<>(having.codes());
                        more.addAll(others);
                        return Optional.of(new SetCondition.Having(having.facet(), more));
                    });
        }
        if (condition instanceof SetCondition.OnDays onDays) {
            return days(onDays);
        }
        if (condition instanceof SetCondition.Between between) {
            return times(between);
        }
        if (condition instanceof SetCondition.Closed closed) {
            WeekHours within = WeekHours.of(timings(set)).and(closed.hours());
            boolean byOthers = !WeekHours.of(section.timings()).meets(closed.hours());
            return new Shortfall(
                    within.size() * WeekHours.MINUTES,
                    Unit.MINUTE,
                    wording -> whose(byOthers) + "meets " + stretches(wording, within) + ", which you closed",
                    () -> Optional.of(closed.hours().minus(within))
                            .filter(left -> !left.isEmpty())
                            .map(SetCondition.Closed::new));
        }
        if (condition instanceof SetCondition.Dates dates) {
            return dates(dates);
        }
        if (condition instanceof SetCondition.ClearOf clear) {
            return plan(clear);
        }
        return Shortfall.whole(Unit.CONDITION, wording -> "has no set time");
    }

    private Shortfall days(SetCondition.OnDays condition) {
        Days asked = condition.days();
        Days self = timetable.daysOf(position);
        Days all = Days.NONE;
        for (int member : members) {
            all = all.plus(timetable.daysOf(member));
        }
        Days together = all;
        Days wrong = switch (condition.rule()) {
            case ONLY -> minus(together, asked);
            case ALL -> (self.isEmpty() ? Days.NONE : minus(asked, self)).plus(minus(asked, together));
            case ANY -> first(self.isEmpty() ? together : self);
            case NONE -> minus(asked, minus(asked, together));
        };
        Days left = switch (condition.rule()) {
            case ONLY, ANY -> asked.plus(wrong);
            case ALL, NONE -> minus(asked, wrong);
        };
        String who = whose(!self.meets(wrong) && condition.rule() != SetCondition.DayRule.ALL);
        return new Shortfall(
                wrong.size(),
                Unit.DAY_OF_THE_WEEK,
                wording -> who
                        + switch (condition.rule()) {
                            case ONLY -> "also meets on " + names(wrong);
                            case ALL -> "does not meet on " + names(wrong);
                            case ANY -> "meets on " + names(self.isEmpty() ? together : self);
                            case NONE -> "meets on " + names(wrong);
                        },
                () -> left.isEmpty() ? Optional.empty() : Optional.of(new SetCondition.OnDays(condition.rule(), left)));
    }

    private Shortfall times(SetCondition.Between between) {
        int start = timetable.startOf(position);
        int end = timetable.endOf(position);
        for (int member : members) {
            start = Math.min(start, timetable.startOf(member));
            end = Math.max(end, timetable.endOf(member));
        }
        return times(between, start, end);
    }

    private Shortfall times(SetCondition.Between between, int start, int end) {
        int early = between.from()
                .map(from -> ClockTime.minuteOfDay(from) - start)
                .filter(minutes -> minutes > 0)
                .orElse(0);
        int late = between.to()
                .map(to -> end - ClockTime.minuteOfDay(to))
                .filter(minutes -> minutes > 0)
                .orElse(0);
        boolean byOthers =
                (early == 0 || timetable.startOf(position) > start) && (late == 0 || timetable.endOf(position) < end);
        Function<Wording, String> sentence = wording -> {
            List<String> parts = new ArrayList<>();
            if (early > 0) {
                parts.add("starts %s, %s before your window"
                        .formatted(wording.clock().format(time(start)), duration(early)));
            }
            if (late > 0) {
                parts.add("ends %s, %s after your window"
                        .formatted(wording.clock().format(time(end)), duration(late)));
            }
            return whose(byOthers) + Phrases.allOf(parts);
        };
        return new Shortfall(
                early + late,
                Unit.MINUTE,
                sentence,
                () -> Optional.of(new SetCondition.Between(
                        early > 0 ? Optional.of(time(start)) : between.from(),
                        late > 0 ? Optional.of(time(end)) : between.to())));
    }

    private Shortfall dates(SetCondition.Dates dates) {
        List<DateRange> spans = set.stream().map(each -> each.span().dates()).toList();
        LocalDate first =
                spans.stream().map(DateRange::first).min(LocalDate::compareTo).orElseThrow();
        LocalDate last =
                spans.stream().map(DateRange::last).max(LocalDate::compareTo).orElseThrow();
        int weeks = spans.stream().mapToInt(DateRange::weeks).max().orElseThrow();
        int early = Math.max(
                0,
                dates.startsFrom()
                        .map(from -> (int) ChronoUnit.DAYS.between(first, from))
                        .orElse(0));
        int late = Math.max(
                0,
                dates.endsBy()
                        .map(by -> (int) ChronoUnit.DAYS.between(by, last))
                        .orElse(0));
        int longer = Math.max(0, weeks - dates.mostWeeks().orElse(weeks));
        Function<Wording, String> sentence = wording -> {
            List<String> parts = new ArrayList<>();
            if (early > 0) {
                parts.add("starts on %s, %s early".formatted(DAY.format(first), count(early, "day")));
            }
            if (late > 0) {
                parts.add("ends on %s, %s late".formatted(DAY.format(last), count(late, "day")));
            }
            if (longer > 0) {
                parts.add("lasts %s, %s too long".formatted(count(weeks, "week"), count(longer, "week")));
            }
            return Phrases.allOf(parts);
        };
        boolean inWeeks = early + late == 0;
        return new Shortfall(
                inWeeks ? longer : early + late + 7 * longer,
                inWeeks ? Unit.WEEK : Unit.DATE,
                sentence,
                () -> Optional.of(new SetCondition.Dates(
                        early > 0 ? Optional.of(first) : dates.startsFrom(),
                        late > 0 ? Optional.of(last) : dates.endsBy(),
                        longer > 0 ? OptionalInt.of(weeks) : dates.mostWeeks())));
    }

    private Shortfall plan(SetCondition.ClearOf clear) {
        Overlaps overlaps = moment.index().timetable().overlaps();
        Predicate<Section> clashes = planned -> set.stream()
                .anyMatch(member -> !member.equals(planned)
                        && !overlaps.dates(member.timings(), planned.timings()).isEmpty());
        List<Section> clashing = clear.plan().stream()
                .flatMap(entry -> schedule.section(entry).stream())
                .filter(clashes)
                .toList();
        Set<EntryNumber> entries = clashing.stream().map(Section::entry).collect(Collectors.toSet());
        return new Shortfall(
                clashing.size(),
                Unit.SECTION_OF_THE_PLAN,
                wording -> "clashes with "
                        + Phrases.allOf(clashing.stream().map(Section::toString).toList()),
                () -> some(minus(clear.plan(), entries)).map(SetCondition.ClearOf::new));
    }

    private Set<String> valuesOfSet(SetFacet facet) {
        return set.stream()
                .map(each -> facet.codeOf(each, account(each)))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private SeatAccount account(Section of) {
        return moment.index().accountOf(of, moment.seats());
    }

    /** Who it is that falls short: the section, or only what it has to be taken with. */
    private static String whose(boolean byOthers) {
        return byOthers ? "with its companions " : "";
    }

    private String said(Wording wording, Facet facet, Collection<String> codes) {
        return lower(facet.having(new TreeSet<>(codes), Facet.Match.ANY).phrase(wording));
    }

    private static String lower(Condition.Phrase phrase) {
        return phrase.lead().isEmpty() ? phrase.text() : phrase.lead() + " " + phrase.text();
    }

    private static Unit unit(Facet facet) {
        return facet == CourseFacet.SUBJECT ? Unit.OTHER_COURSE : Unit.VALUE;
    }

    private static String stretches(Wording wording, WeekHours hours) {
        return Phrases.allOf(hours.inWords(wording.clock()));
    }

    private static List<Timing> timings(List<Section> some) {
        return some.stream().flatMap(each -> each.timings().stream()).toList();
    }

    private static String names(Days days) {
        return Phrases.allOf(days.list().stream().map(Days::shortName).toList());
    }

    private static Days minus(Days days, Days others) {
        return new Days(days.mask() & ~others.mask());
    }

    private static Days first(Days days) {
        return Days.of(days.list().get(0));
    }

    private static <T> Set<T> minus(Set<T> some, Collection<T> others) {
        Set<T> left = new HashSet<>(some);
        left.removeAll(others);
        return left;
    }

    private static <T> Set<T> both(Set<T> some, Collection<T> others) {
        Set<T> both = new HashSet<>(some);
        both.retainAll(new HashSet<>(others));
        return both;
    }

    private static <T> Optional<Set<T>> some(Set<T> values) {
        return values.isEmpty() ? Optional.empty() : Optional.of(values);
    }

    private static LocalTime time(int minute) {
        return LocalTime.of(minute / 60, minute % 60);
    }

    private static String count(int number, String what) {
        return number == 1 ? "1 " + what : "%,d %ss".formatted(number, what);
    }

    /** "20 minutes", "half an hour", "an hour", "an hour and a half", "2 hours and 10 minutes". */
    static String duration(int minutes) {
        return switch (minutes) {
            case 30 -> "half an hour";
            case 60 -> "an hour";
            case 90 -> "an hour and a half";
            default -> {
                int rest = minutes % 60;
                String hours = minutes < 60 ? "" : count(minutes / 60, "hour");
                String joint = minutes < 60 || rest == 0 ? "" : " and ";
                yield hours + joint + (rest == 0 ? "" : count(rest, "minute"));
            }
        };
    }
}

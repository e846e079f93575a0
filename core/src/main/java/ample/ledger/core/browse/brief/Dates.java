package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.MeetingColumns;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.WrittenDate;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * The span starts and ends within these dates, and lasts no longer than so many weeks; of a set, all spans do.
 *
 * @param startsFrom the first day is this or later
 * @param endsBy the last day is this or earlier
 * @param mostWeeks of a span, one begun counting as whole; 1 or more
 */
public record Dates(Optional<LocalDate> startsFrom, Optional<LocalDate> endsBy, OptionalInt mostWeeks)
        implements Condition {

    private static final String STARTS = "starts";
    private static final String ENDS = "ends";
    private static final String WEEKS = "weeks";

    static final List<Parameter> PARAMETERS = List.of(
            new Parameter(STARTS, "First day of the span, at the earliest", "2031-09-08"),
            new Parameter(ENDS, "Last day of the span, at the latest", "2031-12-10"),
            new Parameter(WEEKS, "Weeks that the span lasts, at most", "8"));

    private static final int MOST_WEEKS = 60;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    public Dates {
        Conditions.requireSome(startsFrom.isEmpty() && endsBy.isEmpty() && mostWeeks.isEmpty(), "dates");
        if (startsFrom.isPresent() && endsBy.isPresent() && startsFrom.get().isAfter(endsBy.get())) {
            throw new IllegalArgumentException(
                    "From " + startsFrom.get() + " to " + endsBy.get() + " leaves no day at all");
        }
        if (mostWeeks.isPresent() && mostWeeks.getAsInt() < 1) {
            throw new IllegalArgumentException("No span lasts " + mostWeeks.getAsInt() + " weeks");
        }
    }

    static Optional<Condition> read(AddressReader address) {
        Optional<LocalDate> starts = date(address, STARTS);
        Optional<LocalDate> ends = date(address, ENDS);
        OptionalInt weeks = address.whole(WEEKS, 1, MOST_WEEKS);
        if (starts.isPresent() && ends.isPresent() && starts.get().isAfter(ends.get())) {
            address.misread(ENDS, ends.get().toString(), "The last day must not come before " + starts.get() + ".");
            ends = Optional.empty();
        }
        return starts.isEmpty() && ends.isEmpty() && weeks.isEmpty()
                ? Optional.empty()
                : Optional.of(new Dates(starts, ends, weeks));
    }

    private static Optional<LocalDate> date(AddressReader address, String parameter) {
        LocalDate first = address.vocabulary().first().term().dates().first();
        return address.one(parameter, WrittenDate::parse, "Write a date, as in " + first + ".");
    }

    @Override
    public Topic topic() {
        return Topic.DATES;
    }

    @Override
    public CandidateSet in(Moment moment) {
        return holding(moment.index().setMeetings());
    }

    @Override
    public CandidateSet notIn(Moment moment) {
        return holding(moment.index().meetings()).complement();
    }

    private CandidateSet holding(MeetingColumns meetings) {
        CandidateSet all = meetings.layout().all();
        CandidateSet starting = startsFrom
                .map(date -> meetings.firstDay().atLeast(MeetingColumns.day(date)))
                .orElse(all);
        CandidateSet ending = endsBy.map(date -> meetings.lastDay().atMost(MeetingColumns.day(date)))
                .orElse(all);
        CandidateSet brief = mostWeeks.isEmpty() ? all : meetings.weeks().atMost(mostWeeks.getAsInt());
        return starting.and(ending).and(brief);
    }

    @Override
    public Phrase phrase(Wording wording) {
        List<String> parts = new ArrayList<>();
        startsFrom.ifPresent(date -> parts.add("starting on " + DAY.format(date) + " or later"));
        endsBy.ifPresent(date -> parts.add("ending by " + DAY.format(date)));
        mostWeeks.ifPresent(weeks -> parts.add("lasting at most " + Conditions.count(weeks, "week")));
        return new Phrase("", Phrases.allOf(parts));
    }

    @Override
    public Map<String, String> parameters() {
        Map<String, String> parameters = new LinkedHashMap<>();
        startsFrom.ifPresent(date -> parameters.put(STARTS, date.toString()));
        endsBy.ifPresent(date -> parameters.put(ENDS, date.toString()));
        mostWeeks.ifPresent(weeks -> parameters.put(WEEKS, String.valueOf(weeks)));
        return parameters;
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        List<DateRange> spans =
                candidate.set().stream().map(each -> each.span().dates()).toList();
        LocalDate first =
                spans.stream().map(DateRange::first).min(LocalDate::compareTo).orElseThrow();
        LocalDate last =
                spans.stream().map(DateRange::last).max(LocalDate::compareTo).orElseThrow();
        int weeks = spans.stream().mapToInt(DateRange::weeks).max().orElseThrow();
        int early = startsFrom.map(from -> daysFrom(first, from)).orElse(0);
        int late = endsBy.map(by -> daysFrom(by, last)).orElse(0);
        int longer = Math.max(0, weeks - mostWeeks.orElse(weeks));
        boolean inWeeks = early + late == 0;
        return new Shortfall(
                inWeeks ? longer : early + late + 7 * longer,
                inWeeks ? Unit.WEEK : Unit.DATE,
                wording -> {
                    List<String> parts = new ArrayList<>();
                    if (early > 0) {
                        parts.add(
                                "starts on %s, %s early".formatted(DAY.format(first), Conditions.count(early, "day")));
                    }
                    if (late > 0) {
                        parts.add("ends on %s, %s late".formatted(DAY.format(last), Conditions.count(late, "day")));
                    }
                    if (longer > 0) {
                        parts.add("lasts %s, %s too long"
                                .formatted(Conditions.count(weeks, "week"), Conditions.count(longer, "week")));
                    }
                    return Phrases.allOf(parts);
                },
                () -> Optional.of(new Dates(
                        early > 0 ? Optional.of(first) : startsFrom,
                        late > 0 ? Optional.of(last) : endsBy,
                        longer > 0 ? OptionalInt.of(weeks) : mostWeeks)));
    }

    /** 0 where {@code later} is not later. */
    private static int daysFrom(LocalDate date, LocalDate later) {
        return Math.max(0, (int) ChronoUnit.DAYS.between(date, later));
    }
}

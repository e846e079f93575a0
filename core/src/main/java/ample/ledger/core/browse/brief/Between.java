package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.MeetingColumns;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.calendar.ClockTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Every meeting at a set time lies between these two times of day; touching them is inside.
 *
 * @param from no meeting starts before it; empty for any start
 * @param to no meeting ends after it; empty for any end
 */
public record Between(Optional<LocalTime> from, Optional<LocalTime> to) implements Condition {

    private static final String FROM = "from";
    private static final String TO = "to";

    static final List<Parameter> PARAMETERS = List.of(
            new Parameter(FROM, "Meets nowhere before", "09:00"), new Parameter(TO, "Meets nowhere after", "15:30"));

    public Between {
        Conditions.requireSome(from.isEmpty() && to.isEmpty(), "time");
        if (from.isPresent() && to.isPresent() && !from.get().isBefore(to.get())) {
            throw new IllegalArgumentException("From " + from.get() + " to " + to.get() + " leaves no time at all");
        }
    }

    static Optional<Condition> read(AddressReader address) {
        Optional<LocalTime> from = time(address, FROM);
        Optional<LocalTime> to = time(address, TO);
        if (from.isPresent() && to.isPresent() && !from.get().isBefore(to.get())) {
            address.misread(
                    TO,
                    ClockTime.format(to.get()),
                    "The day must end after it starts at " + ClockTime.format(from.get()) + ".");
            return Optional.of(new Between(from, Optional.empty()));
        }
        return from.isEmpty() && to.isEmpty() ? Optional.empty() : Optional.of(new Between(from, to));
    }

    private static Optional<LocalTime> time(AddressReader address, String parameter) {
        return address.one(parameter, ClockTime::parse, "Write a time from 0:00 to 23:59, as in 9:30.");
    }

    @Override
    public Topic topic() {
        return Topic.TIMES;
    }

    /** What holds for the whole set holds for the section, and for what has no set times. */
    @Override
    public CandidateSet in(Moment moment) {
        return holding(moment.index().setMeetings());
    }

    @Override
    public CandidateSet notIn(Moment moment) {
        return Conditions.whileTimed(moment, meetings -> holding(meetings).complement());
    }

    private CandidateSet holding(MeetingColumns meetings) {
        CandidateSet late = from.map(time -> meetings.start().atLeast(ClockTime.minuteOfDay(time)))
                .orElseGet(() -> meetings.layout().all());
        return to.map(time -> late.and(meetings.end().atMost(ClockTime.minuteOfDay(time))))
                .orElse(late);
    }

    @Override
    public Phrase phrase(Wording wording) {
        Optional<String> start = from.map(wording.clock()::format);
        Optional<String> end = to.map(wording.clock()::format);
        if (start.isPresent() && end.isPresent()) {
            return new Phrase("", "between " + start.get() + " and " + end.get());
        }
        return new Phrase("", start.map(time -> "from " + time).orElseGet(() -> "until " + end.orElseThrow()));
    }

    @Override
    public Phrase notPhrase(Wording wording) {
        return new Phrase("", "not entirely " + phrase(wording).text());
    }

    @Override
    public Map<String, String> parameters() {
        Map<String, String> parameters = new LinkedHashMap<>();
        from.ifPresent(time -> parameters.put(FROM, time.toString()));
        to.ifPresent(time -> parameters.put(TO, time.toString()));
        return parameters;
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        int start = candidate.startOfSet();
        int end = candidate.endOfSet();
        int early = from.map(time -> ClockTime.minuteOfDay(time) - start)
                .filter(minutes -> minutes > 0)
                .orElse(0);
        int late = to.map(time -> end - ClockTime.minuteOfDay(time))
                .filter(minutes -> minutes > 0)
                .orElse(0);
        boolean byOthers = (early == 0 || candidate.start() > start) && (late == 0 || candidate.end() < end);
        return new Shortfall(
                early + late,
                Unit.MINUTE,
                wording -> {
                    List<String> parts = new ArrayList<>();
                    if (early > 0) {
                        parts.add("starts %s, %s before your window"
                                .formatted(wording.clock().format(time(start)), duration(early)));
                    }
                    if (late > 0) {
                        parts.add("ends %s, %s after your window"
                                .formatted(wording.clock().format(time(end)), duration(late)));
                    }
                    return Shortfall.whose(byOthers, Phrases.allOf(parts));
                },
                () -> Optional.of(new Between(
                        early > 0 ? Optional.of(time(start)) : from, late > 0 ? Optional.of(time(end)) : to)));
    }

    private static LocalTime time(int minute) {
        return LocalTime.of(minute / 60, minute % 60);
    }

    /** "20 minutes", "half an hour", "an hour", "an hour and a half", "2 hours and 10 minutes". */
    static String duration(int minutes) {
        return switch (minutes) {
            case 30 -> "half an hour";
            case 60 -> "an hour";
            case 90 -> "an hour and a half";
            default -> {
                int rest = minutes % 60;
                String hours = minutes < 60 ? "" : Conditions.count(minutes / 60, "hour");
                String joint = minutes < 60 || rest == 0 ? "" : " and ";
                yield hours + joint + (rest == 0 ? "" : Conditions.count(rest, "minute"));
            }
        };
    }
}

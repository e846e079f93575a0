package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.MeetingColumns;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.calendar.WeekHours;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * No meeting shares a minute with these hours of the week, which the student has painted as closed.
 *
 * @param hours some
 */
public record Closed(WeekHours hours) implements Condition {

    private static final String CLOSED = "closed";

    static final List<Parameter> PARAMETERS = List.of(new Parameter(
            CLOSED, "Hours in which nothing may meet, on the five minutes", "mon:12:00-13:15,fri:08:00-24:00"));

    private static final int MOST_STRETCHES = 3;

    public Closed {
        Conditions.requireSome(hours.isEmpty(), "closed hours");
    }

    static Optional<Condition> read(AddressReader address) {
        return Conditions.some(
                address.set(CLOSED, WeekHours::parse, "Write hours on the five minutes, as in mon:9:00-12:15."),
                stretches -> new Closed(stretches.stream().reduce(WeekHours.NONE, WeekHours::plus)));
    }

    @Override
    public Topic topic() {
        return Topic.CLOSED;
    }

    @Override
    public CandidateSet in(Moment moment) {
        return moment.index().timetable().setsMeetingIn(hours).complement();
    }

    @Override
    public CandidateSet notIn(Moment moment) {
        MeetingColumns self = moment.index().meetings();
        return self.untimed()
                .and(moment.index()
                        .setMeetings()
                        .untimed()
                        .or(moment.index().timetable().setsMeetingIn(hours)))
                .or(moment.index().timetable().sectionsMeetingIn(hours));
    }

    @Override
    public Phrase phrase(Wording wording) {
        return new Phrase("", "not " + inWords(wording));
    }

    @Override
    public Phrase notPhrase(Wording wording) {
        return new Phrase("meeting", inWords(wording));
    }

    private String inWords(Wording wording) {
        List<String> stretches = hours.inWords(wording.clock());
        return stretches.size() > MOST_STRETCHES
                ? "in %s hours of the week".formatted(hoursInAll())
                : Phrases.anyOf(stretches);
    }

    private String hoursInAll() {
        int minutes = hours.size() * WeekHours.MINUTES;
        return minutes % 60 == 0 ? String.valueOf(minutes / 60) : String.valueOf(minutes / 60.0);
    }

    @Override
    public Map<String, String> parameters() {
        return Map.of(CLOSED, hours.toString());
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        WeekHours within = WeekHours.of(candidate.set().stream()
                        .flatMap(section -> section.timings().stream())
                        .toList())
                .and(hours);
        boolean byOthers = !WeekHours.of(candidate.section().timings()).meets(hours);
        return new Shortfall(
                within.size() * WeekHours.MINUTES,
                Unit.MINUTE,
                wording -> Shortfall.whose(
                        byOthers, "meets " + Phrases.allOf(within.inWords(wording.clock())) + ", which you closed"),
                () -> Optional.of(hours.minus(within))
                        .filter(left -> !left.isEmpty())
                        .map(Closed::new));
    }
}

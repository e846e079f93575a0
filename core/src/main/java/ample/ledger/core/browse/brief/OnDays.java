package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.MeetingColumns;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.schedule.Coded;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The days met on relate to {@code days} as {@code rule} says. A field day on one Saturday counts as meeting on Saturday: a
 * student has to be there.
 *
 * @param days at least one
 * @param alone whether only the days of the section itself matter, and not those of what it is taken with
 */
public record OnDays(Rule rule, Days days, boolean alone) implements Condition {

    private static final String DAYS = "days";
    private static final String WHOSE = "days-of";
    private static final String SECTION = "section";

    static final List<Parameter> PARAMETERS = List.of(
            new Parameter(DAYS, "How the days are meant (only, all, any or none), then the days", "only:mon,wed"),
            new Parameter(
                    WHOSE,
                    "Whose days: section, those of the section alone; otherwise those of all it is taken with too",
                    SECTION));

    /** How the days met on relate to the days asked for. */
    public enum Rule implements Coded {
        /** On no other days, not even once. */
        ONLY,
        /** On every one of them, perhaps on others too. */
        ALL,
        /** On one of them or more, perhaps on others too. */
        ANY,
        /** On none of them, not even once. */
        NONE
    }

    /** Of a section with all it is taken with. */
    public OnDays(Rule rule, Days days) {
        this(rule, days, false);
    }

    public OnDays {
        Conditions.requireSome(days.isEmpty(), "day");
    }

    static Optional<Condition> read(AddressReader address) {
        Rule rule = Rule.ONLY;
        List<DayOfWeek> days = new ArrayList<>();
        for (String word : address.words(DAYS)) {
            int colon = word.indexOf(':');
            if (colon >= 0) {
                Optional<Rule> named = Coded.parse(Rule.class, word.substring(0, colon));
                if (named.isEmpty()) {
                    address.misread(DAYS, word, "Write only:, all:, any: or none: before the days.");
                }
                rule = named.orElse(rule);
            }
            String day = word.substring(colon + 1);
            if (!day.isEmpty()) {
                Days.parseDay(day)
                        .ifPresentOrElse(
                                days::add,
                                () -> address.misread(DAYS, day, "Days are mon, tue, wed, thu, fri, sat and sun."));
            }
        }
        boolean alone = address.one(WHOSE, OnDays::whose, "Write section, or leave it out.")
                .orElse(false);
        return days.isEmpty() ? Optional.empty() : Optional.of(new OnDays(rule, Days.of(days), alone));
    }

    private static Optional<Boolean> whose(String text) {
        return text.equals(SECTION) ? Optional.of(true) : Optional.empty();
    }

    /** The same of other days. */
    public OnDays on(Days others) {
        return new OnDays(rule, others, alone);
    }

    /** The same of the section by itself. */
    public OnDays byItself() {
        return new OnDays(rule, days, true);
    }

    @Override
    public Topic topic() {
        return Topic.DAYS;
    }

    /** To meet on no other days, or on none, holds for the section and for what has no set times if for the set. */
    @Override
    public CandidateSet in(Moment moment) {
        if (alone) {
            MeetingColumns self = moment.index().meetings();
            return self.untimed().or(holding(self));
        }
        return rule == Rule.ONLY || rule == Rule.NONE
                ? holding(moment.index().setMeetings())
                : Conditions.whileTimed(moment, this::holding);
    }

    @Override
    public CandidateSet notIn(Moment moment) {
        if (alone) {
            MeetingColumns self = moment.index().meetings();
            return self.untimed().or(holding(self).complement());
        }
        return Conditions.whileTimed(moment, meetings -> holding(meetings).complement());
    }

    private CandidateSet holding(MeetingColumns meetings) {
        return switch (rule) {
            case ONLY -> meetings.onAny(Days.ALL.minus(days)).complement();
            case ALL -> meetings.onAll(days);
            case ANY -> meetings.onAny(days);
            case NONE -> meetings.onAny(days).complement();
        };
    }

    @Override
    public Phrase phrase(Wording wording) {
        List<String> names = wording.vocabulary().first().institution().week().inOrder(days).stream()
                .map(Days::shortName)
                .toList();
        return new Phrase(
                "",
                switch (rule) {
                            case ONLY -> "only " + String.join(", ", names);
                            case ALL -> names.size() == 1 ? "on " + names.get(0) : "on all of " + Phrases.allOf(names);
                            case ANY ->
                                names.size() == 1 ? "on " + names.get(0) : "on at least one of " + Phrases.anyOf(names);
                            case NONE -> "not on " + Phrases.anyOf(names);
                        }
                        + (alone ? ", each by itself" : ""));
    }

    @Override
    public Phrase notPhrase(Wording wording) {
        return rule == Rule.NONE
                ? new OnDays(Rule.ANY, days, alone).phrase(wording)
                : phrase(wording).denied();
    }

    @Override
    public Map<String, String> parameters() {
        Map<String, String> parameters = new LinkedHashMap<>();
        parameters.put(DAYS, rule.code() + ":" + days.join(",").toLowerCase(Locale.ROOT));
        if (alone) {
            parameters.put(WHOSE, SECTION);
        }
        return parameters;
    }

    @Override
    public Unit leastShortfall() {
        return Unit.DAY_OF_THE_WEEK;
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        Days self = candidate.days();
        Days together = alone ? self : candidate.daysOfSet();
        Days met = self.isEmpty() ? together : self;
        Days wrong = switch (rule) {
            case ONLY -> together.minus(days);
            case ALL -> (self.isEmpty() ? Days.NONE : days.minus(self)).plus(days.minus(together));
            case ANY -> Days.of(met.list().get(0));
            case NONE -> days.and(together);
        };
        Days left = switch (rule) {
            case ONLY, ANY -> days.plus(wrong);
            case ALL, NONE -> days.minus(wrong);
        };
        boolean byOthers = !self.meets(wrong) && rule != Rule.ALL;
        String sentence = switch (rule) {
            case ONLY -> "also meets on " + names(wrong);
            case ALL -> "does not meet on " + names(wrong);
            case ANY -> "meets on " + names(met);
            case NONE -> "meets on " + names(wrong);
        };
        return new Shortfall(
                wrong.size(),
                Unit.DAY_OF_THE_WEEK,
                wording -> Shortfall.whose(byOthers, sentence),
                () -> left.isEmpty() ? Optional.empty() : Optional.of(on(left)));
    }

    private static String names(Days days) {
        return Phrases.allOf(Conditions.names(days));
    }
}

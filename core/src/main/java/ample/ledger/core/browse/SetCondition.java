package ample.ledger.core.browse;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.EntryNumber;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A condition on the section and on the complete set it is taken in: it must hold for the section by itself, and for the
 * meetings, places and seats of the whole set taken as one.
 *
 * <p>What has no set times satisfies every condition on days and times, also one turned round: it can be done whenever the
 * student likes. {@link Timed} leaves such sections out.
 */
public sealed interface SetCondition extends Condition {

    /**
     * The section, and every other of the set, has one of these values of the facet.
     *
     * @param codes at least one
     */
    record Having(SetFacet facet, Set<String> codes) implements SetCondition {

        public Having {
            codes = FacetValues.sorted(facet, codes);
        }

        @Override
        public Topic topic() {
            return facet.topic();
        }

        @Override
        public CandidateSet in(Moment moment) {
            return moment.facet(facet).only(codes);
        }

        /** No section of the set has one of the values. */
        @Override
        public CandidateSet notIn(Moment moment) {
            return moment.facet(facet).any(codes).complement();
        }

        @Override
        public Phrase phrase(Wording wording) {
            return FacetValues.phrase(wording, facet, codes, Facet.Match.ANY);
        }

        @Override
        public Map<String, String> parameters() {
            return FacetValues.parameters(facet, codes, Facet.Match.ANY);
        }
    }

    /** How the days met on relate to the days asked for. */
    enum DayRule implements Coded {
        /** On no other days, not even once. */
        ONLY,
        /** On every one of them, perhaps on others too. */
        ALL,
        /** On one of them or more, perhaps on others too. */
        ANY,
        /** On none of them, not even once. */
        NONE
    }

    /**
     * The days met on relate to {@code days} as {@code rule} says. A field day on one Saturday counts as meeting on
     * Saturday: a student has to be there.
     *
     * @param days at least one
     */
    record OnDays(DayRule rule, Days days) implements SetCondition {

        public OnDays {
            requireSome(days.isEmpty(), "day");
        }

        @Override
        public Topic topic() {
            return Topic.DAYS;
        }

        /** To meet on no other days, or on none, holds for the section and for what has no set times if for the set. */
        @Override
        public CandidateSet in(Moment moment) {
            return rule == DayRule.ONLY || rule == DayRule.NONE
                    ? holding(moment.index().setMeetings())
                    : whileTimed(moment, this::holding);
        }

        @Override
        public CandidateSet notIn(Moment moment) {
            return whileTimed(moment, meetings -> holding(meetings).complement());
        }

        private CandidateSet holding(MeetingColumns meetings) {
            return switch (rule) {
                case ONLY ->
                    meetings.onAny(new Days(Days.ALL.mask() & ~days.mask())).complement();
                case ALL -> meetings.onAll(days);
                case ANY -> meetings.onAny(days);
                case NONE -> meetings.onAny(days).complement();
            };
        }

        @Override
        public Phrase phrase(Wording wording) {
            List<String> names = days.list().stream().map(Days::shortName).toList();
            return new Phrase(
                    "",
                    switch (rule) {
                        case ONLY -> "only " + String.join(", ", names);
                        case ALL -> names.size() == 1 ? "on " + names.get(0) : "on all of " + Phrases.allOf(names);
                        case ANY ->
                            names.size() == 1 ? "on " + names.get(0) : "on at least one of " + Phrases.anyOf(names);
                        case NONE -> "not on " + Phrases.anyOf(names);
                    });
        }

        @Override
        public Phrase notPhrase(Wording wording) {
            return rule == DayRule.NONE
                    ? new OnDays(DayRule.ANY, days).phrase(wording)
                    : SetCondition.super.notPhrase(wording);
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("days", rule.code() + ":" + days.join(",").toLowerCase(Locale.ROOT));
        }
    }

    /**
     * Every meeting at a set time lies between these two times of day; touching them is inside.
     *
     * @param from no meeting starts before it; empty for any start
     * @param to no meeting ends after it; empty for any end
     */
    record Between(Optional<LocalTime> from, Optional<LocalTime> to) implements SetCondition {

        public Between {
            requireSome(from.isEmpty() && to.isEmpty(), "time");
            if (from.isPresent() && to.isPresent() && !from.get().isBefore(to.get())) {
                throw new IllegalArgumentException("From " + from.get() + " to " + to.get() + " leaves no time at all");
            }
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
            return whileTimed(moment, meetings -> holding(meetings).complement());
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
            from.ifPresent(time -> parameters.put("from", time.toString()));
            to.ifPresent(time -> parameters.put("to", time.toString()));
            return parameters;
        }
    }

    /**
     * No meeting shares a minute with these hours of the week, which the student has painted as closed.
     *
     * @param hours some
     */
    record Closed(WeekHours hours) implements SetCondition {

        private static final int MOST_STRETCHES = 3;

        public Closed {
            requireSome(hours.isEmpty(), "closed hours");
        }

        @Override
        public Topic topic() {
            return Topic.CLOSED;
        }

        @Override
        public CandidateSet in(Moment moment) {
            return moment.index().meetingIn(hours).complement();
        }

        @Override
        public CandidateSet notIn(Moment moment) {
            MeetingColumns self = moment.index().meetings();
            return self.untimed()
                    .and(moment.index()
                            .setMeetings()
                            .untimed()
                            .or(moment.index().meetingIn(hours)))
                    .or(moment.index().itselfMeetingIn(hours));
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
            return Map.of("closed", hours.toString());
        }
    }

    /** There is at least one set time. */
    record Timed() implements SetCondition {

        @Override
        public Topic topic() {
            return Topic.UNTIMED;
        }

        @Override
        public CandidateSet in(Moment moment) {
            return moment.index().meetings().untimed().complement();
        }

        /** The whole set has no set time. */
        @Override
        public CandidateSet notIn(Moment moment) {
            return moment.index().setMeetings().untimed();
        }

        @Override
        public Phrase phrase(Wording wording) {
            return new Phrase("", "leaving out sections with no set time");
        }

        @Override
        public Phrase notPhrase(Wording wording) {
            return new Phrase("", "only sections with no set time");
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("untimed", "no");
        }
    }

    /**
     * The span starts and ends within these dates, and lasts no longer than so many weeks; of a set, all spans do.
     *
     * @param startsFrom the first day is this or later
     * @param endsBy the last day is this or earlier
     * @param mostWeeks of a span, one begun counting as whole; 1 or more
     */
    record Dates(Optional<LocalDate> startsFrom, Optional<LocalDate> endsBy, OptionalInt mostWeeks)
            implements SetCondition {

        private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

        public Dates {
            requireSome(startsFrom.isEmpty() && endsBy.isEmpty() && mostWeeks.isEmpty(), "dates");
            if (startsFrom.isPresent() && endsBy.isPresent() && startsFrom.get().isAfter(endsBy.get())) {
                throw new IllegalArgumentException(
                        "From " + startsFrom.get() + " to " + endsBy.get() + " leaves no day at all");
            }
            if (mostWeeks.isPresent() && mostWeeks.getAsInt() < 1) {
                throw new IllegalArgumentException("No span lasts " + mostWeeks.getAsInt() + " weeks");
            }
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
            mostWeeks.ifPresent(weeks -> parts.add("lasting at most " + (weeks == 1 ? "1 week" : weeks + " weeks")));
            return new Phrase("", Phrases.allOf(parts));
        }

        @Override
        public Map<String, String> parameters() {
            Map<String, String> parameters = new LinkedHashMap<>();
            startsFrom.ifPresent(date -> parameters.put("starts", date.toString()));
            endsBy.ifPresent(date -> parameters.put("ends", date.toString()));
            mostWeeks.ifPresent(weeks -> parameters.put("weeks", String.valueOf(weeks)));
            return parameters;
        }
    }

    /**
     * So many seats are open to the student, and at most so many people wait before them. Seats are counted over companions:
     * where several groups share one lecture, the lecture has as many seats as they have together, yet no more than its
     * own; groups with a longer queue are not counted. The set taken must itself have a seat in each of its sections. A
     * cancelled section has none.
     *
     * @param atLeast 0 or more
     * @param waitingAtMost 0 or more; empty for any number
     */
    record Seats(int atLeast, OptionalInt waitingAtMost) implements SetCondition {

        public Seats {
            requireSome(atLeast == 0 && waitingAtMost.isEmpty(), "number of seats");
            if (atLeast < 0 || waitingAtMost.orElse(0) < 0) {
                throw new IllegalArgumentException("Seats and people waiting cannot be fewer than 0");
            }
        }

        @Override
        public Topic topic() {
            return Topic.SEATS;
        }

        @Override
        public CandidateSet in(Moment moment) {
            return moment.seats().takeable(atLeast, mostWaiting());
        }

        @Override
        public CandidateSet notIn(Moment moment) {
            return moment.seats().having(atLeast, mostWaiting()).complement();
        }

        int mostWaiting() {
            return waitingAtMost.orElse(Integer.MAX_VALUE);
        }

        @Override
        public Phrase phrase(Wording wording) {
            Optional<String> seats = atLeast == 0
                    ? Optional.empty()
                    : Optional.of(atLeast == 1 ? "1 or more seats" : "%,d or more seats".formatted(atLeast));
            Optional<String> waiting = waitingAtMost.isEmpty()
                    ? Optional.empty()
                    : Optional.of(
                            waitingAtMost.getAsInt() == 0
                                    ? "nobody waiting"
                                    : "at most %,d waiting".formatted(waitingAtMost.getAsInt()));
            String both = seats.isPresent() && waiting.isPresent() ? " and " : "";
            return new Phrase("with", seats.orElse("") + both + waiting.orElse(""));
        }

        @Override
        public Phrase notPhrase(Wording wording) {
            return new Phrase("without", phrase(wording).text());
        }

        @Override
        public Map<String, String> parameters() {
            Map<String, String> parameters = new LinkedHashMap<>();
            if (atLeast > 0) {
                parameters.put("seats", String.valueOf(atLeast));
            }
            waitingAtMost.ifPresent(most -> parameters.put("waiting", String.valueOf(most)));
            return parameters;
        }
    }

    /**
     * No meeting is ever held at the time of one of these sections: date for date, so that two halves of a term do not
     * clash. A section does not clash with itself.
     *
     * @param plan at least one; those that the term does not have clash with nothing
     */
    record ClearOf(Set<EntryNumber> plan) implements SetCondition {

        public ClearOf {
            requireSome(plan.isEmpty(), "plan");
            plan = Collections.unmodifiableSortedSet(new TreeSet<>(plan));
        }

        @Override
        public Topic topic() {
            return Topic.PLAN;
        }

        @Override
        public CandidateSet in(Moment moment) {
            return moment.index().clashing(plan, true).complement();
        }

        @Override
        public CandidateSet notIn(Moment moment) {
            return moment.index().clashing(plan, false);
        }

        @Override
        public Phrase phrase(Wording wording) {
            return new Phrase("clear of", sections());
        }

        @Override
        public Phrase notPhrase(Wording wording) {
            return new Phrase("clashing with", sections());
        }

        private String sections() {
            return plan.size() == 1
                    ? "the section in your plan"
                    : "the %d sections in your plan".formatted(plan.size());
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("plan", plan.stream().map(EntryNumber::digits).collect(Collectors.joining(",")));
        }
    }

    /** The candidates for which this holds both of the section and of the set, each of them untimed or {@code holding}. */
    private static CandidateSet whileTimed(Moment moment, Function<MeetingColumns, CandidateSet> holding) {
        MeetingColumns self = moment.index().meetings();
        MeetingColumns set = moment.index().setMeetings();
        return self.untimed().or(holding.apply(self)).and(set.untimed().or(holding.apply(set)));
    }

    private static void requireSome(boolean nothing, String what) {
        if (nothing) {
            throw new IllegalArgumentException("A condition on the " + what + " must say which");
        }
    }
}

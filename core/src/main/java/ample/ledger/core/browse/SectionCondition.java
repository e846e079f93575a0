package ample.ledger.core.browse;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.Schedule;
import java.time.LocalTime;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * A condition on the section itself.
 *
 * <p>A section without set times satisfies every condition on days and times: it can be done whenever the student likes.
 * {@link Timed} leaves such sections out.
 */
public sealed interface SectionCondition extends Condition {

    /**
     * The section is posted under one of these campuses.
     *
     * @param codes at least one
     */
    record At(Set<String> codes) implements SectionCondition {

        public At {
            requireSome(codes.isEmpty(), "campus");
            codes = Collections.unmodifiableSortedSet(new TreeSet<>(codes));
        }

        @Override
        public Topic topic() {
            return Topic.CAMPUS;
        }

        @Override
        public SectionSet in(TermIndex index) {
            return index.any(codes, index::at);
        }

        @Override
        public Phrase phrase(Schedule schedule) {
            List<Campus> campuses = schedule.campuses().stream()
                    .filter(campus -> codes.contains(campus.code()))
                    .toList();
            String names = Wording.anyOf(campuses.stream().map(Campus::name).toList());
            boolean placed = campuses.stream().anyMatch(campus -> !campus.remote());
            return placed ? new Phrase("at", names) : new Phrase("", names.toLowerCase(Locale.ROOT));
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("at", String.join(",", codes));
        }
    }

    /** How the days that a section meets on relate to the days asked for. */
    enum DayRule implements Coded {
        /** It meets on no other days, not even once. */
        ONLY,
        /** It meets on every one of them, perhaps on others too. */
        ALL,
        /** It meets on one of them or more, perhaps on others too. */
        ANY
    }

    /**
     * The days that the section meets on relate to {@code days} as {@code rule} says. A field day on one Saturday counts
     * as meeting on Saturday: a student has to be there.
     *
     * @param days at least one
     */
    record OnDays(DayRule rule, Days days) implements SectionCondition {

        public OnDays {
            requireSome(days.isEmpty(), "day");
        }

        @Override
        public Topic topic() {
            return Topic.DAYS;
        }

        @Override
        public SectionSet in(TermIndex index) {
            return switch (rule) {
                case ONLY -> index.meetingOutside(days).complement();
                case ALL -> index.meetingOnAll(days).or(index.untimed());
                case ANY -> index.meetingOnAny(days).or(index.untimed());
            };
        }

        @Override
        public Phrase phrase(Schedule schedule) {
            List<String> names = days.list().stream().map(Days::shortName).toList();
            return new Phrase(
                    "",
                    switch (rule) {
                        case ONLY -> "only " + String.join(", ", names);
                        case ALL -> names.size() == 1 ? "on " + names.get(0) : "on all of " + Wording.allOf(names);
                        case ANY ->
                            names.size() == 1 ? "on " + names.get(0) : "on at least one of " + Wording.anyOf(names);
                    });
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
    record Between(Optional<LocalTime> from, Optional<LocalTime> to) implements SectionCondition {

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

        @Override
        public SectionSet in(TermIndex index) {
            return index.within(
                    from.map(ClockTime::minuteOfDay).orElse(0),
                    to.map(ClockTime::minuteOfDay).orElse(24 * 60));
        }

        @Override
        public Phrase phrase(Schedule schedule) {
            Optional<String> start = from.map(ClockTime::format);
            Optional<String> end = to.map(ClockTime::format);
            if (start.isPresent() && end.isPresent()) {
                return new Phrase("", "between " + start.get() + " and " + end.get());
            }
            return new Phrase("", start.map(time -> "from " + time).orElseGet(() -> "until " + end.orElseThrow()));
        }

        @Override
        public Map<String, String> parameters() {
            Map<String, String> parameters = new LinkedHashMap<>();
            from.ifPresent(time -> parameters.put("from", time.toString()));
            to.ifPresent(time -> parameters.put("to", time.toString()));
            return parameters;
        }
    }

    /** The section has at least one set time. */
    record Timed() implements SectionCondition {

        @Override
        public Topic topic() {
            return Topic.UNTIMED;
        }

        @Override
        public SectionSet in(TermIndex index) {
            return index.untimed().complement();
        }

        @Override
        public Phrase phrase(Schedule schedule) {
            return new Phrase("", "leaving out sections with no set time");
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("untimed", "no");
        }
    }

    /**
     * The section is taught in one of these ways, as its meetings say.
     *
     * @param deliveries at least one
     */
    record Taught(Set<Delivery> deliveries) implements SectionCondition {

        public Taught {
            requireSome(deliveries.isEmpty(), "delivery");
            deliveries = Collections.unmodifiableSet(EnumSet.copyOf(deliveries));
        }

        @Override
        public Topic topic() {
            return Topic.DELIVERY;
        }

        @Override
        public SectionSet in(TermIndex index) {
            return index.any(deliveries, index::taught);
        }

        @Override
        public Phrase phrase(Schedule schedule) {
            return new Phrase(
                    "taught",
                    Wording.anyOf(deliveries.stream().map(Delivery::label).toList()));
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("delivery", deliveries.stream().map(Delivery::code).collect(Collectors.joining(",")));
        }
    }

    /**
     * So many seats are open to the student, and at most so many people wait before them. A cancelled section has none.
     *
     * @param atLeast 0 or more
     * @param waitingAtMost 0 or more; empty for any number
     */
    record Seats(int atLeast, OptionalInt waitingAtMost) implements SectionCondition {

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
        public SectionSet in(TermIndex index) {
            return index.withSeats(atLeast, waitingAtMost.orElse(Integer.MAX_VALUE));
        }

        @Override
        public Phrase phrase(Schedule schedule) {
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
        public Map<String, String> parameters() {
            Map<String, String> parameters = new LinkedHashMap<>();
            if (atLeast > 0) {
                parameters.put("seats", String.valueOf(atLeast));
            }
            waitingAtMost.ifPresent(most -> parameters.put("waiting", String.valueOf(most)));
            return parameters;
        }
    }

    private static void requireSome(boolean nothing, String what) {
        if (nothing) {
            throw new IllegalArgumentException("A condition on the " + what + " must say which");
        }
    }
}

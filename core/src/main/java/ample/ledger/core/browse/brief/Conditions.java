package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.MeetingColumns;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.calendar.Days;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;

/** What several conditions have in common. */
final class Conditions {

    private Conditions() {}

    /** @throws IllegalArgumentException when there is nothing to ask for */
    static void requireSome(boolean nothing, String what) {
        if (nothing) {
            throw new IllegalArgumentException("A condition on the " + what + " must say which");
        }
    }

    /** The values in their order, at least one. */
    static <T> Set<T> sorted(Set<T> values, String what) {
        requireSome(values.isEmpty(), what);
        return Collections.unmodifiableSortedSet(new TreeSet<>(values));
    }

    /** The condition on these values; empty where there is none. */
    static <T> Optional<Condition> some(Set<T> values, Function<Set<T>, Condition> condition) {
        return values.isEmpty() ? Optional.empty() : Optional.of(condition.apply(values));
    }

    /** The candidates for which this holds both of the section and of the set, each of them untimed or {@code holding}. */
    static CandidateSet whileTimed(Moment moment, Function<MeetingColumns, CandidateSet> holding) {
        MeetingColumns self = moment.index().meetings();
        MeetingColumns set = moment.index().setMeetings();
        return self.untimed().or(holding.apply(self)).and(set.untimed().or(holding.apply(set)));
    }

    static List<String> names(Days days) {
        return days.list().stream().map(Days::shortName).toList();
    }

    /** "1 day", "3 days". */
    static String count(int number, String what) {
        return number == 1 ? "1 " + what : "%,d %ss".formatted(number, what);
    }
}

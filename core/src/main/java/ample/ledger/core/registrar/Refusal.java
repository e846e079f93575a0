package ample.ledger.core.registrar;

import ample.ledger.core.schedule.Coded;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One reason why the registrar refuses a request.
 *
 * @param code of a {@link Reason}; another registrar may have reasons that this program does not know
 * @param about the section that it is about
 * @param with other sections that it comes of: what it clashes with, what stands in its place; none where it comes of none
 * @param what who put a hold on, which course is missing, whose permission, whose restriction; empty where nothing more is to be said
 * @param minutes of a clash on one date; at least 1
 * @param when since when, or until when, on the institution's wall clock
 * @param words the same in the registrar's own words, a whole sentence
 */
public record Refusal(
        String code,
        Entry about,
        List<Entry> with,
        Optional<String> what,
        Optional<Integer> minutes,
        Optional<LocalDateTime> when,
        String words) {

    /** Why something is refused. */
    public enum Reason implements Coded {
        UNKNOWN_ENTRY,
        HOLD,
        NOT_YET_OPEN,
        /** Closed to late entry: the last day to add has gone by, or registration is closed to the student. */
        CLOSED,
        CANCELLED,
        RESTRICTED,
        PREREQUISITE,
        NEEDS_PERMISSION,
        COREQUISITE,
        COMPANION_MISSING,
        /** A companion that goes with another section than the one that is there. */
        COMPANION_OF_ANOTHER,
        CLASH,
        SAME_COURSE,
        /** One class, posted twice. */
        TWIN,
        /** Credit is given for one of the two only. */
        EXCLUDED,
        OVER_LIMIT,
        ALREADY_REGISTERED,
        /** Waiting already, or offered a seat already. */
        ALREADY_WAITING,
        /** Full; the waitlist has places. */
        FULL_WAITLIST_OPEN,
        /** Full, without a place on a waitlist. */
        FULL,
        WAITLIST_FULL,
        /** There are seats: nobody waits for what can be had. */
        NOT_FULL,
        /** The offer is over, or there never was one. */
        OFFER_LAPSED,
        NOT_REGISTERED,
        TOO_LATE_TO_DROP,
        /** Until a wish round ends, its places can only be wished. */
        BY_WISHES
    }

    public Refusal {
        with = with == null ? List.of() : List.copyOf(with);
    }

    /** What this program knows it as; empty for a reason of another registrar's. */
    public Optional<Reason> reason() {
        return Coded.parse(Reason.class, code);
    }

    public boolean is(Reason reason) {
        return code.equals(reason.code());
    }

    /** One that says no more than its words. */
    public static Refusal of(Reason reason, Entry about, String words) {
        return new Refusal(
                reason.code(), about, List.of(), Optional.empty(), Optional.empty(), Optional.empty(), words);
    }

    public Refusal with(List<Entry> others) {
        return new Refusal(code, about, others, what, minutes, when, words);
    }

    public Refusal what(String name) {
        return new Refusal(code, about, with, Optional.of(name), minutes, when, words);
    }

    public Refusal minutes(int some) {
        return new Refusal(code, about, with, what, Optional.of(some), when, words);
    }

    public Refusal when(@Nullable LocalDateTime moment) {
        return new Refusal(code, about, with, what, minutes, Optional.ofNullable(moment), words);
    }
}

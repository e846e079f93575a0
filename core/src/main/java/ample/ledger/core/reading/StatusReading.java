package ample.ledger.core.reading;

import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.WishRound;
import java.time.LocalDateTime;
import java.util.List;

/**
 * Whether a section can be had at one moment, by one person or by anybody, and why.
 *
 * <p>Of several reasons the first that decides makes the status: a cancelled section is nothing else; after the last day to
 * add, before registration opens, and until a wish round ends, seats do not matter; permission and restrictions matter where there is a place.
 *
 * @param reasons all that stand in the way, and what will not for long, the one that decides first; none where nothing does
 * @param seats as they stand for this person; what is held for a group of theirs is not taken off
 * @param yours seats held for groups that the person belongs to
 * @param perhapsYours seats held for other groups to which they may belong: it is not known
 */
public record StatusReading(
        Status status,
        List<Reason> reasons,
        SeatAccount seats,
        List<SeatPool.Held> yours,
        List<SeatPool.Held> perhapsYours) {

    public StatusReading {
        reasons = List.copyOf(reasons);
        yours = List.copyOf(yours);
        perhapsYours = List.copyOf(perhapsYours);
    }

    /** Why a section cannot be had, or not yet. */
    public sealed interface Reason {

        /** The last day to add has gone by. */
        record AddingEnded(BindingDate last) implements Reason {}

        /** Registration is closed to the person, though not to everybody. */
        record ClosedToYou(LocalDateTime since) implements Reason {}

        /** Registration has not opened yet: for the person, or, of nobody in particular, for anybody. */
        record OpensLater(Opening opening) implements Reason {}

        /** Registration has opened for some, and opens later for these; only where it is not known which opening is the person's. */
        record OpensLaterForSome(Opening opening) implements Reason {}

        /** The person is not one of those who may take it. */
        record NotForYou(Restriction restriction) implements Reason {}

        /** Not everybody may take it, and it is not known whether the person may, or only people can judge it. */
        record NotForAll(Restriction restriction) implements Reason {}

        /** Nobody takes it without somebody's permission, and the person has not got it. */
        record AsksPermission(String by) implements Reason {}

        /** Until the period of a wish round ends, places can only be wished. */
        record ByWishes(WishRound round) implements Reason {}
    }

    /** Seats that the person could take now, or, where that is not known, perhaps could; 0 or more. */
    public int open() {
        return switch (status) {
            case OPEN -> seats.open();
            case OPEN_TO_SOME -> seats.open() > 0 ? seats.open() : Math.min(seats.free(), heldPerhapsYours());
            case OPEN_BUT_NOT_TO_YOU,
                    FULL_WAITLIST_OPEN,
                    FULL,
                    CANCELLED,
                    NOT_YET_OPEN,
                    CLOSED_TO_LATE_ENTRY,
                    BY_PERMISSION,
                    BY_WISHES -> 0;
        };
    }

    private int heldPerhapsYours() {
        return perhapsYours.stream().mapToInt(SeatPool.Held::seats).sum();
    }
}

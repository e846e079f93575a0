package ample.ledger.core.registrar;

import ample.ledger.core.schedule.Coded;
import java.util.List;

/**
 * What the registrar says to one request.
 *
 * @param places on waitlists; some where the outcome is to wait, none otherwise
 * @param refusals every reason why nothing was done; some where it was refused, none otherwise
 */
public record Answer(Outcome outcome, List<Place> places, List<Refusal> refusals) {

    public static final Answer DONE = new Answer(Outcome.DONE, List.of(), List.of());

    /** What became of it. */
    public enum Outcome implements Coded {
        DONE,
        WAITING,
        REFUSED;

        /** As files have it. */
        @Override
        public String toString() {
            return code();
        }
    }

    /**
     * A place on a waitlist.
     *
     * @param place 1 for the first
     * @param waiting how many wait there, this student among them
     */
    public record Place(Entry part, int place, int waiting) {}

    public Answer {
        places = places == null ? List.of() : List.copyOf(places);
        refusals = refusals == null ? List.of() : List.copyOf(refusals);
    }

    public static Answer waiting(List<Place> places) {
        return new Answer(Outcome.WAITING, places, List.of());
    }

    public static Answer refused(List<Refusal> refusals) {
        return new Answer(Outcome.REFUSED, List.of(), refusals);
    }

    public boolean wasRefused() {
        return outcome == Outcome.REFUSED;
    }

    public boolean isRefusedFor(Refusal.Reason reason) {
        return refusals.stream().anyMatch(refusal -> refusal.is(reason));
    }
}

package ample.ledger.core.registrar;

import ample.ledger.core.schedule.Coded;
import java.util.List;

/**
 * One thing that a student asks of the registrar. It is done as a whole, or nothing of it is.
 *
 * @param act what is asked
 * @param set the sections that it is about: what is to be had, or, of a drop, what is given up; at least one
 * @param instead what a swap gives up; none of any other act
 */
public record Request(Act act, List<Entry> set, List<Entry> instead) {

    /** What can be asked. */
    public enum Act implements Coded {
        /** A seat in each of a set: a lecture with its lab, or courses that must be taken together. */
        REGISTER,
        /** A place on the waitlist of each full section of a set. */
        WAIT,
        /** The seat that was offered, with whatever else its set needs. */
        TAKE_UP,
        /** One set for another. If the new one cannot be had, the old one stays. */
        SWAP,
        /** To give up a set, a place on a waitlist, or an offer. */
        DROP;

        /** As files have it. */
        @Override
        public String toString() {
            return code();
        }
    }

    /** @throws IllegalArgumentException where nothing is asked for, and where only a swap would make sense of it */
    public Request {
        set = List.copyOf(set);
        instead = instead == null ? List.of() : List.copyOf(instead);
        if (set.isEmpty()) {
            throw new IllegalArgumentException("A request names at least one section");
        }
        if ((act == Act.SWAP) == instead.isEmpty()) {
            throw new IllegalArgumentException(
                    act == Act.SWAP ? "A swap names what is given up" : "Only a swap gives up one thing for another");
        }
    }

    public static Request register(List<Entry> set) {
        return new Request(Act.REGISTER, set, List.of());
    }

    public static Request wait(List<Entry> set) {
        return new Request(Act.WAIT, set, List.of());
    }

    public static Request takeUp(List<Entry> set) {
        return new Request(Act.TAKE_UP, set, List.of());
    }

    public static Request swap(List<Entry> out, List<Entry> in) {
        return new Request(Act.SWAP, in, out);
    }

    public static Request drop(List<Entry> set) {
        return new Request(Act.DROP, set, List.of());
    }
}

package ample.ledger.core.registrar;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * What a student has at the registrar at a moment.
 *
 * @param asOf by the institution's clock
 * @param registered in no particular order
 * @param waiting places on waitlists, the longest first
 * @param offers seats that are promised and not yet taken up, the soonest to lapse first
 */
public record Registration(Instant asOf, List<Entry> registered, List<Waiting> waiting, List<Offer> offers) {

    /** Of a student who has nothing. */
    public static Registration nothing(Instant asOf) {
        return new Registration(asOf, List.of(), List.of(), List.of());
    }

    public Registration {
        registered = List.copyOf(registered);
        waiting = List.copyOf(waiting);
        offers = List.copyOf(offers);
    }

    /**
     * A place on a waitlist.
     *
     * @param set what is to be had in the end, the full section among it
     */
    public record Waiting(List<Entry> set, Answer.Place place) {

        public Waiting {
            set = List.copyOf(set);
        }
    }

    /**
     * A seat that is kept for the student.
     *
     * @param set what is to be had in the end, the offered section among it
     * @param part the section in which the seat is
     * @param until when it goes to the next
     */
    public record Offer(List<Entry> set, Entry part, Instant until) {

        public Offer {
            set = List.copyOf(set);
        }
    }

    public boolean isRegistered(Entry entry) {
        return registered.contains(entry);
    }

    /** The place on the waitlist of a section. */
    public Optional<Waiting> waitingFor(Entry entry) {
        return waiting.stream().filter(one -> one.place().part().equals(entry)).findFirst();
    }

    /** The seat that is offered in a section. */
    public Optional<Offer> offerOf(Entry entry) {
        return offers.stream().filter(one -> one.part().equals(entry)).findFirst();
    }
}

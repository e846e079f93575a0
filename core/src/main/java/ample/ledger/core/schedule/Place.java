package ample.ledger.core.schedule;

/** Where a meeting is held. To be announced is a place too. */
public sealed interface Place {

    /** A room of a building. */
    record Room(Building building, String room) implements Place {}

    /** In this building, the room to be announced. */
    record RoomToBeAnnounced(Building building) implements Place {}

    /** Anywhere with a connection. */
    record Online() implements Place {}

    /** Somewhere on this campus, to be announced. */
    record ToBeAnnounced(Campus campus) implements Place {}

    /** Outdoors or elsewhere, in the registrar's own words: "the Boathouse steps". */
    record Named(String words) implements Place {}
}

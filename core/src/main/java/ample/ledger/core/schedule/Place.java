package ample.ledger.core.schedule;

/** Where a meeting is held. To be announced is a place too. */
public sealed interface Place {

    /** As people say it: "Sluice Hall 204", "Online", "Flume House, room to be announced", "the Boathouse steps". */
    String inWords();

    /** A room of a building. */
    record Room(Building building, String room) implements Place {

        @Override
        public String inWords() {
            return building.name() + " " + room;
        }
    }

    /** In this building, the room to be announced. */
    record RoomToBeAnnounced(Building building) implements Place {

        @Override
        public String inWords() {
            return building.name() + ", room to be announced";
        }
    }

    /** Anywhere with a connection. */
    record Online() implements Place {

        @Override
        public String inWords() {
            return "Online";
        }
    }

    /** Somewhere on this campus, to be announced. */
    record ToBeAnnounced(Campus campus) implements Place {

        @Override
        public String inWords() {
            return "Place to be announced";
        }
    }

    /** Outdoors or elsewhere, in the registrar's own words: "the Boathouse steps". */
    record Named(String words) implements Place {

        @Override
        public String inWords() {
            return words;
        }
    }
}

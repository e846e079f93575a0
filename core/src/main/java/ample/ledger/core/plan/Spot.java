package ample.ledger.core.plan;

import ample.ledger.core.schedule.Building;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Section;
import java.util.Optional;

/** Where a student has to be: on a campus, in one of its buildings as far as that is known. */
public record Spot(Campus campus, Optional<Building> building) {

    /** Of a meeting of {@code section}; empty where no one has to be anywhere. A place in the registrar's own words is on its campus. */
    static Optional<Spot> of(Place place, Section section) {
        Optional<Spot> spot = Optional.empty();
        if (place instanceof Place.Room room) {
            spot = Optional.of(in(room.building()));
        } else if (place instanceof Place.RoomToBeAnnounced somewhere) {
            spot = Optional.of(in(somewhere.building()));
        } else if (place instanceof Place.ToBeAnnounced somewhere) {
            spot = Optional.of(new Spot(somewhere.campus(), Optional.empty()));
        } else if (place instanceof Place.Named) {
            spot = Optional.of(new Spot(section.campus(), Optional.empty()));
        }
        return spot.filter(known -> !known.campus().remote());
    }

    private static Spot in(Building building) {
        return new Spot(building.campus(), Optional.of(building));
    }
}

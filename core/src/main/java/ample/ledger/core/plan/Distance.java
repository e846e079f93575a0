package ample.ledger.core.plan;

import ample.ledger.core.schedule.Building;

/** How far apart buildings are, and how long it takes to walk. */
final class Distance {

    /** The mean radius of the earth in metres: International Union of Geodesy and Geophysics, R1 of GRS 80 (from memory). */
    private static final double RADIUS = 6_371_008.8;

    /** 3.5 feet a second, at which the MUTCD times pedestrian signals (from memory), in metres a minute. */
    private static final double METRES_A_MINUTE = 3.5 * 0.3048 * 60;

    private Distance() {}

    /**
     * Metres from one to the other along the surface of a sphere: the haversine formula (R. W. Sinnott, Sky and Telescope 68, 1984). Within
     * 0.6 % of the distance on the ellipsoid.
     */
    static double metres(Building one, Building other) {
        double north = Math.toRadians(other.latitude() - one.latitude()) / 2;
        double east = Math.toRadians(other.longitude() - one.longitude()) / 2;
        double chord = Math.pow(Math.sin(north), 2)
                + Math.cos(Math.toRadians(one.latitude()))
                        * Math.cos(Math.toRadians(other.latitude()))
                        * Math.pow(Math.sin(east), 2);
        return 2 * RADIUS * Math.asin(Math.min(1, Math.sqrt(chord)));
    }

    /** Whole minutes to walk it, one begun counted; as the crow flies, so that a real walk takes no less. */
    static int minutesToWalk(Building one, Building other) {
        return (int) Math.ceil(metres(one, other) / METRES_A_MINUTE);
    }
}

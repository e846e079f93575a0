package ample.ledger.core.schedule;

/**
 * A building of a campus.
 *
 * @param latitude degrees north, WGS 84; −90 to 90
 * @param longitude degrees east, WGS 84; −180 to 180
 */
public record Building(String code, String name, Campus campus, double latitude, double longitude) {

    public Building {
        if (Math.abs(latitude) > 90 || Math.abs(longitude) > 180) {
            throw new IllegalArgumentException(name + " cannot lie at " + latitude + ", " + longitude);
        }
    }
}

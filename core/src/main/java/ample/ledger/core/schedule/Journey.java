package ample.ledger.core.schedule;

/**
 * How long it takes from one campus to another, either way.
 *
 * @param from one campus
 * @param to another, which may be another institution's
 * @param minutes from door to door; 1 or more
 * @param means how, in words: "shuttle"
 */
public record Journey(CampusCode from, CampusCode to, int minutes, String means) {

    public Journey {
        if (minutes < 1) {
            throw new IllegalArgumentException(
                    "Nobody gets from " + from + " to " + to + " in " + minutes + " minutes");
        }
    }

    /** Whether it joins these two campuses, in whichever order. */
    public boolean joins(CampusCode one, CampusCode other) {
        return from.equals(one) && to.equals(other) || from.equals(other) && to.equals(one);
    }
}

package ample.ledger.core.schedule;

/**
 * How long it takes from one campus to another, either way.
 *
 * @param from code of a campus
 * @param to code of another, which may be another institution's
 * @param minutes from door to door; 1 or more
 * @param means how, in words: "shuttle"
 */
public record Journey(String from, String to, int minutes, String means) {

    public Journey {
        if (minutes < 1) {
            throw new IllegalArgumentException(
                    "Nobody gets from " + from + " to " + to + " in " + minutes + " minutes");
        }
    }

    /** Whether it joins these two campuses, in whichever order. */
    public boolean joins(String one, String other) {
        return from.equals(one) && to.equals(other) || from.equals(other) && to.equals(one);
    }
}

package ample.ledger.web.browse;

import java.util.List;
import java.util.Map;

/**
 * The small form behind one phrase of the brief.
 *
 * @param id names it in the page
 * @param title what it changes: "Days"
 * @param groups its fields
 * @param offers values that are often wanted, each with what it would give
 * @param keep the parameters of the other conditions, which the form sends along
 * @param without the address of the same brief without this condition
 * @param set whether the brief has this condition
 */
public record Editor(
        String id,
        String title,
        List<Group> groups,
        List<Offer> offers,
        Map<String, String> keep,
        String without,
        boolean set) {

    /** A condition ready made: its phrase, how many sections the brief would give with it, and the address. */
    public record Offer(String label, String count, String address) {}

    /** Fields under one heading. */
    public record Group(String legend, List<Field> fields) {}

    /**
     * One field of the form, after HTML's input element.
     *
     * @param id names it in the page
     * @param type "checkbox", "radio", "text", "time" or "number"
     * @param count how many sections the value would give; empty where that is not said
     */
    public record Field(
            String id, String type, String name, String value, String label, String count, boolean checked) {

        /** Whether one chooses it rather than fills it in. */
        public boolean choice() {
            return type.equals("checkbox") || type.equals("radio");
        }
    }
}

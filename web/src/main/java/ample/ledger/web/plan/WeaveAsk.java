package ample.ledger.web.plan;

import ample.ledger.core.weave.Wish;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.util.MultiValueMap;

/**
 * What the address asks to have woven, as it was typed.
 *
 * @param asked whether anything is to be woven
 * @param courses with commas between: “GLAC 240d, TIDE 214 or LIMN 130, RHET 101 if it fits”
 * @param wishes codes, the weightiest first
 * @param pinned sections that stay, as {@link ample.ledger.web.term.Picked} has them
 * @param refused entry numbers with commas between
 * @param closed hours, as in “fri, mon 9:00-12:00”
 * @param brief the address of a brief that every section must meet; empty for none
 * @param full whether full sections are woven too, to wait for
 * @param most how many weeks are shown
 * @param shown which of them is drawn into the plan, counted from 1; 0 for none
 */
record WeaveAsk(
        boolean asked,
        String courses,
        List<String> wishes,
        List<String> pinned,
        String refused,
        String closed,
        String brief,
        boolean full,
        int most,
        int shown) {

    /** Weeks shown before more are asked for. */
    static final int FEW = 5;

    /** The most that are ever shown. */
    static final int MANY = 20;

    static WeaveAsk of(MultiValueMap<String, String> parameters) {
        return new WeaveAsk(
                !WeekAsk.first(parameters, "weave").isEmpty(),
                WeekAsk.first(parameters, "want"),
                all(parameters, "wish")
                        .filter(code -> Wish.parse(code).isPresent())
                        .toList(),
                all(parameters, "pin").toList(),
                WeekAsk.first(parameters, "refuse"),
                WeekAsk.first(parameters, "closed"),
                WeekAsk.first(parameters, "brief"),
                !WeekAsk.first(parameters, "full").isEmpty(),
                WeekAsk.first(parameters, "most").equals("20") ? MANY : FEW,
                WeekAsk.first(parameters, "show").matches("[0-9]{1,2}")
                        ? Integer.parseInt(WeekAsk.first(parameters, "show"))
                        : 0);
    }

    private static Stream<String> all(MultiValueMap<String, String> parameters, String name) {
        return parameters.getOrDefault(name, List.of()).stream()
                .map(String::strip)
                .filter(value -> !value.isEmpty())
                .distinct();
    }

    WeaveAsk showing(int which) {
        return new WeaveAsk(asked, courses, wishes, pinned, refused, closed, brief, full, most, which);
    }

    WeaveAsk more() {
        return new WeaveAsk(asked, courses, wishes, pinned, refused, closed, brief, full, MANY, shown);
    }

    Stream<Map.Entry<String, String>> parameters() {
        if (!asked) {
            return Stream.of();
        }
        return Stream.of(
                        Stream.of(Map.entry("weave", "1"), Map.entry("want", courses)),
                        wishes.stream().map(wish -> Map.entry("wish", wish)),
                        pinned.stream().map(pin -> Map.entry("pin", pin)),
                        Stream.of(
                                Map.entry("refuse", refused),
                                Map.entry("closed", closed),
                                Map.entry("brief", brief),
                                Map.entry("full", full ? "1" : ""),
                                Map.entry("most", most == MANY ? "20" : ""),
                                Map.entry("show", shown == 0 ? "" : String.valueOf(shown))))
                .flatMap(some -> some);
    }
}

package ample.ledger.core.browse.brief;

import java.util.List;

/** How lists are said. */
final class Phrases {

    private Phrases() {}

    /** "Tidewall", "Tidewall or Upper Fell", "Tidewall, Upper Fell or Orchard Yard". */
    static String anyOf(List<String> names) {
        return join(names, " or ");
    }

    /** "Mon", "Mon and Wed", "Mon, Wed and Thu". */
    static String allOf(List<String> names) {
        return join(names, " and ");
    }

    private static String join(List<String> names, String last) {
        int count = names.size();
        return count < 2
                ? String.join("", names)
                : String.join(", ", names.subList(0, count - 1)) + last + names.get(count - 1);
    }
}

package ample.ledger.web.desk;

import java.util.List;

/** What stands on the first page of the desk: the terms posted, and their wish rounds. */
record DeskPage(List<TermRow> terms, List<RoundRow> rounds) {

    /** A wish round. */
    record RoundRow(String name, String address, String term, String period) {}

    /**
     * @param edition "Edition 3 of 3"
     * @param posted when and by whom: "Mon 16 Jun, 16:20 by desk"
     * @param warnings how many the current edition has, in words
     */
    record TermRow(
            String code,
            String name,
            String institution,
            String sections,
            String edition,
            String posted,
            String note,
            String warnings) {}
}

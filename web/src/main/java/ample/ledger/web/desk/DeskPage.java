package ample.ledger.web.desk;

import java.util.List;

/** What stands on the first page of the desk: the terms posted, their wish rounds, and what was done here. */
record DeskPage(List<TermRow> terms, List<RoundRow> rounds, List<ActRow> acts) {

    /** Something that was done here. */
    record ActRow(String at, String who, String what) {}

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

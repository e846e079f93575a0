package ample.ledger.web.desk;

import java.util.List;

/** What stands on the page of one term: every edition of it, the latest first, and the warnings of the one that is current. */
record HistoryPage(
        String term,
        String name,
        String institution,
        List<EditionRow> editions,
        List<CheckPage.WarningGroup> warnings) {

    /** @param checksum its first twelve digits, enough to tell editions apart by eye */
    record EditionRow(int number, String postedAt, String postedBy, String note, String checksum, boolean current) {}
}

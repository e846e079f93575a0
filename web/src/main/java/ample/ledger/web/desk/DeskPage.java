package ample.ledger.web.desk;

import java.util.List;

/** What stands on the first page of the desk: the terms posted. */
record DeskPage(List<TermRow> terms) {

    /** @param posted "edition 3, Mon 16 Jun, 16:20" */
    record TermRow(String code, String name, String institution, String sections, String posted, String note) {}
}

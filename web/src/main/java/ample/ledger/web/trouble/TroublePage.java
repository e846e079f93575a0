package ample.ledger.web.trouble;

import java.util.List;

/**
 * What happened, and the ways on.
 *
 * @param title what happened, in one sentence
 * @param explanation what was kept and what to do; may be empty
 */
record TroublePage(String title, String explanation, List<WayOn> waysOn) {

    static final WayOn HOME = new WayOn("Browse the schedule", "/");

    /** While the database does not answer. */
    static final TroublePage AWAY = new TroublePage(
            "This page needs your plans, which cannot be loaded right now.",
            "Nothing of yours was lost. You can go on browsing. Try this page again in a moment.",
            List.of(HOME));

    /** A link that leads on. */
    record WayOn(String label, String address) {}
}

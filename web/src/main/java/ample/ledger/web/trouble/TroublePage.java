package ample.ledger.web.trouble;

import java.util.List;

/**
 * What happened, and the ways on.
 *
 * @param title what happened, in one sentence
 * @param explanation what was kept and what to do; may be empty
 */
record TroublePage(String title, String explanation, List<WayOn> waysOn) {

    /** A link that leads on. */
    record WayOn(String label, String address) {}
}

package ample.ledger.web.ready;

import ample.ledger.web.ready.ReadyPage.Said;
import ample.ledger.web.ready.RegistrationPage.Act;
import ample.ledger.web.ready.RegistrationPage.Part;
import java.util.List;

/**
 * Giving up the sections of a course, or having others of it.
 *
 * @param back where the page leads back to
 * @param costs what it costs, by the dates that bind, in sentences
 * @param refused why it cannot be given up; none where it can
 * @param swaps other sections that would be had now
 * @param fulls other sections that are full, and can be waited for while this one is kept
 */
public record ChangePage(
        String term,
        String back,
        String name,
        List<Part> parts,
        List<Said> costs,
        List<String> refused,
        Act drop,
        List<Swap> swaps,
        List<Swap> fulls) {

    /** Other sections of the course. */
    public record Swap(String words, List<String> when, Act act) {}
}

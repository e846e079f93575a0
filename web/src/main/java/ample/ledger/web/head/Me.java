package ample.ledger.web.head;

import ample.ledger.web.guest.Keeping;
import ample.ledger.web.term.Addresses;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;

/**
 * The visitor of a page, as the head of the page shows them, with links to their own pages. Each link leads back to this page
 * afterwards.
 *
 * @param name the name they signed in with; empty for a guest
 * @param student whether they have signed in as a student
 * @param unseen what the notices are about that they have not seen: of each its term and what it is about, with a blank between
 * @param noticesPage the address of their notices
 * @param desk whether they work at the desk and may post
 * @param record the address of their record
 * @param preferences the address of their preferences
 * @param signIn the address of the page to sign in
 */
public record Me(
        String name,
        boolean student,
        List<String> unseen,
        String noticesPage,
        boolean desk,
        String record,
        String preferences,
        String signIn) {

    /** The role of the registrar's desk, as signing in gives it. */
    private static final String DESK = "DESK";

    /**
     * @param unseen what the notices are about that they have not seen
     * @param here the address to come back to
     */
    static Me of(HttpServletRequest request, List<String> unseen, String here) {
        return new Me(
                Optional.ofNullable(request.getRemoteUser()).orElse(""),
                Keeping.studentName(request).isPresent(),
                unseen,
                Addresses.with("/notices", "back", here),
                request.isUserInRole(DESK),
                Addresses.with("/record", "back", here),
                Addresses.with("/preferences", "back", here),
                Addresses.with("/sign-in/begin/institution", "back", here));
    }

    /** How many notices they have not seen. */
    public int notices() {
        return unseen.size();
    }

    /**
     * Whether a notice that they have not seen is about a section.
     *
     * @param term the code of the term that the page is about
     * @param line the section as forms send it
     */
    public boolean hasNotice(String term, String line) {
        return unseen.contains((line.contains(".") ? line.replaceFirst("\\.", " ") : term + " " + line));
    }

    public boolean guest() {
        return name.isEmpty();
    }
}

package ample.ledger.web.head;

import ample.ledger.web.term.Addresses;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;

/**
 * The visitor of a page, as the head of the page shows them, with links to their own pages. Each link leads back to this page
 * afterwards.
 *
 * @param name the name they signed in with; empty for a guest
 * @param desk whether they work at the desk and may post
 * @param record the address of their record
 * @param preferences the address of their preferences
 * @param signIn the address of the page to sign in
 */
public record Me(String name, boolean desk, String record, String preferences, String signIn) {

    /** The role of the registrar's desk, as signing in gives it. */
    private static final String DESK = "DESK";

    /** @param here the address to come back to */
    static Me of(HttpServletRequest request, String here) {
        return new Me(
                Optional.ofNullable(request.getRemoteUser()).orElse(""),
                request.isUserInRole(DESK),
                Addresses.with("/record", "back", here),
                Addresses.with("/preferences", "back", here),
                Addresses.with("/sign-in/begin/institution", "back", here));
    }

    public boolean guest() {
        return name.isEmpty();
    }
}

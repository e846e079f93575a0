package ample.ledger.web.head;

import ample.ledger.web.guest.Keeping;
import ample.ledger.web.term.Addresses;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;

/**
 * Who looks at a page, and what is theirs.
 *
 * @param name as whom they have signed in; empty for a guest
 * @param desk whether they may post
 * @param record the address of the record, which leads back here
 * @param preferences the same of the preferences
 * @param signIn the same of signing in
 */
public record Me(String name, boolean desk, String record, String preferences, String signIn) {

    /** @param here the address of the page, or that which the page itself leads back to */
    static Me of(HttpServletRequest request, String here) {
        boolean student = Keeping.studentName(request).isPresent();
        return new Me(
                Optional.ofNullable(request.getRemoteUser()).orElse(""),
                !student && request.getRemoteUser() != null,
                Addresses.with("/record", "back", here),
                Addresses.with("/preferences", "back", here),
                Addresses.with("/sign-in", "back", here));
    }

    public boolean guest() {
        return name.isEmpty();
    }
}

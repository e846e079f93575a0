package ample.ledger.web.term;

import java.util.regex.Pattern;

/** Keeps addresses that visitors send from leading anywhere else. */
public final class Local {

    /** Longer than any address that a page makes. */
    private static final int LONGEST = 2_000;

    private static final Pattern OURS = Pattern.compile("/(?![/\\\\])[\\x21-\\x7e]*");

    private Local() {}

    /** {@code address} if it is one of this application, and of at most 2,000 characters; otherwise its first page. */
    public static String address(String address) {
        return address.length() <= LONGEST && OURS.matcher(address).matches() ? address : "/";
    }
}

package ample.ledger.web.term;

/** Keeps addresses that visitors send from leading anywhere else. */
public final class Local {

    private Local() {}

    /** {@code address} if it is one of this application; otherwise its first page. */
    public static String address(String address) {
        return address.matches("/(?![/\\\\])[\\x21-\\x7e]*") ? address : "/";
    }
}

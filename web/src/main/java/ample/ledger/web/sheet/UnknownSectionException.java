package ample.ledger.web.sheet;

import ample.ledger.core.browse.Brief;
import ample.ledger.web.term.Terms.PostedTerm;

/** An address names an entry number that the term does not have. */
public final class UnknownSectionException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient PostedTerm posted;
    private final String entry;
    private final transient Brief brief;

    UnknownSectionException(PostedTerm posted, String entry, Brief brief) {
        super("No entry number " + entry);
        this.posted = posted;
        this.entry = entry;
        this.brief = brief;
    }

    public PostedTerm posted() {
        return posted;
    }

    public String entry() {
        return entry;
    }

    /** What the student was looking for when they asked for it. */
    public Brief brief() {
        return brief;
    }
}

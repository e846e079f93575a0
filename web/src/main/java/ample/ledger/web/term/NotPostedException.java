package ample.ledger.web.term;

import ample.ledger.core.browse.brief.Brief;

/** An address names a section or a course that the term does not have. */
public final class NotPostedException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient PostedTerm posted;
    private final String why;
    private final transient Brief brief;

    private NotPostedException(PostedTerm posted, String sentence, String why, Brief brief) {
        super(sentence);
        this.posted = posted;
        this.why = why;
        this.brief = brief;
    }

    /** @param brief what the student was looking for */
    public static NotPostedException section(PostedTerm posted, String entry, Brief brief) {
        return new NotPostedException(
                posted,
                "%s has no section with the entry number “%s”."
                        .formatted(posted.schedule().term().name(), entry),
                "Each section of a term has one entry number, and it may have changed with a later edition.",
                brief);
    }

    /** @param brief what the student was looking for */
    public static NotPostedException course(PostedTerm posted, String code, Brief brief) {
        return new NotPostedException(
                posted,
                "%s posts no course “%s”.".formatted(posted.schedule().term().name(), code),
                "Each college writes the codes of its courses in its own way, and a later edition may have renamed it.",
                brief);
    }

    public PostedTerm posted() {
        return posted;
    }

    /** What can have led there. */
    public String why() {
        return why;
    }

    /** What the student was looking for when they asked for it. */
    public Brief brief() {
        return brief;
    }
}

package ample.ledger.core.edition;

import ample.ledger.core.schedule.TermCode;
import java.time.Instant;

/**
 * One posting of a term's schedule; the next one corrects it.
 *
 * @param id names it in the store
 * @param institution code of the institution that posted it
 * @param term code of the term
 * @param number counts the term's editions from 1
 * @param note what the registrar says about it; may be empty
 * @param postedBy who posted it: the name of an account, or how else it was posted; empty where that was not kept
 * @param checksum SHA-256 of its tables, in hexadecimal digits
 */
public record Edition(
        long id,
        String institution,
        TermCode term,
        int number,
        Instant postedAt,
        String note,
        String postedBy,
        String checksum) {

    /** The same under the id that the store has given it. */
    public Edition withId(long given) {
        return new Edition(given, institution, term, number, postedAt, note, postedBy, checksum);
    }
}

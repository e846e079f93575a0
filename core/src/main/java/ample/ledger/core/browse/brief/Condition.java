package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.Moment;
import java.util.Map;

/**
 * One clause of a {@link Brief}: it holds for a section or it does not. Everything about one kind of condition stands in its own
 * file: how an address and a sentence say it, what it finds, and how far a section that it leaves out is from fitting. {@link
 * Topic} lists them.
 *
 * <p>Some look at the course alone, so that all its sections agree; some at the section alone, whatever its companions are. The
 * others must hold for the section by itself, and for the meetings, places and seats of the complete set that it is taken in.
 *
 * <p>What has no set times satisfies every condition on days and times, also one turned round: it can be done whenever the
 * student likes. {@link Timed} leaves such sections out.
 */
public sealed interface Condition
        permits Having, Numbers, Mentioning, Entries, OnDays, Between, Closed, Timed, Dates, Seats, ClearOf, Not {

    /** What it is about; a brief has at most one condition about each topic. */
    Topic topic();

    /** The candidates for which it holds. */
    CandidateSet in(Moment moment);

    /** The candidates for which it holds when it is turned round. */
    default CandidateSet notIn(Moment moment) {
        return in(moment).complement();
    }

    /** How it reads in a sentence, in these words. */
    Phrase phrase(Wording wording);

    /** How it reads turned round. */
    default Phrase notPhrase(Wording wording) {
        return phrase(wording).denied();
    }

    /** How it is written in an address: value by parameter, in order. */
    Map<String, String> parameters();

    /** How {@code candidate}, for which it does not hold, falls short of it. */
    Shortfall shortfall(Candidate candidate);

    /** How {@code candidate} falls short of it turned round. */
    default Shortfall notShortfall(Candidate candidate) {
        return Shortfall.whole(Unit.CONDITION, wording -> phrase(wording).whole());
    }

    /** A unit of which every shortfall is at least one; minutes, the least of all, where nothing better is known. */
    default Unit leastShortfall() {
        return Unit.MINUTE;
    }
}

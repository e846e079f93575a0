package ample.ledger.core.registrar;

import ample.ledger.core.registrar.round.RoundFile;
import java.time.Duration;
import java.util.List;
import java.util.Optional;

/** The institution's own systems, as far as this program asks them. */
public interface Registrar {

    /**
     * What they know of a student now.
     *
     * @param student as they have signed in
     * @return empty for somebody who is no student there
     * @throws RegistrarAwayException where they do not answer
     */
    Optional<StudentFile> student(String student);

    /**
     * What a student has there now.
     *
     * @return empty where this registrar takes no submissions, and for somebody who is no student there
     * @throws RegistrarAwayException where they do not answer
     */
    Optional<Registration> registration(String student);

    /**
     * All that a student has submitted there, the latest first.
     *
     * @throws RegistrarAwayException where they do not answer
     */
    List<Submission> submissions(String student);

    /**
     * Hands requests to the registrar, to be decided in their order.
     *
     * @param id names the submission: the same always gets the same answers, so that it is safe to ask again
     * @param requests at least one
     * @throws RegistrarAwayException where they do not answer: it may have been decided, or not
     * @throws IllegalArgumentException where they say that it is no submission, or that its name was another's: nothing was decided
     */
    Submission submit(String student, String id, List<Request> requests);

    /**
     * How the wish rounds stand to a student, those of all terms.
     *
     * @return none where this registrar has no rounds, and for somebody who is no student there
     * @throws RegistrarAwayException where they do not answer
     */
    List<RoundStanding> rounds(String student);

    /**
     * Says what a student wishes in a round. The last word counts, and saying the same twice changes nothing.
     *
     * @param groups their codes, the most wished first; none to wish nothing
     * @throws WishRefusedException where it is not taken
     * @throws RegistrarAwayException where they do not answer: it may have been taken, or not
     */
    RoundStanding wish(String student, String term, String round, List<String> groups);

    /**
     * How a wish round stands as a whole.
     *
     * @return empty where there is no such round
     * @throws RegistrarAwayException where they do not answer
     */
    Optional<RoundReport> round(String term, String round);

    /**
     * All that the places of a round were distributed by.
     *
     * @return empty where there is no such round, and while its places are not distributed
     * @throws RegistrarAwayException where they do not answer
     */
    Optional<RoundFile> roundFile(String term, String round);

    /**
     * What has changed.
     *
     * @param after the number of the last change that is known; 0 for none
     * @param patience how long to wait for something to change, before the answer is that nothing has
     * @throws RegistrarAwayException where they do not answer
     */
    RegistrarNews news(long after, Duration patience);
}

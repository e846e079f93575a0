package ample.ledger.core.registrar;

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
     * What has changed.
     *
     * @param after the number of the last change that is known; 0 for none
     * @param patience how long to wait for something to change, before the answer is that nothing has
     * @throws RegistrarAwayException where they do not answer
     */
    RegistrarNews news(long after, Duration patience);
}

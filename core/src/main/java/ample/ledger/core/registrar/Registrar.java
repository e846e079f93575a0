package ample.ledger.core.registrar;

import java.time.Duration;
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
     * What has changed.
     *
     * @param after the number of the last change that is known; 0 for none
     * @param patience how long to wait for something to change, before the answer is that nothing has
     * @throws RegistrarAwayException where they do not answer
     */
    RegistrarNews news(long after, Duration patience);
}

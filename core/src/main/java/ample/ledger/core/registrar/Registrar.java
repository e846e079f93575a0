package ample.ledger.core.registrar;

import java.util.Optional;

/** The institution's own systems, as far as this program asks them. */
public interface Registrar {

    /**
     * What they know of a student now.
     *
     * @param name as the student has signed in
     * @return empty for somebody who is no student there
     */
    Optional<StudentFile> student(String name);
}

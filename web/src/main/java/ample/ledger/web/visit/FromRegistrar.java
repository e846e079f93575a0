package ample.ledger.web.visit;

import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.StudentFile;
import java.time.Instant;
import java.util.Optional;

/**
 * What the institution's registrar has said of who asks.
 *
 * @param file empty for who is no signed-in student, and where the registrar could not be asked
 * @param registration what they have there; empty for the same, and where the registrar takes no submissions
 * @param awaySince since when it could not be asked about a signed-in student; empty where it was
 */
public record FromRegistrar(
        Optional<StudentFile> file, Optional<Registration> registration, Optional<Instant> awaySince) {

    /** Nothing was asked: who asks is nobody that it knows. */
    public static final FromRegistrar NOTHING = new FromRegistrar(Optional.empty(), Optional.empty(), Optional.empty());
}

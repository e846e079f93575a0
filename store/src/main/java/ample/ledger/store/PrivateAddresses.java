package ample.ledger.store;

import java.util.Locale;
import java.util.Optional;

/** Secrets in addresses by which something of a student is reached without signing in; one for each purpose. */
public class PrivateAddresses {

    private final PrivateAddressMapper mapper;

    PrivateAddresses(PrivateAddressMapper mapper) {
        this.mapper = mapper;
    }

    /** What is reached. */
    public enum Purpose {
        /** Stopping letters. */
        STOP,
        /** Reading notices. */
        FEED;

        private String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * The secret of a student, made where there is none.
     *
     * @param fresh the secret to be made
     */
    public String make(String owner, Purpose purpose, String fresh) {
        mapper.make(owner, purpose.code(), fresh);
        return mapper.token(owner, purpose.code()).orElseThrow();
    }

    /** The secret of a student; empty where there is none. */
    public Optional<String> token(String owner, Purpose purpose) {
        return mapper.token(owner, purpose.code());
    }

    /** Whose it is; empty where it is nobody's. */
    public Optional<String> owner(Purpose purpose, String token) {
        return mapper.owner(purpose.code(), token);
    }

    /** Whoever knows it reaches nothing by it any more. */
    public void withdraw(String owner, Purpose purpose) {
        mapper.withdraw(owner, purpose.code());
    }
}

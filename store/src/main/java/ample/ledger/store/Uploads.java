package ample.ledger.store;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.transaction.support.TransactionTemplate;

/** Bundles that were uploaded at the posting desk, until they are posted or put away; a week at most. */
public class Uploads {

    private static final Duration KEPT = Duration.ofDays(7);

    private final UploadMapper mapper;
    private final DataSource dataSource;
    private final TransactionTemplate transaction;

    Uploads(UploadMapper mapper, DataSource dataSource, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.dataSource = dataSource;
        this.transaction = transaction;
    }

    /**
     * An uploaded zip.
     *
     * @param fileName what its sender called it; of no other meaning
     */
    public record Upload(String id, String fileName, byte[] content) {}

    /** Keeps a zip, and forgets those of more than a week ago. */
    public String keep(String fileName, byte[] content, Instant now) {
        return transaction.execute(status -> {
            Unhurried.here(dataSource);
            mapper.deleteBefore(now.minus(KEPT));
            String id = UUID.randomUUID().toString();
            mapper.insert(id, fileName, now, content);
            return id;
        });
    }

    public Optional<Upload> find(String id) {
        return transaction.execute(status -> {
            Unhurried.here(dataSource);
            return mapper.find(id);
        });
    }

    /** Forgets an upload, there or not. */
    public void putAway(String id) {
        mapper.delete(id);
    }
}

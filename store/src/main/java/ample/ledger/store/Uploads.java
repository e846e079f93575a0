package ample.ledger.store;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** Bundles that were uploaded at the posting desk, until they are posted or put away; a week at most. */
public class Uploads {

    private static final Duration KEPT = Duration.ofDays(7);

    private final UploadMapper mapper;

    Uploads(UploadMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * An uploaded zip.
     *
     * @param fileName what its sender called it; of no other meaning
     */
    public record Upload(String id, String fileName, byte[] content) {}

    /** Keeps a zip, and forgets those of more than a week ago. */
    public String keep(String fileName, byte[] content, Instant now) {
        mapper.deleteBefore(now.minus(KEPT));
        String id = UUID.randomUUID().toString();
        mapper.insert(id, fileName, now, content);
        return id;
    }

    public Optional<Upload> find(String id) {
        return mapper.find(id);
    }

    /** Forgets an upload, there or not. */
    public void putAway(String id) {
        mapper.find(id).ifPresent(upload -> mapper.delete(upload.id()));
    }
}

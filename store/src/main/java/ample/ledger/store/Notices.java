package ample.ledger.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What students are told. Written twice, under one key, a notice is there once. */
public class Notices {

    private final NoticeMapper mapper;

    Notices(NoticeMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * One to be written.
     *
     * @param key the same for what is one notice of its owner
     * @param term code of the term that it is about; empty for none
     * @param about an entry number or the name of a brief; empty for none
     * @param content JSON
     * @param past from when on it is of no use any more; empty for never
     * @param letter from when on a letter may tell it; empty for never
     */
    public record Draft(
            String owner,
            String key,
            String kind,
            String term,
            String about,
            String content,
            Instant madeAt,
            Optional<Instant> past,
            Optional<Instant> letter) {}

    /** One that is there. */
    public record Notice(
            long id,
            String owner,
            String kind,
            String term,
            String about,
            String content,
            Instant madeAt,
            Optional<Instant> past,
            Optional<Instant> seenAt) {

        public boolean isSeen() {
            return seenAt.isPresent();
        }
    }

    /** Writes those that are not there yet, and tells every instance once the transaction is committed. */
    void write(List<Draft> drafts) {
        if (!drafts.isEmpty()) {
            mapper.write(DraftRows.of(drafts));
            mapper.announce();
        }
    }

    /** Those of one student, the latest first. */
    public List<Notice> of(String owner, int most) {
        return mapper.of(owner, most).stream().map(NoticeMapper.Row::notice).toList();
    }

    /** That the student has seen these. */
    public void see(String owner, List<Long> ids, Instant now) {
        mapper.see(owner, ids.toArray(Long[]::new), now);
        mapper.announce();
    }

    /** That the student has seen all up to this one. */
    public void seeUpTo(String owner, long id, Instant now) {
        mapper.seeUpTo(owner, id, now);
        mapper.announce();
    }

    /** How many each of these has not seen; who has seen all is not there. */
    public List<Unseen> unseen(List<String> owners) {
        return owners.isEmpty() ? List.of() : mapper.unseen(owners.toArray(String[]::new));
    }

    public record Unseen(String owner, int count) {}
}

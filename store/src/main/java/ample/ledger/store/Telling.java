package ample.ledger.store;

import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.watch.Concern;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Finds whom something has to be told, and writes their notices in the transaction that notes how far the telling is: so that a notice is written
 * whatever dies on the way, and once, whoever goes on with it. Any number of instances tell at the same time.
 */
public class Telling {

    private final TellingMapper mapper;
    private final Concerns concerns;
    private final Notices notices;
    private final ConcernMapper looks;
    private final TransactionTemplate transaction;

    Telling(
            TellingMapper mapper,
            Concerns concerns,
            ConcernMapper looks,
            Notices notices,
            TransactionTemplate transaction) {
        this.mapper = mapper;
        this.concerns = concerns;
        this.looks = looks;
        this.notices = notices;
        this.transaction = transaction;
    }

    /**
     * An edition that became current.
     *
     * @param before the id of the one that was current before
     * @param toldTo everybody up to this name has their notices
     */
    public record EditionToTell(long id, TermCode term, long before, long now, String toldTo) {}

    /**
     * What the institution said of a student, as JSON.
     *
     * @param file what it knows of them
     * @param registration what they have there
     */
    public record Said(String owner, String file, String registration) {}

    /**
     * Writes the notices of some of those whom a new edition concerns.
     *
     * @param abouts what the edition changed, in the words of {@link Concern}. If it is empty, nobody is told
     * @param told makes the notices of these students
     * @param most the number of students told in one transaction; 1 or more
     * @return false where there is no edition to be told of, or others are at it
     */
    public boolean editions(
            Function<EditionToTell, Set<String>> abouts,
            BiFunction<EditionToTell, List<String>, List<Notices.Draft>> told,
            int most) {
        return Boolean.TRUE.equals(transaction.execute(status -> {
            Optional<EditionToTell> edition = mapper.nextEdition();
            edition.ifPresent(some -> {
                List<String> owners = concerns.owners(some.term(), abouts.apply(some), some.toldTo(), most);
                notices.write(owners.isEmpty() ? List.of() : told.apply(some, owners));
                if (owners.size() < most) {
                    mapper.told(some.id());
                } else {
                    mapper.toldTo(some.id(), owners.get(owners.size() - 1));
                }
            });
            return edition.isPresent();
        }));
    }

    /** How many editions there are of which not everybody has been told whom they concern. */
    public int editionsToTell() {
        return mapper.editionsToTell();
    }

    /**
     * Writes the notices that a day brings to some students, once for each day; to those whom something begins to concern on the day, at once.
     *
     * @param told makes the notices of these students
     * @return false where nobody is left
     */
    public boolean day(LocalDate day, Function<List<String>, List<Notices.Draft>> told, int most) {
        return Boolean.TRUE.equals(transaction.execute(status -> {
            List<String> owners = mapper.ofDay(day, most);
            notices.write(owners.isEmpty() ? List.of() : told.apply(owners));
            return !owners.isEmpty();
        }));
    }

    /**
     * Notes how seats stand for somebody who waits for some, and writes a notice where they were not open at the look before and are now.
     *
     * @param change the number of the last change of seats that is known
     * @param notice made only where it is to be written
     */
    public void seats(Concerns.SeatWait wait, boolean open, long change, Supplier<Notices.Draft> notice) {
        transaction.executeWithoutResult(status -> {
            if (looks.look(wait, open, change).orElse(false)) {
                notices.write(List.of(notice.get()));
            }
        });
    }

    /**
     * What becomes of what the institution said of a student.
     *
     * @param concerns what concerns them by it
     */
    public record Heard(Said said, Set<Concern> concerns, List<Notices.Draft> notices) {}

    /**
     * Keeps what the institution says of a student now, and writes the notices that the difference makes.
     *
     * @param changes how often the institution had said that something is different, before it was asked
     * @param heard is given what it said before, or nothing for the first time
     */
    public void person(String owner, long changes, Function<Optional<Said>, Heard> heard) {
        transaction.executeWithoutResult(status -> {
            Heard now = heard.apply(mapper.lockPerson(owner));
            mapper.keepPerson(owner, now.said().file(), now.said().registration());
            mapper.asked(owner, changes);
            concerns.replace(owner, Concerns.Source.REGISTRAR, now.concerns());
            notices.write(now.notices());
            // Which seats are open to somebody depends on what is on file.
            looks.lookAgain(owner);
        });
    }

    /** That the institution knows nobody of this name: it is not asked again until they sign in. */
    public void nobody(String owner, long changes) {
        mapper.asked(owner, changes);
    }

    /** @param changes how often the institution has said that something is different */
    public record ToAsk(String owner, long changes) {}

    /** Writes notices of which nothing has to be noted beside. */
    public void write(List<Notices.Draft> drafts) {
        transaction.executeWithoutResult(status -> notices.write(drafts));
    }

    /** What the institution said last of those among these of whom it was asked. */
    public List<Said> people(Collection<String> owners) {
        return mapper.people(owners.toArray(String[]::new));
    }

    /** The same of those who have an offer. */
    public List<Said> peopleWithOffers() {
        return mapper.withOffers();
    }

    /** That somebody has signed in, of whom the institution is to be asked. */
    public void arrived(String owner) {
        mapper.arrived(owner);
    }

    /** That something is different at the institution for those among these who have signed in here. */
    public void changed(Collection<String> owners) {
        if (!owners.isEmpty()) {
            mapper.changed(owners.toArray(String[]::new));
        }
    }

    /** Some for whom something is different, for the caller to ask about: nobody else gets them within that time. */
    public List<ToAsk> toAsk(Duration untried, int most) {
        return mapper.toAsk(untried.toMillis() / 1000.0, most);
    }
}

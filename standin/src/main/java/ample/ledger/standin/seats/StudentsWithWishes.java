package ample.ledger.standin.seats;

import ample.ledger.core.registrar.rules.Book;
import ample.ledger.core.registrar.rules.Rules;
import ample.ledger.standin.StandinSettings;
import ample.ledger.standin.people.People;
import ample.ledger.standin.submission.Registry;
import ample.ledger.standin.wishes.WishRounds;
import ample.ledger.standin.wishes.WishRounds.Round;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Lets some students wish something in each round in which nobody has wished anything yet. */
@Component
class StudentsWithWishes {

    private static final Logger LOG = LoggerFactory.getLogger(StudentsWithWishes.class);
    private static final int SEED = 24;

    private final Registry registry;
    private final WishRounds rounds;
    private final People people;
    private final int many;

    StudentsWithWishes(Registry registry, WishRounds rounds, People people, StandinSettings settings) {
        this.registry = registry;
        this.rounds = rounds;
        this.people = people;
        this.many = settings.wishes();
    }

    @EventListener(ApplicationReadyEvent.class)
    void wish() {
        if (many == 0 || rounds.all().isEmpty()) {
            return;
        }
        List<String> students =
                IntStream.rangeClosed(1, many).mapToObj(i -> "student-" + i).toList();
        Thread thread = new Thread(() -> wish(students), "wishes");
        thread.setDaemon(true);
        thread.start();
    }

    private void wish(List<String> students) {
        // Their records are worked out here, so that nobody waits for it.
        students.forEach(people::file);
        for (Round round : rounds.all()) {
            int said = registry.alone((book, rules, now) -> wish(round, students, book, rules, now))
                    .join();
            LOG.info("{} students wish something in {}", said, round.name().code());
        }
    }

    private int wish(Round round, List<String> students, Book book, Rules rules, Instant now) {
        if (rounds.hasWishes(round)) {
            return 0;
        }
        SimulatedWishes wishes = new SimulatedWishes(new Random(SEED));
        int said = 0;
        for (String student : students) {
            List<String> ranked =
                    wishes.ranked(rules.wishes().possible(book, round.name(), round.posted(), student, now));
            if (!ranked.isEmpty() && rounds.wish(round, student, ranked, now).isEmpty()) {
                said++;
            }
        }
        return said;
    }
}

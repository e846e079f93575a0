package ample.ledger.standin.registrar;

import ample.ledger.core.registrar.RoundReport;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.registrar.round.RoundFile;
import ample.ledger.core.registrar.rules.RoundName;
import ample.ledger.standin.people.People;
import ample.ledger.standin.submission.Registry;
import ample.ledger.standin.wishes.WishRounds;
import ample.ledger.standin.wishes.WishRounds.Round;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Answers what programs ask of wish rounds. */
@RestController
@RequestMapping("/registrar/v1")
class WishController {

    private static final int PATIENCE = 15;

    private final People people;
    private final Registry registry;
    private final WishRounds rounds;

    WishController(People people, Registry registry, WishRounds rounds) {
        this.people = people;
        this.registry = registry;
        this.rounds = rounds;
    }

    /** How the wish rounds stand to a student. */
    @GetMapping("/students/{student}/rounds")
    List<RoundStanding> rounds(@PathVariable String student) {
        Problems.known(people, student);
        return registry.rounds(student);
    }

    /** What is wished, the most first. */
    record Asked(@Nullable List<String> wishes) {}

    /** Takes what a student wishes; the last word counts. */
    @PutMapping("/students/{student}/rounds/{term}/{round}")
    RoundStanding wish(
            @PathVariable String student,
            @PathVariable String term,
            @PathVariable String round,
            @RequestBody Asked asked)
            throws InterruptedException {
        Problems.known(people, student);
        Round its = named(term, round);
        List<String> wishes = asked.wishes() == null ? List.of() : asked.wishes();
        if (new HashSet<>(wishes).size() != wishes.size()
                || wishes.stream().anyMatch(code -> its.posted().group(code).isEmpty())) {
            throw Problems.exception(
                    HttpStatus.BAD_REQUEST,
                    "not-understood",
                    "What is wished is not understood",
                    "Wishes are codes of groups of the round, each once.");
        }
        Optional<String> refused = taken(its, student, wishes);
        if (refused.isPresent()) {
            throw Problems.exception(
                    HttpStatus.CONFLICT, "not-in-its-period", "Wishes are not taken now", refused.get());
        }
        return registry.rounds(student).stream()
                .filter(one -> one.term().equals(term) && one.round().equals(round))
                .findFirst()
                .orElseThrow();
    }

    private Optional<String> taken(Round round, String student, List<String> wishes) throws InterruptedException {
        try {
            return registry.alone((book, rules, now) -> rounds.wish(round, student, wishes, now))
                    .get(PATIENCE, TimeUnit.SECONDS);
        } catch (ExecutionException | TimeoutException late) {
            throw Problems.notNow();
        }
    }

    private Round named(String term, String round) {
        return rounds.of(new RoundName(term, round)).orElseThrow(WishController::noRound);
    }

    private static ErrorResponseException noRound() {
        return Problems.exception(
                HttpStatus.NOT_FOUND,
                "no-such-round",
                "There is no such round",
                "No wish round has this name in this term.");
    }

    /** How a round stands as a whole, without names. */
    @GetMapping("/rounds/{term}/{round}")
    RoundReport round(@PathVariable String term, @PathVariable String round) {
        return registry.round(named(term, round).name()).orElseThrow();
    }

    /** All that its places were distributed by. */
    @GetMapping("/rounds/{term}/{round}/file")
    RoundFile file(@PathVariable String term, @PathVariable String round) {
        return registry.roundFile(named(term, round).name())
                .orElseThrow(() -> Problems.exception(
                        HttpStatus.NOT_FOUND,
                        "not-distributed",
                        "The places are not distributed",
                        "There is a file when they are."));
    }
}

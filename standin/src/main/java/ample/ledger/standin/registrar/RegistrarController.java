package ample.ledger.standin.registrar;

import ample.ledger.core.registrar.RegistrarNews;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.Submission;
import ample.ledger.standin.news.InstitutionNews;
import ample.ledger.standin.people.People;
import ample.ledger.standin.submission.Registry;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Answers what programs ask the registrar. */
@RestController
@RequestMapping("/registrar/v1")
class RegistrarController {

    private static final int LONGEST_WAIT = 30;

    private static final int MOST_REQUESTS = 60;
    private static final int LONGEST_KEY = 100;
    private static final int PATIENCE = 15;

    private final People people;
    private final InstitutionNews news;
    private final Registry registry;

    RegistrarController(People people, InstitutionNews news, Registry registry) {
        this.people = people;
        this.news = news;
        this.registry = registry;
    }

    @GetMapping("/students/{student}")
    StudentFile student(@PathVariable String student) {
        return people.file(student).orElseThrow(Problems::nobody);
    }

    /** What a student has here now. */
    @GetMapping("/students/{student}/registration")
    Registration registration(@PathVariable String student) {
        Problems.known(people, student);
        return registry.registration(student);
    }

    /** All that a student has submitted, the latest first. */
    @GetMapping("/students/{student}/submissions")
    List<Submission> submissions(@PathVariable String student) {
        Problems.known(people, student);
        return registry.submissions(student);
    }

    /** What is submitted. */
    record Asked(@Nullable List<Request> requests) {}

    /**
     * Decides a submission.
     *
     * @param key names it: the same always gets the same answers
     */
    @PostMapping("/students/{student}/submissions")
    Submission submit(
            @PathVariable String student,
            @RequestHeader(name = "Idempotency-Key", defaultValue = "") String key,
            @RequestBody Asked asked)
            throws InterruptedException {
        Problems.known(people, student);
        List<Request> requests = asked.requests() == null ? List.of() : asked.requests();
        if (key.isBlank() || key.length() > LONGEST_KEY || requests.isEmpty() || requests.size() > MOST_REQUESTS) {
            throw Problems.exception(
                    HttpStatus.BAD_REQUEST,
                    "not-understood",
                    "What is asked is not understood",
                    "The header Idempotency-Key names the submission with 1 to %d characters; requests are 1 to %d."
                            .formatted(LONGEST_KEY, MOST_REQUESTS));
        }
        try {
            return registry.submit(student, key, requests).get(PATIENCE, TimeUnit.SECONDS);
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof Registry.UsedBeforeException) {
                throw Problems.exception(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "used-before",
                        "This identifier named another submission",
                        "Each submission has an identifier of its own.");
            }
            throw Problems.notNow();
        } catch (TimeoutException late) {
            throw Problems.notNow();
        }
    }

    /**
     * What has changed.
     *
     * @param after the number of the last change that is known
     * @param wait for how many seconds to wait for something to change
     */
    @GetMapping("/news")
    RegistrarNews news(@RequestParam(defaultValue = "0") long after, @RequestParam(defaultValue = "0") int wait)
            throws InterruptedException {
        if (after < 0 || wait < 0 || wait > LONGEST_WAIT) {
            throw Problems.exception(
                    HttpStatus.BAD_REQUEST,
                    "not-understood",
                    "What is asked is not understood",
                    "after is the number of a change, 0 or more; wait is a number of seconds from 0 to %d."
                            .formatted(LONGEST_WAIT));
        }
        return news.after(after, Duration.ofSeconds(wait));
    }
}

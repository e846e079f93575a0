package ample.ledger.standin.registrar;

import ample.ledger.core.registrar.RegistrarNews;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.standin.news.InstitutionNews;
import ample.ledger.standin.people.People;
import java.time.Duration;
import org.springframework.http.HttpStatus;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Answers what programs ask the registrar. */
@RestController
@RequestMapping("/registrar/v1")
class RegistrarController {

    private static final int LONGEST_WAIT = 30;

    private final People people;
    private final InstitutionNews news;

    RegistrarController(People people, InstitutionNews news) {
        this.people = people;
        this.news = news;
    }

    @GetMapping("/students/{student}")
    StudentFile student(@PathVariable String student) {
        return people.file(student)
                .orElseThrow(() -> problem(
                        HttpStatus.NOT_FOUND,
                        "no-such-student",
                        "There is no such student",
                        "Nobody is a student here under this name."));
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
            throw problem(
                    HttpStatus.BAD_REQUEST,
                    "not-understood",
                    "What is asked is not understood",
                    "after is the number of a change, 0 or more; wait is a number of seconds from 0 to %d."
                            .formatted(LONGEST_WAIT));
        }
        return news.after(after, Duration.ofSeconds(wait));
    }

    private static ErrorResponseException problem(HttpStatus status, String type, String title, String detail) {
        return new ErrorResponseException(status, Problems.of(status, type, title, detail), null);
    }
}

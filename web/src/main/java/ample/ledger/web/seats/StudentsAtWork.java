package ample.ledger.web.seats;

import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.standin.SimulatedRegistrations;
import ample.ledger.store.SeatWords;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;

/** Lets the simulated students do something every now and then. They begin anew with each start, as the demo's clock does. */
class StudentsAtWork implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(StudentsAtWork.class);

    private final Terms terms;
    private final SeatWords words;
    private final SimulatedRegistrations students;
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "students-at-work");
        thread.setDaemon(true);
        return thread;
    });

    @SuppressWarnings(
            "FutureReturnValueIgnored") // It goes on until the application ends, and reports its own troubles.
    StudentsAtWork(Terms terms, SeatWords words, SimulatedRegistrations students, Duration pause) {
        this.terms = terms;
        this.words = words;
        this.students = students;
        words.forget();
        timer.scheduleWithFixedDelay(this::work, pause.toMillis(), pause.toMillis(), TimeUnit.MILLISECONDS);
    }

    private void work() {
        try {
            terms.all().forEach(this::work);
        } catch (RuntimeException | Error e) {
            // An exception would end the timer, and the students' work, without a word.
            LOG.warn("The simulated students rest for now", e);
        }
    }

    private void work(PostedTerm posted) {
        List<SeatPool> pools = posted.schedule().sections().stream()
                .filter(section -> !section.cancelled())
                .map(Section::pool)
                .distinct()
                .toList();
        Moment now = posted.index()
                .now(
                        Person.nobody(posted.schedule(), posted.index().today().atStartOfDay()),
                        new PostedSchedules(List.of(posted.schedule())));
        Map<String, SeatPool.Count> standing = posted.schedule().sections().stream()
                .collect(Collectors.toMap(
                        section -> section.pool().code(),
                        section -> count(now.reading(section).seats()),
                        (one, twin) -> one));
        words.put(students.next(posted.edition().term(), pools, standing));
    }

    private static SeatPool.Count count(SeatAccount seats) {
        return new SeatPool.Count(seats.enrolled(), seats.waiting(), seats.promised());
    }

    @Override
    public void destroy() {
        timer.shutdownNow();
    }
}

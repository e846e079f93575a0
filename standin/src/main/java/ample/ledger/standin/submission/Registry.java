package ample.ledger.standin.submission;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.RoundReport;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.registrar.round.RoundFile;
import ample.ledger.core.registrar.rules.Book;
import ample.ledger.core.registrar.rules.Decision;
import ample.ledger.core.registrar.rules.Fact;
import ample.ledger.core.registrar.rules.Registrant;
import ample.ledger.core.registrar.rules.RoundName;
import ample.ledger.core.registrar.rules.Rules;
import ample.ledger.standin.StandinSettings;
import ample.ledger.standin.clock.InstitutionClock;
import ample.ledger.standin.news.InstitutionNews;
import ample.ledger.standin.submission.JournalMapper.SubmissionRow;
import ample.ledger.standin.wishes.WishRounds;
import ample.ledger.standin.wishes.WishRounds.Round;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.BiFunction;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/**
 * Decides submissions. The state is a {@link Book} in memory, made from the journal. One thread takes all submissions that have come meanwhile, decides
 * them one after the other, and commits what they have brought at once: so that the time of a durable commit is shared, and no row is waited for. Nobody is
 * answered before the commit. Where it fails, nothing has happened, and the book is made anew from the journal.
 */
@Component
public class Registry implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(Registry.class);
    private static final int MOST_AT_ONCE = 256;
    private static final int LONGEST_QUEUE = 50_000;
    private static final int SECONDS = 10;

    private final Journal journal;
    private final Registrants registrants;
    private final InstitutionClock clock;
    private final InstitutionNews news;
    private final WishRounds wishes;
    private final TransactionTemplate transaction;
    private final JsonMapper json;
    private final Rules rules;
    private final BlockingQueue<Job> jobs = new LinkedBlockingQueue<>(LONGEST_QUEUE);

    /** Held while the book changes until what has changed it is committed. */
    private final ReentrantLock lock = new ReentrantLock();

    private final JournalBook kept;
    private volatile boolean running;

    Registry(
            Journal journal,
            Registrants registrants,
            PostedSchedules posted,
            InstitutionClock clock,
            InstitutionNews news,
            WishRounds wishes,
            PlatformTransactionManager transactions,
            JsonMapper json,
            StandinSettings settings) {
        this.journal = journal;
        this.registrants = registrants;
        this.clock = clock;
        this.news = news;
        this.wishes = wishes;
        this.transaction = new TransactionTemplate(transactions);
        this.transaction.setTimeout(SECONDS);
        this.json = json;
        this.rules = new Rules(posted, settings.offersStand(), registrants::of);
        this.kept = new JournalBook(journal, wishes, posted, rules);
    }

    /** Something to be done on the book, which gives what has happened. */
    private sealed interface Job {

        CompletableFuture<?> done();
    }

    private record Asked(
            Registrant who, String id, List<Request> requests, String json, CompletableFuture<Submission> done)
            implements Job {

        String key() {
            return Journal.key(who.student(), id);
        }
    }

    /** What was answered, as it is kept and as it is told. */
    private record Answered(SubmissionRow row, Submission submission) {}

    private record ByOthers(BiFunction<Book, Rules, List<Fact>> change, CompletableFuture<Boolean> done)
            implements Job {}

    /** Something that is done while nobody else decides. */
    @FunctionalInterface
    public interface Deed<T> {

        /** @param book which it leaves as it is */
        T perform(Book book, Rules rules, Instant now);
    }

    private record Alone<T>(Deed<T> deed, CompletableFuture<T> done) implements Job {

        Runnable perform(Book book, Rules rules, Instant now) {
            T made = deed.perform(book, rules, now);
            return () -> done.complete(made);
        }
    }

    /** One identifier was used for two submissions. */
    public static final class UsedBeforeException extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /**
     * Decides a submission, or gives the answers that it got before.
     *
     * @return what becomes of it; an exception where it could not be decided or was used for another submission
     */
    public CompletableFuture<Submission> submit(String student, String id, List<Request> requests) {
        Asked asked = new Asked(
                registrants.of(student).orElseThrow(),
                id,
                requests,
                json.writeValueAsString(requests),
                new CompletableFuture<>());
        put(asked);
        return asked.done();
    }

    /**
     * Lets other people do something. What they do is applied to the book by {@code change}.
     */
    public void others(BiFunction<Book, Rules, List<Fact>> change) {
        put(new ByOthers(change, new CompletableFuture<>()));
    }

    /**
     * Does something while nobody else decides, in the transaction of what is decided.
     *
     * @return what becomes of it, after the commit; an exception where it could not be done
     */
    public <T> CompletableFuture<T> alone(Deed<T> deed) {
        Alone<T> job = new Alone<>(deed, new CompletableFuture<>());
        put(job);
        return job.done();
    }

    private void put(Job job) {
        if (!jobs.offer(job)) {
            job.done().completeExceptionally(new IllegalStateException("Too many ask at once"));
        }
    }

    /** What a student has now. */
    public Registration registration(String student) {
        return read((book, now) -> book.registration(student, now));
    }

    /** How the wish rounds stand to a student. */
    public List<RoundStanding> rounds(String student) {
        return read((book, now) -> wishes.all().stream()
                .map(round -> wishes.standing(round, student, book.registration(student, now)))
                .toList());
    }

    /** All that the places of a round were distributed by; empty while they are not. */
    public Optional<RoundFile> roundFile(RoundName name) {
        return read((book, now) -> wishes.file(name));
    }

    /** How a wish round stands as a whole; empty where there is none of that name. */
    public Optional<RoundReport> round(RoundName name) {
        return read((book, now) -> wishes.of(name).map(round -> wishes.report(round, book, rules.wishes(), now)));
    }

    private <T> T read(BiFunction<Book, Instant, T> question) {
        lock.lock();
        try {
            return question.apply(kept.book(), clock.now());
        } finally {
            lock.unlock();
        }
    }

    /** All submissions of a student, the latest first. */
    public List<Submission> submissions(String student) {
        return journal.ofStudent(student).stream().map(this::submission).toList();
    }

    private Submission submission(SubmissionRow row) {
        return new Submission(
                row.id(), row.at(), Arrays.asList(json.readValue(row.answered(), Submission.Line[].class)));
    }

    private void work() {
        while (running) {
            try {
                List<Job> some = new ArrayList<>();
                Job first = jobs.poll(1, TimeUnit.SECONDS);
                if (first != null) {
                    some.add(first);
                    jobs.drainTo(some, MOST_AT_ONCE - 1);
                }
                decide(some);
            } catch (InterruptedException ending) {
                return;
            }
        }
    }

    /** Also where nobody asks: time brings something by itself. */
    private void decide(List<Job> some) {
        lock.lock();
        try {
            Runnable answers = transaction.execute(status -> decideAll(some));
            answers.run();
        } catch (RuntimeException trouble) {
            kept.doubt();
            if (!some.isEmpty()) {
                LOG.warn("{} submissions could not be decided", some.size(), trouble);
            }
            some.forEach(job -> job.done().completeExceptionally(trouble));
        } finally {
            lock.unlock();
        }
    }

    /** @return gives everybody their answers, once it is committed */
    private Runnable decideAll(List<Job> some) {
        List<Asked> asked = some.stream()
                .filter(Asked.class::isInstance)
                .map(Asked.class::cast)
                .toList();
        Journal.Beginning begun = journal.begin(
                asked.stream().map(one -> one.who().student()).toList(),
                asked.stream().map(Asked::id).toList());
        // As fine as the database keeps it: an answer that is given again is the same.
        Instant now = clock.now().truncatedTo(ChronoUnit.MICROS);
        List<Round> due = due(begun.last(), now);
        Book book = kept.book();
        JournalRows rows = new JournalRows(kept.known() + 1);
        due.forEach(round -> {
            long after = kept.known() + rows.facts().size();
            rows.add("", wishes.decide(round, book, rules.wishes(), after, now));
        });
        rows.add("", rules.due(book, now));
        List<Runnable> answers = new ArrayList<>();
        Map<String, Answered> before = new HashMap<>();
        begun.answered().forEach((key, row) -> before.put(key, new Answered(row, submission(row))));
        List<Answered> fresh = new ArrayList<>();
        for (Job job : some) {
            if (job instanceof Asked one) {
                Answered answered = before.get(one.key());
                if (answered == null) {
                    answered = answer(one, book, now, rows);
                    before.put(one.key(), answered);
                    fresh.add(answered);
                }
                Answered its = answered;
                answers.add(() -> tell(one, its));
            } else if (job instanceof ByOthers others) {
                rows.add("", others.change().apply(book, rules));
                answers.add(() -> others.done().complete(true));
            } else if (job instanceof Alone<?> alone) {
                answers.add(alone.perform(book, rules, now));
            }
        }
        journal.keep(fresh.stream().map(Answered::row).toList(), rows, now, book::pool);
        kept.wrote(rows.facts().size());
        boolean distributed = !due.isEmpty();
        boolean changed = distributed || !rows.facts().isEmpty();
        return () -> {
            if (distributed) {
                // What was distributed is read again as it is kept.
                kept.doubt();
            }
            answers.forEach(Runnable::run);
            if (changed) {
                news.tell();
            }
        };
    }

    /** The wish rounds that have ended and are to be distributed now, each once, whichever program comes to it first. The book is up to date after it. */
    private List<Round> due(long last, Instant now) {
        kept.upTo(last);
        if (wishes.due(now).stream().anyMatch(wishes::isDecided)) {
            kept.doubt();
            kept.book();
        }
        return wishes.due(now);
    }

    private Answered answer(Asked asked, Book book, Instant now, JournalRows rows) {
        List<Submission.Line> lines = new ArrayList<>();
        for (Request request : asked.requests()) {
            Decision decision = rules.submit(book, asked.who(), request, now);
            rows.add(asked.id(), decision.facts());
            lines.add(new Submission.Line(request, decision.answer()));
        }
        return new Answered(
                new SubmissionRow(asked.who().student(), asked.id(), now, asked.json(), json.writeValueAsString(lines)),
                new Submission(asked.id(), now, lines));
    }

    private static void tell(Asked asked, Answered answered) {
        if (answered.row().asked().equals(asked.json())) {
            asked.done().complete(answered.submission());
        } else {
            asked.done().completeExceptionally(new UsedBeforeException());
        }
    }

    @Override
    public void start() {
        running = true;
        Thread thread = new Thread(this::work, "registry");
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public void stop() {
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}

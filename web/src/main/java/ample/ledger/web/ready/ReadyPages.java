package ample.ledger.web.ready;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.readiness.Readiness;
import ample.ledger.core.readiness.Readiness.Line;
import ample.ledger.core.readiness.Steps;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.store.AskedSubmissions.Asked;
import ample.ledger.web.ready.ReadyPage.Answered;
import ample.ledger.web.ready.ReadyPage.Cell;
import ample.ledger.web.ready.ReadyPage.Link;
import ample.ledger.web.ready.ReadyPage.Ordering;
import ample.ledger.web.ready.ReadyPage.Row;
import ample.ledger.web.ready.ReadyPage.Said;
import ample.ledger.web.ready.ReadyPage.Sending;
import ample.ledger.web.ready.ReadyPage.Total;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.visit.OpeningWords;
import ample.ledger.web.words.Words;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Makes the page Readiness for a student whose registrar takes submissions. */
final class ReadyPages {

    private static final List<String> NUMBERS =
            List.of("None", "One", "Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine", "Ten");

    private final AtRegistrar student;
    private final Schedule schedule;
    private final Instant now;
    private final ReadyAsk ask;

    ReadyPages(AtRegistrar student, Schedule schedule, ReadyAsk ask) {
        this.student = student;
        this.schedule = schedule;
        this.ask = ask;
        this.now = student.visit().instant();
    }

    /** @param last what was submitted last, one for each term, to be shown with its answers; none for nothing */
    ReadyPage page(List<String> told, List<Submission> last, List<Asked> unanswered) {
        PlannedWeek week = student.week(schedule.term().season().code());
        Steps usual = student.steps(week);
        Steps steps = usual.inOrder(ask.order());
        Readiness readiness = Readiness.of(steps, student.foretold(), now);
        return new ReadyPage(
                schedule.term().code().text(),
                ask.plain().address(),
                says(readiness),
                lead(readiness),
                told,
                new Ordering(
                        steps.why().stream().map(WhyWords::of).distinct().toList(),
                        readiness.requests().size() < 2 || ask.arranging()
                                ? ""
                                : ask.arrange(true).address(),
                        steps.equals(usual) && !ask.arranging()
                                ? ""
                                : ask.inOrder(List.of()).arrange(false).address()),
                lines(readiness, last),
                total(readiness),
                sending(readiness),
                answered(last, unanswered, readiness));
    }

    private String says(Readiness readiness) {
        int asked = readiness.requests().size();
        if (readiness.lines().isEmpty()) {
            return "Your plan has no sections yet. Add some to My week, and check them here before you submit.";
        }
        if (asked == 0) {
            return "You are registered for your whole plan. Nothing is left to submit.";
        }
        int ready = readiness.ready().size();
        String when = readiness.opens(now).isPresent() && !readiness.isOpen(now) ? " at your opening" : " now";
        String first = ready == asked
                ? "%s would go through%s."
                        .formatted(asked == 1 ? "It" : "All " + number(asked).toLowerCase(Locale.ROOT), when)
                : "%s of %s would go through%s."
                        .formatted(number(ready), number(asked).toLowerCase(Locale.ROOT), when);
        int left = asked - ready;
        return left == 0
                ? first
                : first + " %s %s something first.".formatted(number(left), left == 1 ? "needs" : "need");
    }

    private static String number(int number) {
        return number < NUMBERS.size() ? NUMBERS.get(number) : Words.number(number);
    }

    private List<Link> lead(Readiness readiness) {
        return readiness.lines().isEmpty()
                ? List.of(
                        new Link("Find sections", new Addresses(schedule.term().code()).browse(Brief.EVERYTHING)))
                : List.of();
    }

    private List<ReadyPage.Line> lines(Readiness readiness, List<Submission> last) {
        CellWords cells = new CellWords(student, readiness, now);
        Mends mends = new Mends(ask);
        List<ReadyPage.Line> lines = new ArrayList<>();
        int number = 0;
        for (int i = 0; i < readiness.lines().size(); i++) {
            Line line = readiness.lines().get(i);
            boolean asks = line.step().request().isPresent();
            number += asks ? 1 : 0;
            lines.add(new ReadyPage.Line(
                    asks ? String.valueOf(number) : "",
                    line.sections().stream().map(one -> row(line, one, cells)).toList(),
                    cells.open(line),
                    cells.prerequisite(line),
                    cells.with(line),
                    cells.credits(line),
                    cells.notes(line),
                    mends.of(line),
                    answers(line, last),
                    moved(readiness, i, -1),
                    moved(readiness, i, 1)));
        }
        return lines;
    }

    private Row row(Line line, Attendance one, CellWords cells) {
        return new Row(
                one.section().entry().digits(),
                new Addresses(one.term().code()).sheet(one.section().entry(), Brief.EVERYTHING),
                one.leads()
                        ? one.toString()
                        : "with " + one.section().kindName().toLowerCase(Locale.ROOT) + " "
                                + one.section().code(),
                one.leads() ? one.section().course().title() : "",
                Stream.concat(
                                cells.when(one, student.visit().preferences().clock()).stream(),
                                one.term().code().equals(schedule.term().code())
                                        ? Stream.of()
                                        : Stream.of(one.term().name()))
                        .toList(),
                cells.time(line, one),
                cells.seat(line, one));
    }

    private String moved(Readiness readiness, int line, int by) {
        int to = line + by;
        if (!ask.arranging() || to < 0 || to >= readiness.lines().size()) {
            return "";
        }
        List<Entry> leads = new ArrayList<>(readiness.lines().stream()
                .map(one -> Entry.of(one.step().lead()))
                .toList());
        Collections.swap(leads, line, to);
        return ask.inOrder(leads).address();
    }

    private List<Said> answers(Line line, List<Submission> last) {
        List<Entry> own = Entry.of(line.sections());
        return last.stream()
                .flatMap(submission -> submission.lines().stream())
                .filter(said -> said.request().set().stream().anyMatch(own::contains))
                .flatMap(said -> AnswerWords.said(said.request(), said.answer(), student.posted()).stream())
                .toList();
    }

    private Total total(Readiness readiness) {
        long through = readiness.lines().stream().filter(Line::goesThrough).count();
        long waiting = readiness.lines().stream().filter(Line::waits).count();
        long refused = readiness.lines().stream().filter(Line::refused).count();
        long had = readiness.lines().stream()
                .filter(line -> line.step().request().isEmpty())
                .count();
        String words = Stream.of(
                        had == 0 ? "" : "You have or wait for " + had,
                        through + " would go through",
                        waiting == 0 ? "" : waiting + " would wait",
                        refused == 0 ? "" : refused + " would be refused")
                .filter(one -> !one.isEmpty())
                .collect(Collectors.joining(" · "));
        CellWords cells = new CellWords(student, readiness, now);
        Optional<Cell> credits = readiness.lines().isEmpty()
                ? Optional.empty()
                : Optional.of(
                        cells.credits(readiness.lines().get(readiness.lines().size() - 1)));
        return new Total(
                words,
                credits.filter(cell -> !cell.tone().equals("fails"))
                        .map(Cell::word)
                        .orElse(""));
    }

    private Sending sending(Readiness readiness) {
        List<Request> all = readiness.requests();
        List<Request> ready = readiness.ready();
        Optional<Instant> opens = readiness.isOpen(now) ? Optional.empty() : readiness.opens(now);
        String from = opens.map(moment -> Words.moment(
                        LocalDateTime.ofInstant(moment, schedule.institution().zone()),
                        student.visit().now(schedule)))
                .orElse("");
        return new Sending(
                UUID.randomUUID().toString(),
                all.stream().map(RequestTokens::of).toList(),
                ready.size() < all.size()
                        ? ready.stream().map(RequestTokens::of).toList()
                        : List.of(),
                from,
                opens.map(moment -> Duration.between(now, moment).toMillis()).orElse(0L),
                opens.map(moment -> "Nothing has been sent yet. It opens %s; this page notices that by itself."
                                .formatted(OpeningWords.in(
                                        student.visit().now(schedule),
                                        LocalDateTime.ofInstant(
                                                moment, schedule.institution().zone()))))
                        .orElse(all.isEmpty() ? "" : "Nothing has been sent yet."),
                Stream.concat(
                                terms(all) > 1
                                        ? Stream.of("as %d submissions, one for each term, the earlier first:"
                                                .formatted(terms(all)))
                                        : Stream.of(),
                                all.stream().map(request -> AnswerWords.request(request, student.posted())))
                        .toList());
    }

    private static long terms(List<Request> requests) {
        return requests.stream()
                .map(request -> request.set().get(0).term())
                .distinct()
                .count();
    }

    private Answered answered(List<Submission> last, List<Asked> unanswered, Readiness readiness) {
        if (!unanswered.isEmpty()) {
            return new Answered(
                    "Sent at %s, not answered yet. The answer is asked for again; nothing is sent twice."
                            .formatted(clock(unanswered.get(0).askedAt())),
                    true,
                    List.of());
        }
        if (last.isEmpty()) {
            return new Answered("", false, List.of());
        }
        List<Submission.Line> said =
                last.stream().flatMap(one -> one.lines().stream()).toList();
        long done = said.stream().filter(line -> !line.answer().wasRefused()).count();
        List<Entry> planned = readiness.lines().stream()
                .flatMap(line -> Entry.of(line.sections()).stream())
                .toList();
        return new Answered(
                "The registrar answered%s at %s: %s."
                        .formatted(
                                last.size() > 1 ? " each term's submission, the earlier first," : "",
                                clock(last.get(last.size() - 1).at()),
                                done == said.size()
                                        ? said.size() == 1 ? "done" : "all of it is done"
                                        : done + " of " + said.size() + " done"),
                false,
                said.stream()
                        .filter(line -> line.request().set().stream().noneMatch(planned::contains))
                        .flatMap(line -> AnswerWords.said(line.request(), line.answer(), student.posted()).stream()
                                .map(one -> new Said(
                                        one.tone(),
                                        AnswerWords.names(line.request().set(), student.posted()) + ": "
                                                + one.words())))
                        .toList());
    }

    private String clock(Instant moment) {
        return Words.clock(moment.atZone(schedule.institution().zone()));
    }
}

package ample.ledger.core.readiness;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.readiness.Steps.Step;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.rules.Book;
import ample.ledger.core.registrar.rules.PoolName;
import ample.ledger.core.registrar.rules.Registrant;
import ample.ledger.core.registrar.rules.RoundName;
import ample.ledger.core.registrar.rules.Rules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.WishRound;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** The registrar's rules, run in advance on how all stands at a moment. Every question is answered on its own copy of that. */
public final class Foretold {

    private final Rules rules;
    private final Registrant who;
    private final Registration has;
    private final Function<PoolName, SeatPool> seats;
    private final PostedSchedules posted;

    /**
     * @param has what the student has at the registrar
     * @param seats how a pool stands now
     */
    public Foretold(PostedSchedules posted, Registrant who, Registration has, Function<PoolName, SeatPool> seats) {
        this.posted = posted;
        this.who = who;
        this.has = has;
        this.seats = seats;
        // No offer that is made on the way lapses within one submission.
        this.rules = new Rules(
                posted,
                Duration.ofDays(1),
                student -> student.equals(who.student()) ? Optional.of(who) : Optional.empty());
    }

    public PostedSchedules posted() {
        return posted;
    }

    public Registration has() {
        return has;
    }

    /** When registration opens to the student for the term of a schedule; {@code now} where it has, or where it is not known. */
    Instant opened(Schedule schedule, Instant now) {
        return who.file()
                .opening(schedule)
                .map(own -> own.opening()
                        .from()
                        .atZone(schedule.institution().zone())
                        .toInstant())
                .filter(now::isBefore)
                .orElse(now);
    }

    /** What would be answered to one request, as all stands. */
    public Answer answer(Request request, Instant moment) {
        return answer(book(), request, moment);
    }

    /** What stands against a place in a group of a wish round, were its period to end with all as it stands; none where nothing does. */
    public List<Refusal> againstPlace(Schedule schedule, WishRound round, WishRound.Group group) {
        return rules.wishes()
                .against(
                        book(),
                        who,
                        new RoundName(schedule.term().code().text(), round.code()),
                        group,
                        round.closes().atZone(schedule.institution().zone()).toInstant());
    }

    /** All as it stands. */
    Book book() {
        return Book.of(
                seats, who.student(), has, entry -> PoolName.of(entry.in(posted).orElseThrow()));
    }

    /** The answers to all steps, one after the other; empty for a step that asks for nothing. */
    List<Optional<Answer>> answers(List<Step> steps, Function<Step, Instant> moment) {
        Book book = book();
        List<Optional<Answer>> answers = new ArrayList<>();
        for (Step step : steps) {
            answers.add(step.request().map(request -> answer(book, request, moment.apply(step))));
        }
        return answers;
    }

    /** The answer to one request, which is applied to the book. */
    Answer answer(Book book, Request request, Instant moment) {
        rules.due(book, moment);
        return rules.submit(book, who, request, moment).answer();
    }

    /** The answer to one request, which changes nothing. */
    Answer wouldAnswer(Book book, Request request, Instant moment) {
        return rules.decide(book, who, request, moment).answer();
    }
}

package ample.ledger.core.readiness;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.readiness.Readiness.Remedy;
import ample.ledger.core.readiness.Steps.Step;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Answer.Outcome;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.rules.Book;
import ample.ledger.core.schedule.CourseCode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.Stream;

/**
 * Looks for what would mend a line that would be refused. Each is tried against the rules with everything else as it is planned: none is told that
 * does not work, or that spoils another line.
 */
final class Remedies {

    /** Of each sort. */
    private static final int MOST = 2;

    /** So many sets of a course are tried: the first are those that change least. */
    private static final int TRIED = 60;

    /** What other sections of the same course can be rid of. */
    private static final Set<Reason> OF_THE_SECTION = EnumSet.of(
            Reason.CLOSED,
            Reason.CANCELLED,
            Reason.RESTRICTED,
            Reason.COMPANION_MISSING,
            Reason.COMPANION_OF_ANOTHER,
            Reason.CLASH,
            Reason.TWIN,
            Reason.FULL,
            Reason.FULL_WAITLIST_OPEN,
            Reason.WAITLIST_FULL);

    private final List<Step> steps;
    private final List<Optional<Answer>> answers;
    private final Foretold foretold;
    private final Instant now;

    Remedies(List<Step> steps, List<Optional<Answer>> answers, Foretold foretold, Instant now) {
        this.steps = steps;
        this.answers = answers;
        this.foretold = foretold;
        this.now = now;
    }

    private Instant moment(Step step) {
        return foretold.opened(step.lead().schedule(), now);
    }

    /** For the line at that position. */
    List<Remedy> of(int line) {
        Optional<Answer> answer = answers.get(line).filter(Answer::wasRefused);
        if (answer.isEmpty()) {
            return List.of();
        }
        List<Remedy> remedies = new ArrayList<>();
        List<Refusal> refusals = answer.get().refusals();
        if (refusals.stream().allMatch(refusal -> isOf(refusal, OF_THE_SECTION))) {
            remedies.addAll(otherSets(line, steps.get(line), List.of()));
        }
        clashes(refusals).stream()
                .filter(other -> other != line)
                .flatMap(other -> otherSets(line, steps.get(other), List.of(other)).stream())
                .limit(MOST)
                .forEach(remedies::add);
        corequisites(line, refusals).forEach(remedies::add);
        if (answer.get().isRefusedFor(Reason.FULL_WAITLIST_OPEN)) {
            waiting(line).ifPresent(remedies::add);
        }
        remedies.addAll(leftOut(line));
        return remedies;
    }

    private static boolean isOf(Refusal refusal, Set<Reason> reasons) {
        return refusal.reason().filter(reasons::contains).isPresent();
    }

    /** The lines whose sections are named by a clash. */
    private List<Integer> clashes(List<Refusal> refusals) {
        List<Integer> lines = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            List<Entry> own = Entry.of(steps.get(i).sections());
            boolean named = refusals.stream()
                    .filter(refusal -> refusal.is(Reason.CLASH))
                    .flatMap(refusal -> refusal.with().stream())
                    .anyMatch(own::contains);
            if (named && steps.get(i).request().isPresent()) {
                lines.add(i);
            }
        }
        return lines;
    }

    /**
     * Sets of the course of {@code changed} that would be had in place of what is planned of it, so that {@code line} would be too.
     */
    private List<Remedy> otherSets(int line, Step changed, List<Integer> without) {
        if (changed.sections().stream().anyMatch(one -> !one.sameCourse(changed.lead()))) {
            return List.of();
        }
        Book others = book(i -> i != line && !steps.get(i).equals(changed) && !without.contains(i));
        List<Attendance> planned = changed.sections();
        return foretold
                .posted()
                .setsOf(planned.get(0).section().course().code(), planned.get(0).schedule())
                .stream()
                .filter(set ->
                        !set.equals(planned) && !foretold.has().registered().containsAll(Entry.of(set)))
                .sorted(Comparator.comparingLong(set -> differing(set, planned) + differing(planned, set)))
                .limit(TRIED)
                .filter(set -> foretold.wouldAnswer(others, had(changed, set), moment(changed))
                                .outcome()
                        == Outcome.DONE)
                .filter(set -> mends(line, with(changed, Optional.of(step(changed, set)))))
                .limit(MOST)
                .<Remedy>map(set -> new Remedy.Instead(
                        planned.stream().filter(one -> !set.contains(one)).toList(),
                        set.stream().filter(one -> !planned.contains(one)).toList()))
                .toList();
    }

    private static long differing(List<Attendance> some, List<Attendance> others) {
        return some.stream().filter(one -> !others.contains(one)).count();
    }

    /** The request for other sections of a course than are planned. */
    private Request had(Step changed, List<Attendance> set) {
        List<Entry> registered = foretold.has().registered();
        List<Entry> out = registered.stream()
                .filter(entry -> !Entry.of(set).contains(entry))
                .filter(entry -> entry.in(foretold.posted())
                        .filter(changed.lead()::sameCourse)
                        .isPresent())
                .toList();
        return out.isEmpty()
                ? Request.register(Entry.of(set).stream()
                        .filter(entry -> !registered.contains(entry))
                        .toList())
                : Request.swap(out, Entry.of(set));
    }

    private Step step(Step changed, List<Attendance> set) {
        return new Step(set, Optional.of(had(changed, set)));
    }

    private Book book(IntPredicate meant) {
        Book book = foretold.book();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            if (meant.test(i)) {
                step.request().ifPresent(request -> foretold.answer(book, request, moment(step)));
            }
        }
        return book;
    }

    /** The steps with another in the place of one, or without it. */
    private List<Step> with(Step one, Optional<Step> other) {
        return steps.stream()
                .flatMap(step -> step.equals(one) ? other.stream() : Stream.of(step))
                .toList();
    }

    /** Whether {@code changed} has the line, and refuses no other that was had before. */
    private boolean mends(int line, List<Step> changed) {
        Book book = foretold.book();
        CourseCode wanted = steps.get(line).lead().section().course().code();
        for (Step step : changed) {
            boolean refused = step.request()
                    .filter(request ->
                            foretold.answer(book, request, moment(step)).wasRefused())
                    .isPresent();
            boolean had = step.lead().sameCourse(steps.get(line).lead()) || wasHad(step);
            if (refused && had) {
                return false;
            }
        }
        return changed.stream()
                .anyMatch(step -> step.lead().section().course().code().equals(wanted));
    }

    private boolean wasHad(Step step) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).lead().sameCourse(step.lead())) {
                return answers.get(i).filter(Answer::wasRefused).isEmpty();
            }
        }
        return true;
    }

    /** What must be taken with it, before it. */
    private List<Remedy> corequisites(int line, List<Refusal> refusals) {
        Step step = steps.get(line);
        return refusals.stream()
                .filter(refusal -> refusal.is(Reason.COREQUISITE))
                .flatMap(refusal -> step.lead().section().course().rules().corequisites().stream()
                        .filter(corequisite -> refusal.what()
                                .filter(corequisite.course().toString()::equals)
                                .isPresent()))
                .flatMap(corequisite -> foretold
                        .posted()
                        .setsOf(corequisite.course(), step.lead().schedule())
                        .stream()
                        .limit(TRIED)
                        .filter(set -> mends(line, before(line, set)))
                        .limit(MOST))
                .<Remedy>map(set -> new Remedy.Instead(List.of(), set))
                .toList();
    }

    private List<Step> before(int line, List<Attendance> set) {
        List<Step> more = new ArrayList<>(steps);
        more.add(line, new Step(set, Optional.of(Request.register(Entry.of(set)))));
        return more;
    }

    private Optional<Remedy> waiting(int line) {
        Step step = steps.get(line);
        Request wait = Request.wait(Entry.of(step.sections()));
        Book before = book(i -> i < line);
        Answer answer = foretold.answer(before, wait, moment(step));
        return answer.outcome() == Outcome.WAITING
                ? Optional.of(new Remedy.Wait(step.sections(), answer.places().get(0)))
                : Optional.empty();
    }

    /** Other lines without which it would be had. */
    private List<Remedy> leftOut(int line) {
        Set<Reason> others =
                EnumSet.of(Reason.OVER_LIMIT, Reason.SAME_COURSE, Reason.EXCLUDED, Reason.CLASH, Reason.TWIN);
        boolean may = answers.get(line).orElseThrow().refusals().stream().allMatch(refusal -> isOf(refusal, others));
        List<Remedy> found = new ArrayList<>();
        for (int i = 0; may && found.size() < MOST && i < steps.size(); i++) {
            Step other = steps.get(i);
            if (i != line && other.request().isPresent() && mends(line, with(other, Optional.empty()))) {
                found.add(new Remedy.LeaveOut(other.sections()));
            }
        }
        return found;
    }
}

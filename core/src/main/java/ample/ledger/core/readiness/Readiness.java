package ample.ledger.core.readiness;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.SubmissionOrder;
import ample.ledger.core.readiness.Steps.Step;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Request;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the registrar would answer to a plan.
 *
 * @param lines in the order of submission
 * @param why what decided that order
 */
public record Readiness(List<Line> lines, List<SubmissionOrder.Why> why) {

    public Readiness {
        lines = List.copyOf(lines);
        why = List.copyOf(why);
    }

    /**
     * One line.
     *
     * @param now what would be answered now; empty where nothing is asked for: the student has it already
     * @param then what would be answered when registration for its term has opened to the student, if nothing else changes; the same as now
     *     where it has
     * @param opened when that is, or now
     * @param remedies what would mend it then, tried against the rules; none where nothing has to be mended
     */
    public record Line(Step step, Optional<Answer> now, Optional<Answer> then, Instant opened, List<Remedy> remedies) {

        public Line {
            remedies = List.copyOf(remedies);
        }

        public List<Attendance> sections() {
            return step.sections();
        }

        /** Whether it would be had when registration has opened. */
        public boolean goesThrough() {
            return then.filter(answer -> answer.outcome() == Answer.Outcome.DONE)
                    .isPresent();
        }

        public boolean waits() {
            return then.filter(answer -> answer.outcome() == Answer.Outcome.WAITING)
                    .isPresent();
        }

        public boolean refused() {
            return then.filter(Answer::wasRefused).isPresent();
        }
    }

    /** What would mend a line; all of it was tried against the rules. */
    public sealed interface Remedy {

        /**
         * Other sections.
         *
         * @param out what they take the place of in the plan; none where something only comes
         * @param in what comes
         */
        record Instead(List<Attendance> out, List<Attendance> in) implements Remedy {}

        /** To wait for it. */
        record Wait(List<Attendance> set, Answer.Place place) implements Remedy {}

        /** Other sections of the plan left out. */
        record LeaveOut(List<Attendance> others) implements Remedy {}
    }

    /**
     * @param foretold the rules, and how all stands
     * @param now the moment
     */
    public static Readiness of(Steps steps, Foretold foretold, Instant now) {
        List<Instant> moments = steps.steps().stream()
                .map(step -> foretold.opened(step.lead().schedule(), now))
                .toList();
        List<Optional<Answer>> answersNow = foretold.answers(steps.steps(), one -> now);
        boolean opened = moments.stream().allMatch(now::equals);
        List<Optional<Answer>> answersThen = opened
                ? answersNow
                : foretold.answers(
                        steps.steps(), step -> foretold.opened(step.lead().schedule(), now));
        Remedies remedies = new Remedies(steps.steps(), answersThen, foretold, now);
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < steps.steps().size(); i++) {
            lines.add(new Line(
                    steps.steps().get(i), answersNow.get(i), answersThen.get(i), moments.get(i), remedies.of(i)));
        }
        return new Readiness(lines, steps.why());
    }

    /** What is asked for, in its order. */
    public List<Request> requests() {
        return lines.stream().flatMap(line -> line.step().request().stream()).toList();
    }

    /** Those that would go through when registration has opened. */
    public List<Request> ready() {
        return lines.stream()
                .filter(line -> !line.refused())
                .flatMap(line -> line.step().request().stream())
                .toList();
    }

    /** Whether registration has opened for some of what is asked for. */
    public boolean isOpen(Instant now) {
        return lines.stream()
                .anyMatch(line ->
                        line.step().request().isPresent() && !line.opened().isAfter(now));
    }

    /** When registration opens next for something that is asked for; empty where it has for all. */
    public Optional<Instant> opens(Instant now) {
        return lines.stream()
                .filter(line -> line.step().request().isPresent())
                .map(Line::opened)
                .filter(opened -> opened.isAfter(now))
                .min(Instant::compareTo);
    }
}

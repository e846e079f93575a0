package ample.ledger.web.requirement;

import ample.ledger.core.requirement.Eligibility;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.schedule.Corequisite;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.CourseRules;
import ample.ledger.core.schedule.Equivalent;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.web.requirement.Asks.Rule;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What is asked beside prerequisites, in the registrar's sentences, judged by a record where there is one. */
final class RuleWords {

    private final Judging judging;
    private final CourseRules rules;
    private final List<Restriction> own;

    /** @param own restrictions beside those of the course */
    RuleWords(Judging judging, CourseRules rules, List<Restriction> own) {
        this.judging = judging;
        this.rules = rules;
        this.own = own;
    }

    /** Each sentence once; of several rules that one sentence states, the verdict of the first that does not let in. */
    List<Rule> rules() {
        Map<String, Rule> asked = new LinkedHashMap<>();
        Stream.of(
                        rules.corequisites().stream().map(this::rule),
                        rules.equivalents().stream().map(this::rule),
                        Stream.concat(rules.restrictions().stream(), own.stream())
                                .map(this::rule))
                .flatMap(some -> some)
                .forEach(one -> asked.merge(one.sentence(), one, (first, other) -> first.met() ? other : first));
        return List.copyOf(asked.values());
    }

    private Rule rule(Corequisite corequisite) {
        Optional<Evaluation.Verdict> verdict = judged(corequisite.course());
        return new Rule(
                corequisite.sentence(),
                verdict.map(Evaluation.Verdict::label).orElse(""),
                verdict.filter(Evaluation.Verdict::willDo).isPresent());
    }

    private Rule rule(Equivalent equivalent) {
        boolean onRecord = judging.reading().has(equivalent.course());
        return new Rule(
                equivalent.sentence(),
                onRecord ? "on your record: no credit for both" : "",
                judging.student().isPresent() && !onRecord);
    }

    private Rule rule(Restriction restriction) {
        Eligibility verdict = Eligibility.of(
                restriction, judging.person()::belongsTo, judging.person().today());
        boolean said = judging.student().isPresent()
                || verdict == Eligibility.PAST
                || verdict == Eligibility.ALLOWED
                || verdict == Eligibility.NOT_ALLOWED;
        return new Rule(
                restriction.sentence(),
                said ? verdict.label() : "",
                verdict == Eligibility.ALLOWED || verdict == Eligibility.PAST);
    }

    private Optional<Evaluation.Verdict> judged(CourseCode course) {
        return judging.evaluation()
                .map(by -> by.judge(new Prerequisite.Passed(course, Optional.empty(), true))
                        .verdict());
    }
}

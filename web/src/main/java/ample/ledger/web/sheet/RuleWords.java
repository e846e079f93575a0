package ample.ledger.web.sheet;

import ample.ledger.core.requirement.Eligibility;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.Corequisite;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.CourseRules;
import ample.ledger.core.schedule.Equivalent;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.sheet.SheetPage.Asked;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What is asked beside prerequisites, in the registrar's sentences, judged by a record where there is one. */
final class RuleWords {

    private final Section section;
    private final Optional<StudentRecord> student;
    private final Optional<Evaluation> evaluation;
    private final LocalDate today;

    /** @param evaluation by the record of {@code student}; empty where no record was given */
    RuleWords(Section section, Optional<StudentRecord> student, Optional<Evaluation> evaluation, LocalDate today) {
        this.section = section;
        this.student = student;
        this.evaluation = evaluation;
        this.today = today;
    }

    /** Each sentence once; of several rules that one sentence states, the verdict of the first that does not let in. */
    List<Asked> asked() {
        CourseRules rules = section.course().rules();
        Map<String, Asked> asked = new LinkedHashMap<>();
        Stream.of(
                        rules.corequisites().stream().map(this::asked),
                        rules.equivalents().stream().map(this::asked),
                        Stream.concat(rules.restrictions().stream(), section.restrictions().stream())
                                .map(this::asked))
                .flatMap(some -> some)
                .forEach(one -> asked.merge(one.sentence(), one, (first, other) -> first.met() ? other : first));
        return List.copyOf(asked.values());
    }

    private Asked asked(Corequisite corequisite) {
        Optional<Evaluation.Verdict> verdict = judged(corequisite.course());
        return new Asked(
                corequisite.sentence(),
                verdict.map(Evaluation.Verdict::label).orElse(""),
                verdict.filter(Evaluation.Verdict::willDo).isPresent());
    }

    private Asked asked(Equivalent equivalent) {
        boolean onRecord = student.stream()
                .flatMap(record -> record.courses().stream())
                .anyMatch(taken -> taken.course().equals(equivalent.course()));
        return new Asked(
                equivalent.sentence(),
                onRecord ? "on your record: no credit for both" : "",
                student.isPresent() && !onRecord);
    }

    private Asked asked(Restriction restriction) {
        Eligibility verdict = Eligibility.of(restriction, student, today);
        boolean said = student.isPresent() || verdict == Eligibility.PAST;
        return new Asked(
                restriction.sentence(),
                said ? verdict.label() : "",
                verdict == Eligibility.ALLOWED || verdict == Eligibility.PAST);
    }

    private Optional<Evaluation.Verdict> judged(CourseCode course) {
        return evaluation.map(by -> by.judge(new Prerequisite.Passed(course, Optional.empty(), true))
                .verdict());
    }
}

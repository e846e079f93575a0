package ample.ledger.web.requirement;

import ample.ledger.core.reading.MayTake;
import ample.ledger.core.reading.WayOverTerms;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.Evaluation.Judged;
import ample.ledger.core.requirement.PrerequisiteWords;
import ample.ledger.core.requirement.ShortestWays;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Prerequisite.AtLeast;
import ample.ledger.web.requirement.Asks.Need;
import ample.ledger.web.requirement.Asks.Node;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** What a course asks for before it, as the registrar says it and as a tree, judged by a record where there is one. */
final class NeedsWords {

    /** More ways than this to the same end are not all said. */
    private static final int MOST_WAYS = 4;

    private final Judging judging;
    private final Course asking;
    private final PrerequisiteWords words;

    /** @param asking the course whose prerequisites are said */
    NeedsWords(Judging judging, Course asking) {
        this.judging = judging;
        this.asking = asking;
        this.words = new PrerequisiteWords(this::course);
    }

    Need need(PostedPrerequisite posted) {
        Optional<Judged> judged =
                posted.expression().flatMap(needed -> judging.evaluation().map(by -> by.judge(asking, needed)));
        return new Need(
                posted.sentence(),
                posted.expression()
                        .filter(AtLeast.class::isInstance)
                        .map(needed -> node(needed, judged))
                        .orElse(null),
                judged.map(NeedsWords::verdict).orElse(""),
                judged.filter(all -> all.verdict().willDo()).isPresent(),
                judged.map(this::missing).orElse(""));
    }

    private static String verdict(Judged judged) {
        return judged.verdict().label();
    }

    private Node node(Prerequisite needed, Optional<Judged> judged) {
        List<Node> parts = List.of();
        if (needed instanceof AtLeast choice) {
            parts = IntStream.range(0, choice.parts().size())
                    .mapToObj(i -> node(
                            choice.parts().get(i), judged.map(all -> all.parts().get(i))))
                    .toList();
        }
        return new Node(
                words.of(needed),
                judged.map(NeedsWords::verdict).orElse(""),
                judged.filter(all -> all.verdict().willDo()).isPresent(),
                parts);
    }

    private String course(CourseCode code) {
        return judging.schedule()
                .course(code)
                .map(course -> course.written() + " " + course.title())
                .orElse(code.toString());
    }

    /** "The shortest way: GLAC 120, C or better; or LIMN 130, C or better." */
    private String missing(Judged judged) {
        List<List<Prerequisite>> ways = ShortestWays.of(judged);
        if (ways.isEmpty()) {
            return "";
        }
        String begins = judged.verdict() == Evaluation.Verdict.SUPPOSED
                ? "On your record is still missing: "
                : "What is missing: ";
        return (ways.size() == 1 ? begins : "Any of these would do: ") + words.ofWays(ways, MOST_WAYS) + ".";
    }

    /** "The shortest way over the terms: NUMB 112 in Autumn 2031, then TIDE 214 in Spring 2032." */
    String way() {
        boolean lacks = judging.student().isPresent()
                && judging.reading().mayTake(asking).may() == MayTake.NO;
        return lacks
                ? WayOverTerms.to(asking.code(), judging.reading(), judging.posted())
                        .filter(steps -> steps.size() > 1)
                        .map(steps -> "The shortest way over the terms: " + inTurn(steps) + ".")
                        .orElse("")
                : "";
    }

    private static String inTurn(List<WayOverTerms.Step> steps) {
        Map<String, List<String>> byTerm = new LinkedHashMap<>();
        steps.forEach(step -> byTerm.computeIfAbsent(step.term().name(), absent -> new ArrayList<>())
                .add(step.course().written()));
        return byTerm.entrySet().stream()
                .map(term -> String.join(" and ", term.getValue()) + " in " + term.getKey())
                .collect(Collectors.joining(", then "));
    }
}

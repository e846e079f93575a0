package ample.ledger.web.requirement;

import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.Evaluation.Judged;
import ample.ledger.core.requirement.ShortestWays;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Prerequisite.AtLeast;
import ample.ledger.core.schedule.Prerequisite.CreditsEarned;
import ample.ledger.core.schedule.Prerequisite.Passed;
import ample.ledger.core.schedule.Prerequisite.Permission;
import ample.ledger.core.schedule.Prerequisite.Placement;
import ample.ledger.core.schedule.Prerequisite.Standing;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.requirement.Asks.Need;
import ample.ledger.web.requirement.Asks.Node;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** What a course asks for before it, as the registrar says it and as a tree, judged by a record where there is one. */
final class NeedsWords {

    /** More ways than this to the same end are not all said. */
    private static final int MOST_WAYS = 4;

    private final Schedule schedule;
    private final Optional<Evaluation> evaluation;

    NeedsWords(Judging judging) {
        this.schedule = judging.schedule();
        this.evaluation = judging.evaluation();
    }

    Need need(PostedPrerequisite posted) {
        Optional<Judged> judged = posted.expression().flatMap(needed -> evaluation.map(by -> by.judge(needed)));
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
                words(needed),
                judged.map(NeedsWords::verdict).orElse(""),
                judged.filter(all -> all.verdict().willDo()).isPresent(),
                parts);
    }

    private String words(Prerequisite needed) {
        if (needed instanceof AtLeast choice) {
            int all = choice.parts().size();
            if (choice.count() == all) {
                return all == 2 ? "both of" : "all of";
            }
            return choice.count() == 1 ? "one of" : choice.count() + " of";
        }
        if (needed instanceof Passed passed) {
            return course(passed.course())
                    + passed.leastGrade()
                            .map(grade -> ", " + grade + " or better")
                            .orElse("")
                    + (passed.alongside() ? ", before or at the same time" : "");
        }
        if (needed instanceof Placement placement) {
            return "placement “" + placement.name() + "”";
        }
        if (needed instanceof Standing standing) {
            return "year " + standing.level() + " or later";
        }
        if (needed instanceof CreditsEarned earned) {
            return earned.credits() + " credits earned";
        }
        return "permission of " + ((Permission) needed).by();
    }

    private String course(CourseCode code) {
        return schedule.course(code)
                .map(course -> course.written() + " " + course.title())
                .orElse(code.toString());
    }

    /** "The shortest way: GLAC 120, C or better; or LIMN 130, C or better." */
    private String missing(Judged judged) {
        List<List<Prerequisite>> ways = ShortestWays.of(judged);
        if (ways.isEmpty()) {
            return "";
        }
        String said = ways.stream()
                .limit(MOST_WAYS)
                .map(way -> way.stream().map(this::words).collect(Collectors.joining(" and ")))
                .collect(Collectors.joining("; or "));
        String begins = judged.verdict() == Evaluation.Verdict.SUPPOSED
                ? "On your record is still missing: "
                : "What is missing: ";
        return (ways.size() == 1 ? begins : "Any of these would do: ")
                + said
                + (ways.size() > MOST_WAYS ? "; or one of %d more ways.".formatted(ways.size() - MOST_WAYS) : ".");
    }
}

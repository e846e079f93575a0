package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.reading.RecordReading.MayTakeReading;
import ample.ledger.core.reading.RecordReading.Reason;
import ample.ledger.core.reading.WayOverTerms;
import ample.ledger.core.requirement.Evaluation.Judged;
import ample.ledger.core.requirement.PrerequisiteWords;
import ample.ledger.core.requirement.ShortestWays;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Restriction;
import java.util.List;
import java.util.Optional;

/** Says why a section may not be taken, or not surely: "needs NUMB 112, which you may take in Autumn 2031". */
final class ByRecord {

    /** More ways than this to meet what is missing are only counted. */
    private static final int MOST_WAYS = 2;

    private final RecordReading reading;
    private final PostedSchedules posted;
    private final PrerequisiteWords words;

    private ByRecord(Candidate candidate) {
        this.reading = candidate.record();
        this.posted = candidate.posted();
        this.words = new PrerequisiteWords(this::written);
    }

    /** The worst reason; that one may, where there is none. */
    static String mayTake(Candidate candidate) {
        MayTakeReading may = candidate.record().mayTake(candidate.section());
        ByRecord said = new ByRecord(candidate);
        return may.reasons().stream()
                .filter(reason -> reason.may() == may.may())
                .findFirst()
                .map(said::reason)
                .orElse(may.may().label());
    }

    private String written(CourseCode code) {
        return reading.schedule().course(code).map(Course::written).orElse(code.toString());
    }

    private String reason(Reason reason) {
        if (reason instanceof Reason.CreditGiven given) {
            return "gives no credit beside %s, which is on your record".formatted(written(given.beside()));
        }
        if (reason instanceof Reason.NotForAll not) {
            return restricted(not.restriction(), not.known());
        }
        Reason.Before before = (Reason.Before) reason;
        return before.judged().map(this::needs).orElse("has a condition that the department judges");
    }

    private static String restricted(Restriction restriction, boolean known) {
        return (known ? "is not for you: “" : "is perhaps not for you: “") + restriction.sentence() + "”";
    }

    private String needs(Judged judged) {
        List<List<Prerequisite>> ways = ShortestWays.of(judged);
        String needs = ways.isEmpty() ? "asks for what is not met" : "needs " + words.ofWays(ways, MOST_WAYS);
        return switch (judged.verdict()) {
            case SUPPOSED -> needs + ", which you only suppose";
            case UNKNOWN -> needs + ", of which your record says nothing";
            case NOT_MET -> needs + inWhichTerm(ways).orElse("");
            case MET, WAIVED, IN_PROGRESS, PLANNED, NEEDS_PERMISSION -> needs;
        };
    }

    /** Where one course is missing, the next term in which it may be taken. */
    private Optional<String> inWhichTerm(List<List<Prerequisite>> ways) {
        return Optional.of(ways)
                .filter(one -> one.size() == 1 && one.get(0).size() == 1)
                .map(one -> one.get(0).get(0))
                .filter(Prerequisite.Passed.class::isInstance)
                .map(Prerequisite.Passed.class::cast)
                .flatMap(missing -> WayOverTerms.to(missing.course(), reading, posted.all()))
                .filter(way -> way.size() == 1)
                .map(way -> ", which you may take in " + way.get(0).term().name());
    }
}

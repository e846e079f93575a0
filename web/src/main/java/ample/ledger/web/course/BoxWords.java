package ample.ledger.web.course;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.reading.MayTake;
import ample.ledger.core.requirement.Evaluation.Verdict;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.web.requirement.Judging;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.words.CodeWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Writes what stands in the boxes of a course graph. */
final class BoxWords {

    /** As many letters of a title as one line of a box holds. */
    private static final int LINE = 25;

    private final Judging judging;
    private final Addresses addresses;
    private final Brief brief;

    /** How far a student has come with a course. */
    enum Reach {
        DONE,
        GOING_ON,
        PLANNED,
        WITHIN,
        NONE;

        /** What draws it. */
        String mark() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    BoxWords(Judging judging, Addresses addresses, Brief brief) {
        this.judging = judging;
        this.addresses = addresses;
        this.brief = brief;
    }

    /** Its code as its institution writes it. */
    String code(CourseCode code) {
        return course(code).map(Course::written).orElse(code.toString());
    }

    String title(CourseCode code) {
        return course(code).map(Course::title).orElse("not posted");
    }

    /** Its code as the institution's key explains it. */
    String means(CourseCode code) {
        return CodeWords.of(judging.schedule().codeKey(), "course", code(code));
    }

    /** The title in two lines at most; what does not fit is left out, and said to be. */
    List<String> lines(CourseCode code) {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : title(code).split(" ")) {
            if (!line.isEmpty() && line.length() + 1 + word.length() > LINE) {
                lines.add(line);
                line = word;
            } else {
                line = line.isEmpty() ? word : line + " " + word;
            }
        }
        lines.add(line);
        return lines.size() <= 2 ? lines : List.of(lines.get(0), lines.get(1) + " …");
    }

    /** What the student's record says of it, otherwise whether it is offered this term: "passed", "not this term". */
    String says(CourseCode code) {
        return switch (reach(code)) {
            case DONE -> "passed";
            case GOING_ON -> "in progress";
            case PLANNED -> "planned";
            case WITHIN -> "within reach";
            case NONE -> judging.schedule().sectionsOf(code).isEmpty() ? "not this term" : "";
        };
    }

    /** How far the student has come with a course, or with one that stands for it. */
    Reach reach(CourseCode code) {
        Optional<Verdict> verdict = judging.evaluation()
                .map(evaluation -> evaluation
                        .judge(new Prerequisite.Passed(code, Optional.empty(), true))
                        .verdict());
        if (verdict.isEmpty()) {
            return Reach.NONE;
        }
        return switch (verdict.get()) {
            case MET -> Reach.DONE;
            case IN_PROGRESS -> Reach.GOING_ON;
            case PLANNED -> Reach.PLANNED;
            case WAIVED, SUPPOSED, UNKNOWN, NEEDS_PERMISSION, NOT_MET -> isWithin(code) ? Reach.WITHIN : Reach.NONE;
        };
    }

    /** Whether it is offered this term, and the student may take it. */
    private boolean isWithin(CourseCode code) {
        return !judging.schedule().sectionsOf(code).isEmpty()
                && course(code)
                        .filter(course -> judging.reading().mayTake(course).may() == MayTake.YES)
                        .isPresent();
    }

    @Nullable String address(CourseCode code) {
        return course(code).map(posted -> addresses.course(code, brief)).orElse(null);
    }

    private Optional<Course> course(CourseCode code) {
        return judging.schedule().course(code);
    }
}

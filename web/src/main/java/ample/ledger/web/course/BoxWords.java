package ample.ledger.web.course;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.requirement.Evaluation.Verdict;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.web.requirement.Judging;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.words.CodeWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Writes what stands in the boxes of a course graph. */
final class BoxWords {

    /** As many letters of a title as one line of a box holds. */
    private static final int LINE = 25;

    private final Judging judging;
    private final Addresses addresses;
    private final Brief brief;

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
        Optional<Verdict> verdict = judging.evaluation()
                .map(evaluation -> evaluation
                        .judge(new Prerequisite.Passed(code, Optional.empty(), true))
                        .verdict())
                .filter(Verdict::willDo);
        if (verdict.isPresent()) {
            return verdict.get() == Verdict.MET ? "passed" : verdict.get().label();
        }
        return judging.schedule().sectionsOf(code).isEmpty() ? "not this term" : "";
    }

    @Nullable String address(CourseCode code) {
        return course(code).map(posted -> addresses.course(code, brief)).orElse(null);
    }

    private Optional<Course> course(CourseCode code) {
        return judging.schedule().course(code);
    }
}

package ample.ledger.web.record;

import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.StudentFile.CourseOnFile;
import ample.ledger.core.requirement.RecordLines;
import ample.ledger.core.requirement.StudentRecord.Taken;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Programme;
import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.record.OwnRecord.Fact;
import ample.ledger.web.record.OwnRecord.Line;
import ample.ledger.web.visit.OpeningWords;
import ample.ledger.web.words.Words;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says a student's record in words: by the names that are posted, and what has none as it came. */
public final class OwnRecordWords {

    private final StudentFile file;
    private final List<Schedule> posted;
    private final RecordLines lines;

    /** @param posted all terms; the first in which something is found names it */
    public OwnRecordWords(StudentFile file, List<Schedule> posted) {
        this.file = file;
        this.posted = posted;
        this.lines = new RecordLines(posted);
    }

    /** As the student reads it, with what is kept of what they typed themselves. */
    OwnRecord ofOneself(Kept kept) {
        return of("you", kept.record().courses(), kept.offered().courses());
    }

    /** As somebody else reads it, to whom the student shows it. */
    public OwnRecord ofAnother() {
        return of("them", "", "");
    }

    private OwnRecord of(String whom, String supposed, String offered) {
        return new OwnRecord(
                file.name(),
                posted.stream()
                        .findFirst()
                        .map(schedule -> Words.moment(LocalDateTime.ofInstant(
                                file.asOf(), schedule.institution().zone())))
                        .orElse(""),
                facts(),
                file.courses().stream().map(this::line).toList(),
                file.requirementsOwed().stream().map(this::requirement).toList(),
                file.requirementsMet().stream().map(this::requirement).sorted().toList(),
                file.holds().stream().map(hold -> OpeningWords.hold(hold, whom)).toList(),
                posted.stream()
                        .findFirst()
                        .map(schedule -> "/" + schedule.term().code() + "/opening")
                        .orElse(""),
                file.unreadable(posted),
                beside(supposed),
                beside(offered).lines().toList());
    }

    /** Without the lines that are on the record as they stand. */
    private String beside(String supposed) {
        Set<Taken> onRecord = file.courses().stream()
                .flatMap(course -> lines.read(course.line()).courses().stream())
                .collect(Collectors.toSet());
        return supposed.lines()
                .filter(line -> !onRecord.containsAll(lines.read(line).courses())
                        || lines.read(line).courses().isEmpty())
                .collect(Collectors.joining("\n"));
    }

    private List<Fact> facts() {
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact(
                "Credits earned", file.creditsEarned().stripTrailingZeros().toPlainString()));
        facts.add(new Fact("Year of study", String.valueOf(file.level())));
        file.programme()
                .map(code -> name(schedule -> schedule.lists().programmes(), code, Programme::code, Programme::name))
                .ifPresent(name -> facts.add(new Fact("Programme", name)));
        file.homeCampus()
                .map(code ->
                        name(Schedule::campuses, code, campus -> campus.code().text(), Campus::name))
                .ifPresent(name -> facts.add(new Fact("Home campus", name)));
        file.cohort().ifPresent(cohort -> facts.add(new Fact("Cohort", cohort)));
        if (!file.placements().isEmpty()) {
            facts.add(new Fact("Placements", String.join(", ", file.placements())));
        }
        if (!file.waived().isEmpty()) {
            facts.add(new Fact("Prerequisites waived for", String.join(", ", file.waived())));
        }
        return facts;
    }

    private String requirement(String code) {
        return name(Schedule::requirements, code, Requirement::code, Requirement::name);
    }

    /** The name that is posted for a code; the code itself where none is. */
    private <T> String name(
            Function<Schedule, Collection<T>> lists,
            String code,
            Function<T, String> codes,
            Function<T, String> names) {
        return posted.stream()
                .map(lists)
                .flatMap(Collection::stream)
                .filter(one -> codes.apply(one).equals(code))
                .map(names)
                .findFirst()
                .orElse(code);
    }

    private Line line(CourseOnFile taken) {
        Optional<Course> course = lines.read(taken.course()).courses().stream()
                .map(Taken::course)
                .flatMap(code -> posted.stream().flatMap(schedule -> schedule.course(code).stream()))
                .findFirst();
        return new Line(
                taken.course(),
                course.map(Course::title).orElse(""),
                course.map(one -> Words.credits(one.credits())).orElse(""),
                Stream.concat(taken.grade().stream(), Stream.of("in progress"))
                        .findFirst()
                        .orElseThrow());
    }
}

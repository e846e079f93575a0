package ample.ledger.core.registrar;

import ample.ledger.core.reading.OwnOpening;
import ample.ledger.core.requirement.RecordLines;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.requirement.StudentRecord.Taken;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.StudentGroup;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What the institution's own systems know of a student at a moment. Codes, courses and grades stand as those systems write them: what
 * is posted here may not have them.
 *
 * @param student as they sign in
 * @param name as they are called
 * @param email where letters reach them; empty for nowhere
 * @param asOf the moment, by the institution's clock
 * @param creditsEarned in the institution's own unit; 0 or more
 * @param level year of study; 1 or more
 * @param programme its code; empty for none
 * @param homeCampus its code; empty for none
 * @param cohort its code; empty for none
 * @param courses finished and in progress
 * @param placements by the names that the institution gives them
 * @param waived codes of courses for which the registrar has waived what comes before them
 * @param requirementsMet codes of the requirements that are met
 * @param requirementsOwed codes of those that are still owed
 * @param holds that keep the student from something; none where nothing does
 * @param terms what goes for each term that can be registered for
 */
public record StudentFile(
        String student,
        String name,
        Optional<String> email,
        Instant asOf,
        BigDecimal creditsEarned,
        int level,
        Optional<String> programme,
        Optional<String> homeCampus,
        Optional<String> cohort,
        List<CourseOnFile> courses,
        List<String> placements,
        List<String> waived,
        List<String> requirementsMet,
        List<String> requirementsOwed,
        List<Hold> holds,
        List<OfTerm> terms) {

    /**
     * A course that is finished or in progress.
     *
     * @param course its code: "GLAC 120"
     * @param grade empty while it goes on
     * @param term the code of the term in which it was or is taken; empty where that is not kept
     */
    public record CourseOnFile(String course, Optional<String> grade, Optional<String> term) {

        /** On one line: "GLAC 120 B+". */
        public String line() {
            return (course + " " + grade.orElse("")).strip();
        }
    }

    /**
     * What goes for one term.
     *
     * @param term its code
     * @param opens when the student may register, on the institution's wall clock; empty where their credits decide
     * @param closes until when; empty where nothing is said
     * @param mostCredits that they may register for; empty where there is no limit
     */
    public record OfTerm(
            String term,
            Optional<LocalDateTime> opens,
            Optional<LocalDateTime> closes,
            Optional<BigDecimal> mostCredits) {}

    /** @throws IllegalArgumentException for fewer credits than none and for a year before the first */
    public StudentFile {
        if (creditsEarned.signum() < 0 || level < 1) {
            throw new IllegalArgumentException(
                    "Nobody is in year %d with %s credits earned".formatted(level, creditsEarned));
        }
        courses = orNone(courses);
        placements = orNone(placements);
        waived = orNone(waived);
        requirementsMet = orNone(requirementsMet);
        requirementsOwed = orNone(requirementsOwed);
        holds = orNone(holds);
        terms = orNone(terms);
    }

    /**
     * The record by which conditions are judged. Of a line that cannot be read it is not known what it says, so that no course counts
     * as missing then; of a programme that nothing posted has, it is not known what it is called here.
     *
     * @param supposed courses that the student supposes to pass
     * @param posted the schedules of all terms
     */
    public StudentRecord record(List<Taken> supposed, Collection<Schedule> posted) {
        RecordLines lines = new RecordLines(posted);
        RecordLines.Reading read =
                lines.read(courses.stream().map(CourseOnFile::line).collect(Collectors.joining("\n")));
        Map<StudentGroup.About, Set<String>> groups = new EnumMap<>(StudentGroup.About.class);
        programme
                .filter(code -> posted.stream()
                        .flatMap(schedule -> schedule.lists().programmes().stream())
                        .anyMatch(known -> known.code().equals(code)))
                .ifPresent(code -> groups.put(StudentGroup.About.PROGRAMME, Set.of(code)));
        homeCampus.ifPresent(code -> groups.put(StudentGroup.About.CAMPUS, Set.of(code)));
        cohort.ifPresent(code -> groups.put(StudentGroup.About.COHORT, Set.of(code)));
        return new StudentRecord(
                        read.faults().isEmpty()
                                ? Set.of(StudentRecord.Part.values())
                                : Set.of(StudentRecord.Part.PLACEMENTS),
                        read.courses(),
                        Optional.of(creditsEarned),
                        Optional.of(level),
                        Set.copyOf(placements),
                        Set.of(),
                        groups,
                        lines.read(String.join("\n", waived)).courses().stream()
                                .map(Taken::course)
                                .collect(Collectors.toSet()),
                        Optional.of(Set.copyOf(requirementsOwed)))
                .supposing(supposed);
    }

    /** What of the record cannot be read by what is posted, a sentence for each line. */
    public List<String> unreadable(Collection<Schedule> posted) {
        return new RecordLines(posted)
                .read(courses.stream().map(CourseOnFile::line).collect(Collectors.joining("\n")))
                .faults();
    }

    /** A list that another system left out has nothing in it. */
    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : List.copyOf(list);
    }

    /**
     * When registration for a term opens for the student: at a moment of their own, or else by their credits. Empty where nothing opens, and
     * where it is not known.
     */
    public Optional<OwnOpening> opening(Schedule schedule) {
        Optional<OwnOpening> byCredits = OwnOpening.of(schedule.lists().openings(), creditsEarned);
        return term(schedule.term().code().text())
                .flatMap(OfTerm::opens)
                .filter(opens -> byCredits
                        .filter(own -> own.opening().from().equals(opens))
                        .isEmpty())
                .map(opens -> new OwnOpening(Opening.ofOne(opens), Optional.empty()))
                .or(() -> byCredits);
    }

    /** What goes for a term; empty where nothing is known of it. */
    public Optional<OfTerm> term(String code) {
        return terms.stream().filter(one -> one.term().equals(code)).findFirst();
    }
}

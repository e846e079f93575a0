package ample.ledger.core.exchange;

import ample.ledger.core.requirement.NotationException;
import ample.ledger.core.requirement.PrerequisiteNotation;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Corequisite;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.CourseRules;
import ample.ledger.core.schedule.CreditShare;
import ample.ledger.core.schedule.Equivalent;
import ample.ledger.core.schedule.GradeScale;
import ample.ledger.core.schedule.Institution;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.TermCode;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Turns the rows of the courses table, and of those that say more about a course, into {@link Course}s. */
final class CourseAssembler {

    private final RowsToAssemble rows;
    private final Institution institution;
    private final Groups groups;
    private final Map<CourseCode, List<BundleTable.Row>> shares;
    private final Map<CourseCode, List<BundleTable.Row>> requirements;
    private final Map<CourseCode, List<BundleTable.Row>> programmes;
    private final Map<CourseCode, List<BundleTable.Row>> prerequisites;
    private final Map<CourseCode, List<BundleTable.Row>> corequisites;
    private final Map<CourseCode, List<BundleTable.Row>> equivalents;
    private final Map<CourseCode, List<BundleTable.Row>> restrictions;
    private final Map<CourseCode, List<BundleTable.Row>> notes;

    CourseAssembler(RowsToAssemble rows, Institution institution, Groups groups) {
        this.rows = rows;
        this.institution = institution;
        this.groups = groups;
        shares = byCourse("credit_shares");
        requirements = byCourse("course_requirements");
        programmes = byCourse("course_programmes");
        prerequisites = byCourse("prerequisites");
        corequisites = byCourse("corequisites");
        equivalents = byCourse("equivalents");
        restrictions = ofWholeCourses("restrictions");
        notes = ofWholeCourses("notes");
    }

    Map<CourseCode, Course> courses() {
        return rows.byKey("courses", CourseAssembler::code, this::course);
    }

    /** The course that a row of any table names. */
    static CourseCode code(BundleTable.Row row) {
        return new CourseCode(row.text("subject"), row.text("number"));
    }

    private Course course(BundleTable.Row row) {
        CourseCode code = code(row);
        BigDecimal credits = row.number("credits");
        return new Course(
                code,
                institution.codes(),
                row.text("title"),
                row.text("description"),
                credits,
                shares(code, credits),
                row.integer("level"),
                RowsToAssemble.texts(requirements, code, "requirement"),
                RowsToAssemble.texts(programmes, code, "programme"),
                new CourseRules(
                        rows.collect(of(prerequisites, code), this::prerequisite),
                        rows.collect(of(corequisites, code), CourseAssembler::corequisite),
                        rows.collect(of(equivalents, code), CourseAssembler::equivalent),
                        rows.collect(of(restrictions, code), groups::restriction)),
                RowsToAssemble.texts(notes, code, "text"));
    }

    private List<CreditShare> shares(CourseCode code, BigDecimal credits) {
        List<CreditShare> found = of(shares, code).stream()
                .map(row -> new CreditShare(new TermCode(row.text("term")), row.number("credits")))
                .toList();
        BigDecimal sum = found.stream().map(CreditShare::credits).reduce(BigDecimal.ZERO, BigDecimal::add);
        if (!found.isEmpty() && rows.complete("credit_shares") && sum.compareTo(credits) != 0) {
            throw new Unfit(
                    "credits",
                    "Its shares in credit_shares.csv add up to %s; they must add up to its credits."
                            .formatted(sum.toPlainString()));
        }
        return found;
    }

    private PostedPrerequisite prerequisite(BundleTable.Row row) {
        try {
            Optional<Prerequisite> expression = row.optionalText("expression").map(PrerequisiteNotation::parse);
            expression.stream().flatMap(Prerequisite::grades).forEach(this::checkGrade);
            return new PostedPrerequisite(row.text("sentence"), expression);
        } catch (NotationException e) {
            throw new Unfit("expression", e.sentence());
        }
    }

    private void checkGrade(String grade) {
        GradeScale scale = institution.grades();
        if (rows.complete("grades") && scale.parse(grade).isEmpty()) {
            throw new Unfit(
                    "expression",
                    "“%s” is no grade of this institution, whose grades are such as %s."
                            .formatted(grade, scale.examples()));
        }
    }

    private static Corequisite corequisite(BundleTable.Row row) {
        return new Corequisite(otherThanItself(row, "with_subject", "with_number"), row.text("sentence"));
    }

    private static Equivalent equivalent(BundleTable.Row row) {
        return new Equivalent(
                otherThanItself(row, "other_subject", "other_number"),
                Coded.parse(Equivalent.Effect.class, row.text("effect")).orElseThrow(),
                row.text("sentence"));
    }

    private static CourseCode otherThanItself(BundleTable.Row row, String subject, String number) {
        CourseCode other = new CourseCode(row.text(subject), row.text(number));
        if (other.equals(code(row))) {
            throw new Unfit(number, "It is the course itself; another one is wanted here.");
        }
        return other;
    }

    private Map<CourseCode, List<BundleTable.Row>> byCourse(String table) {
        return rows.grouped(table, row -> Optional.of(code(row)));
    }

    /** Rows that may be limited to one section, and are not. */
    private Map<CourseCode, List<BundleTable.Row>> ofWholeCourses(String table) {
        return rows.grouped(
                table, row -> row.optionalText("entry").isPresent() ? Optional.empty() : Optional.of(code(row)));
    }

    private static List<BundleTable.Row> of(Map<CourseCode, List<BundleTable.Row>> map, CourseCode code) {
        return map.getOrDefault(code, List.of());
    }
}

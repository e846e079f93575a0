package ample.ledger.web.course;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.requirement.CourseGraph;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.OtherTerms;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.browse.LineWords;
import ample.ledger.web.course.CoursePage.Beside;
import ample.ledger.web.course.CoursePage.Offering;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.requirement.Asks;
import ample.ledger.web.requirement.Judging;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.CodeWords;
import ample.ledger.web.words.OfSubject;
import ample.ledger.web.words.Strip;
import ample.ledger.web.words.Words;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Makes the page of one course. */
final class CoursePages {

    /** More courses than this on one side of it are counted, not drawn. */
    private static final int MOST_DRAWN = 24;

    private final PostedTerm posted;
    private final Schedule schedule;
    private final List<PostedTerm> terms;
    private final Course course;
    private final Brief brief;
    private final Addresses addresses;
    private final Preferences preferences;
    private final Visit visit;

    /** @param terms all that are posted */
    CoursePages(PostedTerm posted, List<PostedTerm> terms, Course course, Brief brief, Visit visit) {
        this.visit = visit;
        this.posted = posted;
        this.schedule = posted.schedule();
        this.terms = terms;
        this.course = course;
        this.brief = brief;
        this.addresses = new Addresses(schedule.term().code());
        this.preferences = visit.preferences();
    }

    CoursePage page() {
        List<Section> sections = schedule.sectionsOf(course.code());
        Strip.Ground ground = Strip.ground(
                sections.stream().map(Section::days).reduce(Days.NONE, Days::plus),
                brief,
                preferences.frame(List.of(schedule)));
        Judging judging = Judging.of(schedule, visit);
        String here = addresses.course(course.code(), brief);
        OtherTerms others = OtherTerms.of(
                course.code(),
                schedule,
                terms.stream().map(PostedTerm::schedule).toList());
        CourseGraph.View view = posted.courses().around(course.code(), MOST_DRAWN);
        boolean alone = view.before().isEmpty() && view.after().isEmpty();
        return new CoursePage(
                schedule.term().code().text(),
                schedule.term().name(),
                here,
                course.written(),
                course.title(),
                CodeWords.parts(schedule.codeKey(), "course", course.written()),
                facts(),
                course.description(),
                course.notes(),
                OfSubject.of(course, schedule),
                addresses.browse(brief),
                brief.isEmpty() ? "Back to all sections" : "Back to your brief",
                Asks.of(judging, course, List.of(), Addresses.with("/record", "back", here)),
                offered(sections),
                ground,
                LineWords.ofCourse(posted, course, brief, ground, visit),
                others.earlier().stream().map(this::offering).toList(),
                others.later().stream().map(this::offering).toList(),
                equivalents(),
                alone ? null : GraphPicture.of(view, new BoxWords(judging, addresses, brief)));
    }

    /** "4 credits · year 2 · counts toward Field practice, Quantitative". */
    private String facts() {
        String toward = schedule.requirements().stream()
                .filter(requirement -> course.requirements().contains(requirement.code()))
                .map(requirement -> requirement.name())
                .collect(Collectors.joining(", "));
        return Stream.of(
                        Words.credits(course.credits()),
                        "year " + course.level(),
                        toward.isEmpty() ? "" : "counts toward " + toward)
                .filter(fact -> !fact.isEmpty())
                .collect(Collectors.joining(" · "));
    }

    private String offered(List<Section> sections) {
        String term = schedule.term().name();
        if (sections.isEmpty()) {
            return "It is not offered in " + term + ".";
        }
        Map<String, Long> kinds = sections.stream()
                .filter(section -> !section.cancelled())
                .sorted(Comparator.comparing(Section::kind))
                .collect(Collectors.groupingBy(Section::kindName, LinkedHashMap::new, Collectors.counting()));
        int cancelled = (int) sections.stream().filter(Section::cancelled).count();
        Stream<String> held = kinds.entrySet().stream()
                .map(kind -> Words.countOfKind(kind.getValue().intValue(), kind.getKey()));
        return Stream.concat(held, cancelled == 0 ? Stream.of() : Stream.of(Words.number(cancelled) + " cancelled"))
                .collect(Collectors.joining(", ", "In " + term + ": ", "."));
    }

    private Offering offering(Schedule other) {
        return new Offering(
                other.term().name(),
                Words.count(other.sectionsOf(course.code()).size(), "section"),
                new Addresses(other.term().code()).course(course.code(), Brief.EVERYTHING));
    }

    /** Those that this course is posted with, then those that are posted as standing for it. */
    private List<Beside> equivalents() {
        // What the registrar says of these stands with what is asked.
        Stream<Beside> own = course.rules().equivalents().stream().map(equivalent -> beside(equivalent.course(), ""));
        Stream<Beside> others = schedule.standingFor(course.code()).stream()
                .filter(code -> course.rules().equivalents().stream()
                        .noneMatch(equivalent -> equivalent.course().equals(code)))
                .map(code -> beside(code, "It stands for " + course.written() + "."));
        return Stream.concat(own, others).toList();
    }

    private Beside beside(CourseCode code, String sentence) {
        return schedule.course(code)
                .map(other ->
                        new Beside(other.written() + " " + other.title(), sentence, addresses.course(code, brief)))
                .orElseGet(() -> new Beside(course.form().written(code), sentence, null));
    }
}

package ample.ledger.web.browse;

import ample.ledger.core.browse.Brief;
import ample.ledger.core.browse.BriefAddress;
import ample.ledger.core.browse.Condition;
import ample.ledger.core.browse.CourseFindings;
import ample.ledger.core.browse.Findings;
import ample.ledger.core.browse.RunningAccount;
import ample.ledger.core.browse.ValueCounts;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.schedule.Companion;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.browse.BrowsePage.AccountLine;
import ample.ledger.web.browse.BrowsePage.CourseBlock;
import ample.ledger.web.browse.BrowsePage.Line;
import ample.ledger.web.browse.BrowsePage.Remedy;
import ample.ledger.web.browse.BrowsePage.SubjectLink;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Terms.PostedTerm;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Strip;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Makes the Browse page of one posted term for one brief. */
final class BrowsePages {

    private final PostedTerm posted;
    private final Schedule schedule;
    private final Brief brief;
    private final Addresses addresses;
    private final Strip.Ground ground;

    private BrowsePages(PostedTerm posted, Brief brief) {
        this.posted = posted;
        this.schedule = posted.schedule();
        this.brief = brief;
        this.addresses = new Addresses(schedule.term().code());
        this.ground =
                Strip.ground(schedule.sections().stream().map(Section::days).reduce(Days.NONE, Days::plus), brief);
    }

    static BrowsePage page(PostedTerm posted, BriefAddress.Reading reading) {
        return new BrowsePages(posted, reading.brief()).page(reading.misreads());
    }

    private BrowsePage page(List<BriefAddress.Misread> misreads) {
        Findings findings = posted.index().find(brief);
        Editors editors = new Editors(schedule, brief, ValueCounts.of(brief, posted.index()), addresses);
        List<CourseBlock> courses = courses(findings);
        String sections = Words.count(findings.fitting().size(), "section");
        return new BrowsePage(
                schedule.term().name(),
                BriefSentence.of(brief, schedule, editors, addresses),
                misreads.stream()
                        .map(misread -> "Not understood: %s=%s. %s"
                                .formatted(misread.parameter(), misread.value(), misread.sentence()))
                        .toList(),
                addresses.browse(brief),
                brief.isEmpty() ? null : addresses.browse(Brief.EVERYTHING),
                account(findings.account()),
                courses.isEmpty() ? sections : sections + " in " + Words.count(courses.size(), "course"),
                ground,
                subjects(courses),
                courses,
                findings.waysBack().stream().map(this::wayBack).toList(),
                addresses.list("csv", brief),
                addresses.list("json", brief));
    }

    private BrowsePage.Account account(RunningAccount account) {
        return new BrowsePage.Account(
                Words.number(account.posted()),
                account.lines().stream()
                        .map(line -> new AccountLine(
                                phrase(line.condition()).standingAlone(),
                                Words.less(line.removed()),
                                Words.number(line.onlyThis())))
                        .toList(),
                Words.number(account.left()),
                account.lines().stream()
                        .filter(line -> line.onlyThis() > 0)
                        .max(Comparator.comparingInt(RunningAccount.Line::onlyThis))
                        .map(this::hint)
                        .orElse(null));
    }

    private Remedy hint(RunningAccount.Line line) {
        return new Remedy(
                "Dropping %s alone would bring back %s."
                        .formatted(quoted(line.condition()), Words.number(line.onlyThis())),
                addresses.browse(brief.without(line.condition().topic())));
    }

    private Remedy wayBack(Findings.WayBack way) {
        Brief changed = brief;
        for (Condition condition : way.dropped()) {
            changed = changed.without(condition.topic());
        }
        String dropped = way.dropped().stream().map(this::quoted).collect(Collectors.joining(" and "));
        return new Remedy("Drop " + dropped + ": " + Words.count(way.sections(), "section"), addresses.browse(changed));
    }

    private Condition.Phrase phrase(Condition condition) {
        return condition.phrase(schedule);
    }

    private String quoted(Condition condition) {
        Condition.Phrase phrase = phrase(condition);
        return "“" + (phrase.lead().isEmpty() ? "" : phrase.lead() + " ") + phrase.text() + "”";
    }

    private List<SubjectLink> subjects(List<CourseBlock> courses) {
        return courses.stream()
                .flatMap(course -> Optional.ofNullable(course.subjectAnchor()).stream())
                .map(anchor -> schedule.subjects().stream()
                        .filter(subject -> anchor(subject.code()).equals(anchor))
                        .findFirst()
                        .orElseThrow())
                .map(subject -> new SubjectLink(subject.code(), subject.name(), anchor(subject.code())))
                .toList();
    }

    private List<CourseBlock> courses(Findings findings) {
        List<CourseBlock> blocks = new ArrayList<>();
        String subject = "";
        for (CourseFindings found : CourseFindings.of(findings, schedule)) {
            Course course = found.course();
            boolean first = !course.code().subject().equals(subject);
            subject = course.code().subject();
            blocks.add(block(found, first ? anchor(subject) : null));
        }
        return blocks;
    }

    private static String anchor(String subject) {
        return "subject-" + subject;
    }

    private CourseBlock block(CourseFindings found, @Nullable String subjectAnchor) {
        Course course = found.course();
        return new CourseBlock(
                "course-" + course.code().subject() + "-" + course.code().number(),
                subjectAnchor,
                course.written(),
                course.title(),
                Words.credits(course.credits()),
                schedule.requirements().stream()
                        .filter(requirement -> course.requirements().contains(requirement.code()))
                        .map(requirement -> requirement.name())
                        .collect(Collectors.joining(", ")),
                course.rules().prerequisites().isEmpty()
                        ? "No prerequisite."
                        : "Needs "
                                + course.rules().prerequisites().stream()
                                        .map(PostedPrerequisite::sentence)
                                        .collect(Collectors.joining(" ")),
                found.lines().size() == found.posted()
                        ? "all " + found.posted() + " fit"
                        : found.lines().size() + " of " + found.posted() + " fit",
                found.lines().stream().map(this::line).toList());
    }

    private Line line(CourseFindings.Line line) {
        Section section = line.section();
        return new Line(
                "e" + section.entry(),
                section.entry().toString(),
                section.code(),
                addresses.sheet(section.entry(), brief),
                kind(line),
                line.role() != CourseFindings.Role.LEAD,
                section.cancelled(),
                Strip.of(section),
                section.meetings().stream()
                        .map(meeting -> Words.when(meeting.timing()))
                        .toList(),
                Words.where(section),
                Words.who(section),
                SeatWords.of(section, schedule.twinsOf(section), posted.index().today()),
                Words.runs(section.span(), schedule.term()));
    }

    private String kind(CourseFindings.Line line) {
        Section section = line.section();
        String kind = section.kind().label();
        return switch (line.role()) {
            case LEAD -> kind;
            case BOUND_COMPANION -> kind + ", 1 of " + siblings(section);
            case OPEN_COMPANION -> kind + ", for any";
            case LEAD_DOES_NOT_FIT ->
                section.companion()
                        .flatMap(Companion::boundTo)
                        .flatMap(schedule::section)
                        .map(lead -> kind + "; its " + lead.code() + " does not fit")
                        .orElse(kind + "; none it goes with fits");
        };
    }

    /** How many companions of the same lead there are to choose from. */
    private long siblings(Section companion) {
        return schedule.leadsOf(companion).stream()
                .flatMap(lead -> schedule.companionsOf(lead).stream())
                .distinct()
                .count();
    }
}

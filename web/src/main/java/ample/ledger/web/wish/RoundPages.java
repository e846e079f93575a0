package ample.ledger.web.wish;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.WishRound;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.visit.InTheWay;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.wish.RoundPage.Group;
import ample.ledger.web.words.RoundWords;
import ample.ledger.web.words.Strip;
import ample.ledger.web.words.Words;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Makes the page of a wish round. */
final class RoundPages {

    private final Schedule schedule;
    private final WishRound round;
    private final Visit visit;
    private final RoundWords words;
    private final LocalDateTime now;

    RoundPages(Schedule schedule, WishRound round, Visit visit) {
        this.schedule = schedule;
        this.round = round;
        this.visit = visit;
        this.words = new RoundWords(round);
        this.now = visit.now(schedule);
    }

    /**
     * The page.
     *
     * @param standing how the round stands to the student; empty for a guest, and where it is not known
     * @param against why a student could not have a group
     * @param unknown why it is not known how it stands, in a sentence; empty where it is, and for a guest
     */
    RoundPage page(
            Optional<RoundStanding> standing,
            Function<WishRound.Group, List<Refusal>> against,
            boolean guest,
            String unknown,
            List<String> told) {
        Strip.Ground ground = Strip.ground(
                Days.of(round.groups().stream()
                        .flatMap(group -> sections(group).stream())
                        .flatMap(section -> section.days().list().stream())
                        .collect(Collectors.toSet())),
                Brief.EVERYTHING,
                visit.preferences().frame(List.of(schedule)));
        List<Group> groups = round.groups().stream()
                .map(group -> group(group, standing, against, ground))
                .toList();
        String here = words.address(schedule);
        return new RoundPage(
                here,
                round.name(),
                Stream.of(words.period(now), unknown)
                        .filter(sentence -> !sentence.isEmpty())
                        .collect(Collectors.joining(" ")),
                guest && round.isOpen(now) ? Addresses.with("/sign-in/begin/institution", "back", here) : "",
                told,
                standing.isPresent() && round.isOpen(now),
                groups.stream()
                        .filter(group -> group.rank() > 0)
                        .sorted(Comparator.comparing(Group::rank))
                        .toList(),
                groups,
                ground,
                words.rule(),
                words.classes(),
                standing.map(RoundStanding::commitment).orElse(""),
                standing.flatMap(known -> known.outcome()
                                .map(outcome -> new RoundPage.Result(
                                        words.got(known, outcome), words.missed(known, outcome), outcome.seed())))
                        .orElse(null));
    }

    private List<Section> sections(WishRound.Group group) {
        return group.sections().stream()
                .flatMap(entry -> schedule.section(entry).stream())
                .toList();
    }

    private Group group(
            WishRound.Group group,
            Optional<RoundStanding> standing,
            Function<WishRound.Group, List<Refusal>> against,
            Strip.Ground ground) {
        List<Section> sections = sections(group);
        int rank =
                standing.map(known -> known.wishes().indexOf(group.code()) + 1).orElse(0);
        boolean wishable = standing.isPresent() && round.isOpen(now);
        return new Group(
                group.code(),
                group.name(),
                rank,
                rank == 0 ? "" : "your " + Words.ordinal(rank) + " wish",
                sections.stream().map(this::section).toList(),
                Strip.of(sections, ground),
                Words.count(group.places(), "place")
                        + (group.least() > 0 ? ", held with " + group.least() + " or more" : ""),
                standing.flatMap(known -> known.wished().stream()
                                .filter(wished -> wished.group().equals(group.code()))
                                .findFirst())
                        .map(wished -> wished.students() == 0
                                ? "nobody wishes it"
                                : "%s, %d most"
                                        .formatted(
                                                Words.count(wished.students(), "wishes it", "wish it"), wished.first()))
                        .orElse(""),
                wishable
                        ? against.apply(group).stream()
                                .map(Refusal::words)
                                .distinct()
                                .toList()
                        : List.of(),
                wishable ? beside(sections) : List.of());
    }

    /** What of the plan it would be in the way of; of the registration the registrar's own rules speak. */
    private List<String> beside(List<Section> sections) {
        InTheWay plan = visit.inTheWay(schedule);
        return sections.stream()
                .map(section -> visit.posted().attendance(section, schedule))
                .flatMap(plan::sentences)
                .distinct()
                .toList();
    }

    private RoundPage.Section section(Section section) {
        Attendance attendance = visit.posted().attendance(section, schedule);
        return new RoundPage.Section(
                section.entry().digits(),
                new Addresses(schedule.term().code()).sheet(section.entry(), Brief.EVERYTHING),
                attendance.leads()
                        ? attendance.toString()
                        : section.kindName().toLowerCase(Locale.ROOT) + " " + section.code(),
                attendance.leads() ? section.course().title() : "",
                section.meetings().stream()
                        .map(meeting ->
                                Words.when(meeting.timing(), visit.preferences().clock()))
                        .toList());
    }
}

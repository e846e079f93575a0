package ample.ledger.web.desk;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.edition.PostingChecks;
import ample.ledger.core.edition.Warning;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.Fault;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.DeskActs;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.words.Words;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Puts together what the pages of the desk say. */
final class DeskPages {

    /** More rows of one kind than this nobody reads on a page. */
    private static final int MOST_ROWS = 100;

    private DeskPages() {}

    /**
     * @param history the editions of a term, the last first
     * @param warnings those of its current edition
     * @param acts what was done at the desk, the last first
     */
    static DeskPage desk(
            List<PostedTerm> terms,
            Function<TermCode, List<Edition>> history,
            Function<PostedTerm, List<Warning>> warnings,
            List<DeskActs.Act> acts) {
        return new DeskPage(
                terms.stream()
                        .map(posted -> row(
                                posted,
                                history.apply(posted.edition().term()).size(),
                                warnings.apply(posted).size()))
                        .toList(),
                terms.stream()
                        .flatMap(posted -> posted.schedule().lists().wishRounds().stream()
                                .map(round -> new DeskPage.RoundRow(
                                        round.name(),
                                        "/desk/rounds/%s/%s"
                                                .formatted(posted.edition().term(), round.code()),
                                        posted.schedule().term().name(),
                                        "%s to %s"
                                                .formatted(Words.moment(round.opens()), Words.moment(round.closes())))))
                        .toList(),
                acts.stream()
                        .map(act ->
                                new DeskPage.ActRow(Words.moment(act.at().atZone(zone(terms))), act.who(), act.what()))
                        .toList());
    }

    private static ZoneId zone(List<PostedTerm> terms) {
        return terms.isEmpty()
                ? ZoneOffset.UTC
                : terms.get(0).schedule().institution().zone();
    }

    private static DeskPage.TermRow row(PostedTerm posted, int editions, int warnings) {
        return new DeskPage.TermRow(
                posted.edition().term().text(),
                posted.schedule().term().name(),
                posted.schedule().institution().name(),
                Words.number(posted.schedule().sections().size()),
                "Edition %d of %d".formatted(posted.edition().number(), editions),
                "%s by %s".formatted(posted.postedAt(), posted.edition().postedBy()),
                posted.edition().note(),
                warnings == 0 ? "none" : Words.number(warnings));
    }

    /** @param tables of the current edition */
    static HistoryPage history(PostedTerm posted, List<Edition> editions, List<Warning> warnings, BundleTables tables) {
        return new HistoryPage(
                posted.edition().term().text(),
                posted.schedule().term().name(),
                posted.schedule().institution().name(),
                editions.stream()
                        .map(edition -> new HistoryPage.EditionRow(
                                edition.number(),
                                Words.moment(edition.postedAt()
                                        .atZone(posted.schedule().institution().zone())),
                                edition.postedBy(),
                                edition.note(),
                                edition.checksum()
                                        .substring(
                                                0,
                                                Math.min(12, edition.checksum().length())),
                                edition.id() == posted.edition().id()))
                        .toList(),
                groups(warnings, tables));
    }

    /**
     * @param current the current edition of the bundle's term, which need not be the last
     * @param next the number that its next edition will have
     */
    static CheckPage check(UploadedBundle upload, Optional<Edition> current, int next) {
        return upload.bundle()
                .map(bundle -> sound(upload, bundle, current, next))
                .orElseGet(() -> faulty(upload));
    }

    private static CheckPage faulty(UploadedBundle upload) {
        int count = upload.faults().size();
        return new CheckPage(
                upload.id(),
                upload.fileName(),
                false,
                Words.count(count, "fault") + " in " + upload.fileName(),
                "Nothing was posted. Correct " + (count == 1 ? "it" : "them") + " and upload the bundle again.",
                List.of(),
                upload.faults().stream().map(DeskPages::row).toList(),
                List.of());
    }

    private static CheckPage.FaultRow row(Fault fault) {
        return new CheckPage.FaultRow(
                fault.file(),
                fault.row() == 0 ? "" : String.valueOf(fault.row()),
                fault.column(),
                fault.value().isEmpty() ? null : fault.value(),
                fault.sentence());
    }

    private static CheckPage sound(UploadedBundle upload, ScheduleBundle bundle, Optional<Edition> current, int next) {
        Schedule schedule = bundle.schedule();
        List<Warning> warnings = PostingChecks.warningsOf(schedule);
        boolean same =
                current.map(Edition::checksum).filter(bundle.checksum()::equals).isPresent();
        String warned = warnings.isEmpty()
                ? "There are no warnings."
                : Words.count(warnings.size(), "warning") + ": you can post it all the same, but read them first.";
        return new CheckPage(
                upload.id(),
                upload.fileName(),
                !same,
                schedule.term().name() + " of " + schedule.institution().name(),
                same
                        ? "It is the same as edition %d, which is current. There is nothing to post."
                                .formatted(current.orElseThrow().number())
                        : warned,
                facts(schedule, next),
                List.of(),
                groups(warnings, bundle.tables()));
    }

    private static List<CheckPage.Fact> facts(Schedule schedule, int next) {
        long cancelled = schedule.sections().stream()
                .filter(section -> section.cancelled())
                .count();
        return List.of(
                new CheckPage.Fact("It would become", "edition " + next),
                new CheckPage.Fact("Sections", Words.number(schedule.sections().size())),
                new CheckPage.Fact("of them cancelled", Words.number((int) cancelled)),
                new CheckPage.Fact("Courses", Words.number(schedule.courses().size())),
                new CheckPage.Fact("Subjects", Words.number(schedule.subjects().size())),
                new CheckPage.Fact("Dates", Words.dates(schedule.term().dates())));
    }

    private static List<CheckPage.WarningGroup> groups(List<Warning> warnings, BundleTables tables) {
        Map<Warning.Kind, List<Warning>> byKind =
                warnings.stream().collect(Collectors.groupingBy(Warning::kind, TreeMap::new, Collectors.toList()));
        List<CheckPage.WarningGroup> groups = new ArrayList<>();
        byKind.forEach((kind, all) -> groups.add(new CheckPage.WarningGroup(
                kind.label(),
                kind.why(),
                all.size() <= MOST_ROWS
                        ? String.valueOf(all.size())
                        : "%s, the first %d here".formatted(Words.number(all.size()), MOST_ROWS),
                all.stream()
                        .limit(MOST_ROWS)
                        .map(warning ->
                                new CheckPage.WarningRow(warning.about(), warning.sentence(), warning.where(tables)))
                        .toList())));
        return groups;
    }
}

package ample.ledger.web.desk;

import ample.ledger.core.registrar.RoundReport;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.WishRound;
import ample.ledger.web.words.RoundWords;
import ample.ledger.web.words.Words;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A wish round as the desk sees it.
 *
 * @param says how it stands
 * @param preview whether it tells how it would come out now
 * @param figures what it comes to in all
 * @param ranks how many got which wish
 * @param file where all that it came of can be had; empty before
 */
record RoundDeskPage(
        String name,
        String says,
        boolean preview,
        List<Figure> figures,
        List<Figure> ranks,
        List<Row> groups,
        List<String> notes,
        String seed,
        String digest,
        String file) {

    /** A number and what it counts. */
    record Figure(String label, String figure) {}

    /** A group. */
    record Row(String name, String places, String wished, String first, String got, String least) {}

    /** Where nothing is known of it. */
    static RoundDeskPage unknown(WishRound round, String says) {
        return new RoundDeskPage(round.name(), says, false, List.of(), List.of(), List.of(), List.of(), "", "", "");
    }

    static RoundDeskPage of(Schedule schedule, WishRound round, RoundReport report, String period) {
        RoundWords words = new RoundWords(round);
        Optional<LocalDateTime> decided = report.decided()
                .map(at -> LocalDateTime.ofInstant(at, schedule.institution().zone()));
        return new RoundDeskPage(
                round.name(),
                period
                        + decided.map(at -> " The places were distributed on " + Words.moment(at) + ".")
                                .orElse(
                                        " This is how it would come out with the wishes so far, by another lottery than the one that counts."),
                decided.isEmpty(),
                List.of(
                        new Figure("Students with wishes that count", Words.number(report.students())),
                        new Figure("Students with a place", Words.number(report.placed())),
                        new Figure("Students without a place", Words.number(report.students() - report.placed())),
                        new Figure("Wishes that do not count", Words.number(report.struck()))),
                IntStream.range(0, report.placedAt().size())
                        .mapToObj(at -> new Figure(
                                Words.ordinal(at + 1) + " wish",
                                Words.number(report.placedAt().get(at))))
                        .toList(),
                report.groups().stream()
                        .map(group -> new Row(
                                words.name(group.group()),
                                Words.number(group.places()),
                                Words.number(group.wished()),
                                Words.number(group.first()),
                                Words.number(group.got()),
                                group.least() == 0 ? "none" : Words.number(group.least())))
                        .toList(),
                notes(round, report, words),
                report.seed().orElse(""),
                report.commitment(),
                decided.isPresent() ? "/desk/rounds/%s/%s/file.json".formatted(report.term(), report.round()) : "");
    }

    private static List<String> notes(WishRound round, RoundReport report, RoundWords words) {
        List<String> notes = new ArrayList<>();
        for (RoundReport.OfGroup group : report.groups()) {
            group.closedWith()
                    .ifPresent(
                            students -> notes.add("%s does not come about: %s would have been in it, and it needs %d."
                                    .formatted(
                                            words.name(group.group()),
                                            Words.count(students, "student"),
                                            group.least())));
        }
        if (round.even()) {
            notes.add(
                    report.difference() == 0
                            ? "All groups that come about are of one size."
                            : "The largest and the smallest group that come about differ by %s."
                                    .formatted(Words.count(report.difference(), "student")));
        }
        return notes;
    }
}

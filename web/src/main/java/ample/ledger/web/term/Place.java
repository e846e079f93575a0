package ample.ledger.web.term;

import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.browse.quick.QuickFind;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.util.List;
import java.util.Locale;

/**
 * What is browsed: one term, or all terms of a season together.
 *
 * @param path the beginning of its addresses: {@code autumn-2031}, or {@code season/autumn-2031}
 * @param name "Autumn 2031"
 * @param terms at least one, by their first day
 * @param vocabulary the codes that a brief can name here
 * @param days every day of the week on which some section meets
 * @param example a line of text to find sections by
 */
public record Place(
        String path,
        String name,
        List<PostedTerm> terms,
        Vocabulary vocabulary,
        QuickFind quickFind,
        Days days,
        String example) {

    static Place of(PostedTerm posted) {
        TermIndex index = posted.index();
        return new Place(
                posted.edition().term().text(),
                posted.schedule().term().name(),
                List.of(posted),
                index.vocabulary(),
                new QuickFind(index),
                days(List.of(index)),
                example(posted.schedule()));
    }

    static Place ofSeason(SeasonCode code, List<PostedTerm> terms) {
        List<TermIndex> indexes = terms.stream().map(PostedTerm::index).toList();
        Vocabulary vocabulary =
                Vocabulary.of(indexes.stream().map(TermIndex::schedule).toList());
        return new Place(
                "season/" + code,
                terms.get(0).schedule().term().season().name() + ", all colleges",
                terms,
                vocabulary,
                new QuickFind(indexes, vocabulary),
                days(indexes),
                example(terms.get(0).schedule()));
    }

    /** The same of these terms, which differ from its own in what is known of earlier editions at most. */
    Place showing(List<PostedTerm> posted) {
        return terms.equals(posted) ? this : new Place(path, name, posted, vocabulary, quickFind, days, example);
    }

    /** By a subject, a level and a day that there are: "glac 1xx wed after noon open". */
    private static String example(Schedule schedule) {
        String courses = schedule.sections().stream()
                .map(section -> section.course().code())
                .findFirst()
                .map(course -> course.subject().toLowerCase(Locale.ROOT)
                        + (course.digits() < 100 ? "" : " " + course.digits() / 100 % 10 + "xx"))
                .orElse("");
        DayOfWeek day = schedule.institution()
                .week()
                .inOrder(schedule.institution().week().workdays())
                .get(0);
        return (courses + " " + Days.shortName(day).toLowerCase(Locale.ROOT) + " after noon open").strip();
    }

    private static Days days(List<TermIndex> indexes) {
        return indexes.stream()
                .flatMap(index -> index.schedule().sections().stream())
                .map(Section::days)
                .reduce(Days.NONE, Days::plus);
    }

    public List<Schedule> schedules() {
        return terms.stream().map(PostedTerm::schedule).toList();
    }

    public List<TermIndex> indexes() {
        return terms.stream().map(PostedTerm::index).toList();
    }

    /** Whether several terms are browsed together. */
    public boolean season() {
        return terms.size() > 1;
    }

    public Addresses addresses() {
        return new Addresses(path);
    }
}

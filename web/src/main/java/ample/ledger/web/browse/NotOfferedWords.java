package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.NotOffered;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.term.Place;
import ample.ledger.web.words.Words;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says of courses that a brief asks for and a term does not offer when they are offered. */
final class NotOfferedWords {

    private NotOfferedWords() {}

    /** @param known the schedules of all terms, of any institution */
    static List<String> of(Brief brief, Place place, List<Schedule> known) {
        return place.terms().stream()
                .flatMap(posted -> NotOffered.of(brief, posted.schedule(), known).stream()
                        .map(missing -> sentence(missing, posted.schedule())))
                .toList();
    }

    private static String sentence(NotOffered missing, Schedule term) {
        String elsewhere = Stream.concat(
                        missing.last().stream().map(last -> "was last in " + offer(last, missing)),
                        missing.next().stream().map(next -> "is in " + offer(next, missing)))
                .collect(Collectors.joining("; it "));
        return "%s %s is not offered in %s%s."
                .formatted(
                        missing.course().written(),
                        missing.course().title(),
                        term.term().name(),
                        elsewhere.isEmpty() ? ", nor in any other term posted here" : "; it " + elsewhere);
    }

    private static String offer(Schedule schedule, NotOffered missing) {
        return "%s, %s (%s)"
                .formatted(
                        schedule.institution().name(),
                        schedule.term().name(),
                        Words.count(schedule.sectionsOf(missing.course().code()).size(), "section"));
    }
}

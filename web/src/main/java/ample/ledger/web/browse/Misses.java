package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.answer.NearMiss;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.browse.BrowsePage.Miss;
import ample.ledger.web.browse.BrowsePage.Missing;
import ample.ledger.web.browse.BrowsePage.Remedy;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The nearest near misses in words: those of courses of which something fits stand under them, the others by themselves. */
final class Misses {

    private static final int MOST = 40;
    private static final int MOST_STRAY = 8;

    private final Map<TermCode, Map<CourseCode, List<NearMiss>>> inPlace = new HashMap<>();
    private final List<Found> stray = new ArrayList<>();
    private final Wording wording;
    private final Addressing addresses;

    private record Found(PostedTerm posted, NearMiss miss) {}

    private Misses(Wording wording, Addressing addresses) {
        this.wording = wording;
        this.addresses = addresses;
    }

    /** Finds them; they are put into words course by course, as they are asked for. */
    static Misses of(List<PostedTerm> terms, List<Findings> findings, Wording wording, Addressing addresses) {
        Misses misses = new Misses(wording, addresses);
        for (int term = 0; term < terms.size(); term++) {
            misses.add(terms.get(term), findings.get(term));
        }
        return misses;
    }

    private void add(PostedTerm posted, Findings findings) {
        Map<CourseCode, Boolean> someFit = new HashMap<>();
        for (NearMiss miss : findings.nearMisses(MOST, wording)) {
            CourseCode course = miss.section().course().code();
            if (someFit.computeIfAbsent(course, absent -> someFit(posted, course, findings))) {
                inPlace.computeIfAbsent(posted.edition().term(), absent -> new HashMap<>())
                        .computeIfAbsent(course, absent -> new ArrayList<>())
                        .add(miss);
            } else {
                stray.add(new Found(posted, miss));
            }
        }
    }

    private static boolean someFit(PostedTerm posted, CourseCode course, Findings findings) {
        return posted.schedule().sectionsOf(course).stream().anyMatch(section -> findings.fits(section.entry()));
    }

    private Miss words(PostedTerm posted, NearMiss miss) {
        String sheet =
                new Addresses(posted.edition().term()).sheet(miss.section().entry(), addresses.brief());
        String name = miss.section() + " " + miss.section().course().title();
        return new Miss(
                List.of(new Missing(miss.section().entry().toString(), name, sheet)),
                miss.sentence(),
                new Remedy(remedy(miss), addresses.to(miss.remedy())));
    }

    /** Adds a near miss to those that the same remedy lets in. */
    private static void add(List<Miss> misses, Miss miss) {
        for (int i = 0; i < misses.size(); i++) {
            Miss other = misses.get(i);
            if (other.sentence().equals(miss.sentence()) && other.remedy().equals(miss.remedy())) {
                List<Missing> sections = new ArrayList<>(other.sections());
                sections.addAll(miss.sections());
                misses.set(i, new Miss(sections, miss.sentence(), miss.remedy()));
                return;
            }
        }
        misses.add(miss);
    }

    /** What taking the remedy makes of the condition. */
    private String remedy(NearMiss miss) {
        return miss.remedy()
                .about(miss.condition().topic())
                .map(condition -> "Ask instead: " + said(condition))
                .orElseGet(() -> "Drop " + Words.quoted(said(miss.condition())));
    }

    private String said(Condition condition) {
        return condition.phrase(wording).whole();
    }

    List<Miss> under(PostedTerm posted, Course course) {
        List<Miss> together = new ArrayList<>();
        inPlace.getOrDefault(posted.edition().term(), Map.of())
                .getOrDefault(course.code(), List.of())
                .forEach(miss -> add(together, words(posted, miss)));
        return together;
    }

    /** How many stand under their courses. */
    int inPlace() {
        return inPlace.values().stream()
                .flatMap(courses -> courses.values().stream())
                .mapToInt(List::size)
                .sum();
    }

    /** The nearest of those that stand by themselves. */
    List<Miss> stray() {
        return stray.stream()
                .sorted(Comparator.comparingInt(found -> found.miss().weight()))
                .limit(MOST_STRAY)
                .map(found -> words(found.posted(), found.miss()))
                .toList();
    }
}

package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Instructor;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.NavigableMap;
import java.util.Set;
import java.util.TreeMap;

/** What the end of a line may be going to say: subjects, courses, people and entry numbers of one edition. */
final class QuickSuggestions {

    private final NavigableMap<String, Set<QuickFind.Suggestion>> beginnings = new TreeMap<>();

    QuickSuggestions(Vocabulary vocabulary) {
        for (Facet.Value subject : vocabulary.values(Facet.SUBJECT)) {
            offer(
                    QuickFind.Kind.SUBJECT,
                    subject.code() + " " + subject.name(),
                    subject.code().toLowerCase(Locale.ROOT),
                    true);
        }
        for (Course course : vocabulary.courses()) {
            offer(QuickFind.Kind.COURSE, course.written() + " " + course.title(), code(course), true);
        }
        vocabulary
                .sections()
                .flatMap(section -> section.instructors().stream())
                .map(Instructor::name)
                .distinct()
                .forEach(name -> offer(QuickFind.Kind.PERSON, name, name, true));
        vocabulary
                .sections()
                .forEach(section -> offer(
                        QuickFind.Kind.ENTRY_NUMBER,
                        section.entry() + " " + section,
                        section.entry().digits(),
                        false));
    }

    private static String code(Course course) {
        return (course.code().subject() + " " + course.code().number()).toLowerCase(Locale.ROOT);
    }

    /** Files a suggestion under its text and, where {@code everyWord}, under every word of its label. */
    private void offer(QuickFind.Kind kind, String label, String text, boolean everyWord) {
        QuickFind.Suggestion suggestion = new QuickFind.Suggestion(kind, label, text);
        file(QuickToken.plain(text), suggestion);
        if (everyWord) {
            List<String> words =
                    QuickToken.of(label).stream().map(QuickToken::plain).toList();
            for (int from = 0; from < words.size(); from++) {
                file(String.join(" ", words.subList(from, words.size())), suggestion);
            }
        }
    }

    private void file(String key, QuickFind.Suggestion suggestion) {
        beginnings.computeIfAbsent(key, absent -> new LinkedHashSet<>()).add(suggestion);
    }

    /** Those that the longest possible end of {@code text} begins; each with the whole line that taking it makes. */
    List<QuickFind.Suggestion> suggest(String text, int most) {
        List<QuickToken> tokens = QuickToken.of(text);
        if (tokens.isEmpty() || Character.isWhitespace(text.charAt(text.length() - 1))) {
            return List.of();
        }
        for (int from = Math.max(0, tokens.size() - QuickWords.MOST_WORDS); from < tokens.size(); from++) {
            List<String> words = tokens.subList(from, tokens.size()).stream()
                    .map(QuickToken::plain)
                    .toList();
            String before = text.substring(0, tokens.get(from).start());
            List<QuickFind.Suggestion> found = beginningWith(String.join(" ", words), before, most);
            if (!found.isEmpty()) {
                return found;
            }
        }
        return List.of();
    }

    private List<QuickFind.Suggestion> beginningWith(String beginning, String before, int most) {
        return beginnings.subMap(beginning, true, beginning + Character.MAX_VALUE, true).values().stream()
                .flatMap(Set::stream)
                .distinct()
                .sorted(Comparator.comparing(QuickFind.Suggestion::kind))
                .limit(most)
                .map(found -> new QuickFind.Suggestion(found.kind(), found.label(), before + found.text()))
                .toList();
    }
}

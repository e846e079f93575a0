package ample.ledger.core.browse.index;

import ample.ledger.core.schedule.Course;
import ample.ledger.core.text.SearchText;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.standard.StandardTokenizer;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.util.automaton.CharacterRunAutomaton;
import org.apache.lucene.util.automaton.LevenshteinAutomata;
import org.tartarus.snowball.ext.PorterStemmer;

/**
 * The words in the titles and descriptions of courses.
 *
 * <p>A word asked for is found where a word of the course has the same stem, or begins with it. If no course of the term has
 * such a word, one typo is forgiven: a letter too many, too few, wrong, or two changed over, in words of at least four
 * letters. Case and accents make no difference.
 *
 * <p>Words are split as Unicode Standard Annex 29 says and stemmed after Porter, "An algorithm for suffix stripping",
 * 1980, both as Lucene has them.
 */
public final class CourseWords {

    private static final int LEAST_LETTERS_FOR_A_TYPO = 4;

    private static final Analyzer ANALYZER = new Analyzer() {
        @Override
        protected TokenStreamComponents createComponents(String field) {
            return new TokenStreamComponents(new StandardTokenizer());
        }
    };

    private final NavigableMap<String, BitSet> byWord = new TreeMap<>();
    private final NavigableMap<String, BitSet> byStem = new TreeMap<>();

    /** @param courses of one schedule; those found are named by their position among them */
    CourseWords(List<Course> courses) {
        for (int course = 0; course < courses.size(); course++) {
            for (String word : tokens(
                    courses.get(course).title() + "\n" + courses.get(course).description())) {
                byWord.computeIfAbsent(word, absent -> new BitSet()).set(course);
                byStem.computeIfAbsent(stem(word), absent -> new BitSet()).set(course);
            }
        }
    }

    /** The courses that have every word of {@code text}. Cost: for each word the words of the term that begin with it. */
    BitSet find(String text) {
        BitSet found = null;
        for (String word : tokens(text)) {
            BitSet having = having(word);
            if (found == null) {
                found = having;
            } else {
                found.and(having);
            }
        }
        return found == null ? new BitSet() : found;
    }

    private BitSet having(String word) {
        BitSet right = spelledRight(word);
        return right.isEmpty() && word.length() >= LEAST_LETTERS_FOR_A_TYPO ? withOneTypo(word) : right;
    }

    /** Whether some course has this word, spelled right, or one that begins with it. */
    boolean has(String word) {
        return tokens(word).stream().anyMatch(each -> !spelledRight(each).isEmpty());
    }

    private BitSet spelledRight(String word) {
        BitSet having = new BitSet();
        BitSet sameStem = byStem.get(stem(word));
        if (sameStem != null) {
            having.or(sameStem);
        }
        byWord.subMap(word, true, word + Character.MAX_VALUE, true).values().forEach(having::or);
        return having;
    }

    private BitSet withOneTypo(String word) {
        BitSet having = new BitSet();
        CharacterRunAutomaton oneTypo = new CharacterRunAutomaton(new LevenshteinAutomata(word, true).toAutomaton(1));
        byWord.forEach((known, courses) -> {
            if (Math.abs(known.length() - word.length()) <= 1 && oneTypo.run(known)) {
                having.or(courses);
            }
        });
        return having;
    }

    /**
     * The words of {@code text}, in order, as {@link SearchText} folds them. Folded before it is split: a sign such as “⒣” is no word, but
     * has one when it is folded.
     */
    public static List<String> tokens(String text) {
        List<String> tokens = new ArrayList<>();
        try (TokenStream stream = ANALYZER.tokenStream("", SearchText.folded(text))) {
            CharTermAttribute term = stream.addAttribute(CharTermAttribute.class);
            stream.reset();
            while (stream.incrementToken()) {
                tokens.add(term.toString());
            }
            stream.end();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return tokens;
    }

    /** Words of one or two letters are their own stems, as in Porter's own program. */
    private static String stem(String word) {
        if (word.length() <= 2) {
            return word;
        }
        PorterStemmer stemmer = new PorterStemmer();
        stemmer.setCurrent(word);
        stemmer.stem();
        return stemmer.getCurrent();
    }
}

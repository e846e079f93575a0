package ample.ledger.core.browse.index;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Course;
import java.io.IOException;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.LowerCaseFilter;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.Tokenizer;
import org.apache.lucene.analysis.en.PorterStemFilter;
import org.apache.lucene.analysis.standard.StandardTokenizer;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CourseWordsTest {

    /** The words that Porter, "An algorithm for suffix stripping", Program 14(3), 1980, strips as examples (from memory). */
    @ParameterizedTest
    @CsvSource({
        "connect, connections",
        "connected, connecting",
        "connection, connected",
        "generalizations, generalization",
        "oscillators, oscillator",
        "relate, relational",
    })
    void findsWordsOfTheSameStem(String asked, String posted) {
        assertThat(finds(asked, "On " + posted)).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "tid, Tidal engineering, true",
        "TIDAL, tidal engineering, true",
        "cafe, The café, true",
        "tidla, Tidal engineering, true",
        "tdal, Tidal engineering, true",
        "tiddal, Tidal engineering, true",
        "tydal, Tidal engineering, true",
        "tyddal, Tidal engineering, false",
        "dal, Tidal engineering, false",
        "ixe, Ice, false",
        "tidal engines, Tidal engineering, true",
        "tidal ice, Tidal engineering, false",
    })
    void forgivesBeginningsAccentsAndOneTypo(String asked, String title, boolean found) {
        assertThat(finds(asked, title)).isEqualTo(found);
    }

    @Test
    void aWordThatIsSpelledRightSomewhereIsNotTakenForATypo() {
        CourseWords words = new CourseWords(List.of(course("GLAC 101", "Tides"), course("GLAC 102", "Sides")));

        assertThat(words.find("tides")).isEqualTo(BitSet.valueOf(new long[] {0b01}));
        assertThat(words.find("rides")).isEqualTo(BitSet.valueOf(new long[] {0b11}));
    }

    /** Against Lucene's own filter for the stems, over every word of the demo. */
    @Test
    void findsWhatLuceneStemsAlike() throws IOException {
        List<Course> courses = Schedules.kernelSchedule().courses();
        CourseWords words = new CourseWords(courses);
        for (String word : stems(courses.toString(), false)) {
            BitSet alike = new BitSet();
            String stem = stems(word, true).iterator().next();
            for (int course = 0; course < courses.size(); course++) {
                String text =
                        courses.get(course).title() + " " + courses.get(course).description();
                boolean begins = stems(text, false).stream().anyMatch(each -> each.startsWith(word));
                alike.set(course, begins || stems(text, true).contains(stem));
            }
            if (!alike.isEmpty()) {
                assertThat(words.find(word)).as(word).isEqualTo(alike);
            }
        }
    }

    private static Set<String> stems(String text, boolean stemmed) throws IOException {
        Set<String> stems = new TreeSet<>();
        try (Analyzer analyzer = new Analyzer() {
                    @Override
                    protected TokenStreamComponents createComponents(String field) {
                        Tokenizer tokens = new StandardTokenizer();
                        TokenStream lower = new LowerCaseFilter(tokens);
                        return new TokenStreamComponents(tokens, stemmed ? new PorterStemFilter(lower) : lower);
                    }
                };
                TokenStream stream = analyzer.tokenStream("", text)) {
            CharTermAttribute term = stream.addAttribute(CharTermAttribute.class);
            stream.reset();
            while (stream.incrementToken()) {
                stems.add(term.toString());
            }
        }
        return stems;
    }

    private static boolean finds(String asked, String title) {
        return !new CourseWords(List.of(course("GLAC 101", title))).find(asked).isEmpty();
    }

    private static Course course(String code, String title) {
        return SectionBuilder.section(code).titled(title).build().course();
    }
}

package ample.ledger.core.browse.quick;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Timed;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Section;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.ShrinkingMode;

/**
 * The law of quick find: a word that denies, next to something that is understood, gives the denial or is named as not understood; it never
 * gives what is denied.
 */
class QuickDenialTest {

    private static final TermIndex INDEX = Schedules.kernelIndex();
    private static final QuickFind FIND = new QuickFind(INDEX);

    /** Every line of the table that is understood whole, in one stretch, and denies nothing itself. */
    private static final List<String> UNDERSTOOD = Arrays.stream(table().split("\n"))
            .skip(1)
            .map(line -> line.split("\\|")[0].strip())
            .filter(text -> QuickToken.of(text).stream().map(QuickToken::plain).noneMatch(QuickWords.DENYING::contains))
            .filter(text -> !text.contains("free") && !text.contains("break"))
            .filter(text -> FIND.read(text).pieces().size() == 1)
            .filter(text -> FIND.read(text).notUnderstood().isEmpty())
            .toList();

    private static final List<Section> TIMED =
            Findings.of(Schedules.now(INDEX), new Brief(List.of(new Timed()))).fitting();

    private static String table() {
        try (InputStream table = QuickDenialTest.class.getResourceAsStream("quick-find.csv")) {
            return new String(Objects.requireNonNull(table).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Property(tries = 2000, shrinking = ShrinkingMode.OFF)
    void neverGivesWhatIsDenied(
            @ForAll("denying") String no,
            @ForAll("joining") String joining,
            @ForAll("understood") String what,
            @ForAll("more") String more) {
        check(no + " " + joining + what, what, no, 0);
        check(no + " " + joining + what + more, what, no, 0);
    }

    @Property(tries = 1000, shrinking = ShrinkingMode.OFF)
    void offBehindIsADenialToo(@ForAll("understood") String what) {
        check(what + " off", what, "off", what.length() + 1);
    }

    private static void check(String text, String what, String denying, int at) {
        QuickFind.Reading reading = FIND.read(text);
        boolean named = reading.notUnderstood().stream()
                .anyMatch(piece -> piece.start() <= at && piece.end() >= at + denying.length());
        if (!named) {
            Set<Section> both = timed(reading.brief());
            both.retainAll(timed(FIND.read(what).brief()));
            assertThat(both)
                    .as(text + " is read as " + reading.brief().parameters())
                    .isEmpty();
        }
    }

    /** What has no set times satisfies every condition on days and times, and its denial. */
    private static Set<Section> timed(Brief brief) {
        Set<Section> fitting =
                new HashSet<>(Findings.of(Schedules.now(INDEX), brief).fitting());
        fitting.retainAll(TIMED);
        return fitting;
    }

    @Provide
    Arbitrary<String> denying() {
        return Arbitraries.of("no", "not", "without", "nothing", "never", "except", "avoid", "off");
    }

    @Provide
    Arbitrary<String> joining() {
        return Arbitraries.of("", "", "the ", "on ", "any ", "a class ");
    }

    @Provide
    Arbitrary<String> understood() {
        return Arbitraries.of(UNDERSTOOD);
    }

    @Provide
    Arbitrary<String> more() {
        return Arbitraries.of("", " glac", " tidewall", " wed", " or labs", " and tidewall", " qwxz");
    }
}

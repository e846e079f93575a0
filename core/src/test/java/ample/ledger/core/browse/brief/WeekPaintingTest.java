package ample.ledger.core.browse.brief;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.fixtures.RandomBriefs;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Schedule;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.ShrinkingMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WeekPaintingTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final TermIndex INDEX = new TermIndex(KERNEL, Schedules.TODAY);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "close | -                         | tue:00:00-12:00            | closed=tue:00:00-12:00",
                "close | closed=tue:00:00-12:00    | thu:00:00-12:00            | closed=tue:00:00-12:00,thu:00:00-12:00",
                "open  | closed=tue:00:00-12:00    | tue:00:00-24:00            | -",
                "open  | days=only:mon,wed         | tue:00:00-24:00            | days=only:mon,tue,wed",
                "close | days=only:mon,wed         | mon:00:00-24:00            | days=only:wed",
                "open  | days=none:fri             | fri:00:00-24:00            | -",
                "open  | days=only:mon             | tue:10:00-24:00            | days=only:mon,tue&closed=tue:00:00-10:00",
                "open  | days=only:mon&from=09:00  | tue:10:00-24:00            | days=only:mon,tue&from=09:00&closed=tue:09:00-10:00",
                "open  | from=09:00&to=16:00       | mon:08:00-09:00            | closed=mon:00:00-08:00,mon:16:00-24:00,tue:00:00-09:00,tue:16:00-24:00,wed:00:00-09:00,wed:16:00-24:00,thu:00:00-09:00,thu:16:00-24:00,fri:00:00-09:00,fri:16:00-24:00,sat:00:00-09:00,sat:16:00-24:00,sun:00:00-09:00,sun:16:00-24:00",
                "close | days=any:mon,wed          | mon:08:00-12:15            | days=any:mon,wed&closed=mon:08:00-12:15",
                "close | subject=glac              | sat:00:00-24:00            | subject=glac&closed=sat:00:00-24:00",
            })
    void saysInDaysAndTimesWhatItCan(String act, String before, String hours, String after) {
        WeekHours painted = WeekHours.parse(hours.strip()).orElseThrow();

        Brief brief = act.equals("close")
                ? WeekPainting.close(read(before), painted)
                : WeekPainting.open(read(before), painted);

        assertThat(brief).isEqualTo(read(after));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "tue:00:00-12:00                                 | Not Tue before 12:00",
                "tue:00:00-12:00,thu:00:00-12:00                 | Not Tue, Thu before 12:00",
                "mon:12:00-13:15,fri:16:00-24:00,sat:00:00-24:00 | Not Mon 12:00–13:15, Fri from 16:00 or Sat",
                "mon:9:00-10:00,tue:10:00-11:00,wed:11:00-12:00,thu:12:00-12:15 | Not in 3.25 hours of the week",
            })
    void saysWhatIsClosedInWords(String closed, String phrase) {
        assertThat(read("closed=" + closed.strip()).conditions())
                .extracting(condition -> condition.phrase(Wording.of(KERNEL)).standingAlone())
                .containsExactly(phrase);
    }

    @Property(tries = 1000, shrinking = ShrinkingMode.OFF)
    void whatIsPaintedIsClosedOrOpenAndNothingElseChanges(
            @ForAll("briefs") Brief brief, @ForAll("stretches") WeekHours hours) {
        WeekHours before = WeekPainting.closed(brief);

        assertThat(WeekPainting.closed(WeekPainting.close(brief, hours))).isEqualTo(before.plus(hours));
        assertThat(WeekPainting.closed(WeekPainting.open(brief, hours))).isEqualTo(before.minus(hours));
        for (Brief painted : List.of(WeekPainting.close(brief, hours), WeekPainting.open(brief, hours))) {
            assertThat(others(painted)).isEqualTo(others(brief));
        }
    }

    /** Painting is another way to say a brief: what says the same finds the same, but for five minutes that times cut. */
    @Property(tries = 500, shrinking = ShrinkingMode.OFF)
    void toCloseWhatIsClosedChangesNoAnswer(@ForAll("briefs") Brief brief) {
        Brief painted = WeekPainting.close(brief, WeekPainting.closed(brief));

        assertThat(Findings.of(Schedules.now(INDEX), painted).fitting())
                .containsAll(Findings.of(Schedules.now(INDEX), brief).fitting());
        Brief onlyPainted = painted.without(Topic.DAYS).without(Topic.TIMES);
        WeekHours closed = WeekPainting.closed(brief);
        boolean sayable = !closed.isEmpty() && others(painted).equals(others(onlyPainted));
        if (sayable) {
            assertThat(Findings.of(Schedules.now(INDEX), onlyPainted.with(new Closed(closed)))
                            .fitting())
                    .containsAll(Findings.of(Schedules.now(INDEX), painted).fitting());
        }
    }

    private static List<Condition> others(Brief brief) {
        return brief.conditions().stream()
                .filter(condition -> !(condition instanceof Closed)
                        && !(condition instanceof Between)
                        && !(condition instanceof OnDays days
                                && (days.rule() == OnDays.Rule.ONLY || days.rule() == OnDays.Rule.NONE)))
                .toList();
    }

    /** Closed hours turned round are another question, which painting would replace. */
    @Provide
    Arbitrary<Brief> briefs() {
        return RandomBriefs.of(KERNEL)
                .filter(brief -> brief.conditions().stream()
                        .noneMatch(condition -> condition instanceof Not && condition.topic() == Topic.CLOSED));
    }

    @Provide
    Arbitrary<WeekHours> stretches() {
        return Arbitraries.integers()
                .between(0, WeekHours.CELLS - 1)
                .set()
                .ofMinSize(1)
                .ofMaxSize(40)
                .map(cells -> WeekHours.ofCells(cells.stream().mapToInt(Integer::intValue)));
    }

    private static Brief read(String address) {
        if (address == null) {
            return Brief.EVERYTHING;
        }
        Map<String, List<String>> parameters = Arrays.stream(address.split("&"))
                .map(each -> each.split("="))
                .collect(Collectors.toMap(each -> each[0], each -> List.of(each[1])));
        BriefAddress.Reading reading = BriefAddress.read(parameters, INDEX.vocabulary());
        assertThat(reading.misreads()).isEmpty();
        return reading.brief();
    }
}

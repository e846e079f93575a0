package ample.ledger.core.browse;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.PlainReading;
import ample.ledger.core.fixtures.RandomBriefs;
import ample.ledger.core.fixtures.Schedules;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** The index against the plain reading of the definitions, and the laws of the account, over random briefs. */
class FindingsPropertyTest {

    private static final TermIndex INDEX = Schedules.kernelIndex();
    private static final PlainReading PLAIN = new PlainReading(INDEX.schedule().sections(), Schedules.TODAY);

    @Provide
    Arbitrary<Brief> briefs() {
        return RandomBriefs.of(INDEX.schedule());
    }

    @Property(tries = 3000)
    void listAndAccountEqualThePlainReading(@ForAll("briefs") Brief brief) {
        Findings findings = INDEX.find(brief);

        assertThat(findings.fitting()).isEqualTo(PLAIN.fitting(brief));
        assertThat(findings.account()).isEqualTo(PLAIN.account(brief));
    }

    @Property(tries = 500)
    void anEmptyAnswerNamesEverySmallestWayBack(@ForAll("briefs") Brief brief) {
        for (Findings.WayBack way : INDEX.find(brief).waysBack()) {
            List<Condition> kept = new ArrayList<>(brief.conditions());
            kept.removeAll(way.dropped());
            assertThat(PLAIN.fitting(kept)).hasSize(way.sections()).isNotEmpty();
            for (Condition spared : way.dropped()) {
                List<Condition> one = new ArrayList<>(kept);
                one.add(spared);
                assertThat(PLAIN.fitting(one)).isEmpty();
            }
        }
        assertThat(INDEX.find(brief).waysBack().isEmpty())
                .isEqualTo(brief.isEmpty() || !PLAIN.fitting(brief).isEmpty());
    }

    @Property(tries = 200)
    void everyValueIsCountedWithTheOtherConditionsAsTheyAre(@ForAll("briefs") Brief brief) {
        Brief others = brief.without(Condition.Topic.SUBJECT);

        Map<String, Integer> expected = INDEX.schedule().subjects().stream()
                .collect(Collectors.toMap(subject -> subject.code(), subject -> (int) PLAIN.fitting(others).stream()
                        .filter(section -> section.course().code().subject().equals(subject.code()))
                        .count()));

        assertThat(ValueCounts.of(brief, INDEX).subjects()).isEqualTo(expected);
    }

    @Property(tries = 500)
    void aBriefReadsBackFromItsAddress(@ForAll("briefs") Brief brief) {
        Map<String, List<String>> parameters = brief.parameters().entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, entry -> List.of(entry.getValue())));

        assertThat(BriefAddress.read(parameters, INDEX.schedule()))
                .isEqualTo(new BriefAddress.Reading(brief, List.of()));
    }
}

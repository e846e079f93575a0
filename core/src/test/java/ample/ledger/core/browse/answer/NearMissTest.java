package ample.ledger.core.browse.answer;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.Unit;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Kind;
import ample.ledger.core.schedule.Schedule;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NearMissTest {

    private static final Campus FELL = new Campus(new CampusCode("upper-fell"), "Upper Fell", false);

    /** A Monday and Wednesday section, 8:30 to 9:50, at Tidewall, with 2 of 10 seats open and 3 people waiting. */
    private static final SectionBuilder SECTION = section("GLAC 240d")
            .code("T1")
            .meets("Mon Wed", "8:30-9:50")
            .seats(10, 8, 3)
            .toward("making");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "from=9:00           | 30 | MINUTE | starts 8:30, half an hour before your window | from=08:30",
                "to=9:30             | 20 | MINUTE | ends 9:50, 20 minutes after your window | to=09:50",
                "from=9:30           | 60 | MINUTE | starts 8:30, an hour before your window | from=08:30",
                "days=only:mon       | 1 | DAY_OF_THE_WEEK | also meets on Wed | days=only:mon,wed",
                "days=all:mon,thu,fri| 2 | DAY_OF_THE_WEEK | does not meet on Thu and Fri | days=all:mon",
                "days=any:tue        | 1 | DAY_OF_THE_WEEK | meets on Mon and Wed | days=any:mon,tue",
                "days=none:wed,fri   | 1 | DAY_OF_THE_WEEK | meets on Wed | days=none:fri",
                "closed=mon:9:00-9:30,tue:9:00-10:00 | 30 | MINUTE | meets Mon 9:00–9:30, which you closed | closed=tue:09:00-10:00",
                "seats=3             | 1 | SEAT | 2 open, 1 short | seats=2",
                "waiting=1           | 2 | PERSON_WAITING | 3 waiting, 2 more than you accept | waiting=3",
                "at=upper-fell       | 1 | VALUE | at Tidewall instead | at=tidewall,upper-fell",
                "level=1             | 1 | VALUE | of level 2 instead | level=1,2",
                "at=tidewall&not=campus | 1 | VALUE | at Tidewall | ",
                "ends=2031-12-10     | 9 | DATE | ends on 19 Dec, 9 days late | ends=2031-12-19",
                "weeks=8             | 7 | WEEK | lasts 15 weeks, 7 weeks too long | weeks=15",
                "number=111          | 1 | OTHER_COURSE | is GLAC 240d | number=111,glac:240d",
                "record=passed       | 1 | VALUE | is perhaps on your record | record=not-known,passed",
                "may=no              | 1 | VALUE | you may take | may=no,yes",
                "plan=40300          | 1 | SECTION_OF_THE_PLAN | clashes with GLAC 111 F1 | ",
                "words=nothing       | 1 | OTHER_COURSE | does not mention “nothing” | ",
            })
    void saysHowFarAndWhatWouldLetItIn(String asked, int distance, Unit unit, String sentence, String remedy) {
        Schedule schedule = Schedules.of(
                SECTION.build(),
                section("GLAC 111")
                        .entry("40300")
                        .code("F1")
                        .at(FELL)
                        .meets("Mon", "9:00-9:50")
                        .build());
        Brief brief = read(asked, schedule);

        NearMiss miss = Findings.of(Schedules.now(new TermIndex(schedule, Schedules.TODAY)), brief)
                .nearMisses(9, Wording.of(schedule))
                .stream()
                .filter(each -> each.section().code().equals("T1"))
                .findFirst()
                .orElseThrow();

        assertThat(miss.distance()).isEqualTo(distance);
        assertThat(miss.unit()).isEqualTo(unit);
        assertThat(miss.sentence()).isEqualTo(sentence);
        assertThat(written(miss.remedy())).isEqualTo(remedy == null ? "" : remedy);
    }

    @Test
    void theNearestComesFirstWhateverItsUnit() {
        Schedule schedule = Schedules.of(
                section("GLAC 111").entry("101").meets("Mon", "8:30-9:50").build(),
                section("GLAC 112").entry("102").meets("Mon", "8:45-9:50").build(),
                section("GLAC 113")
                        .entry("103")
                        .at(FELL)
                        .meets("Mon", "9:00-9:50")
                        .build(),
                section("GLAC 114")
                        .entry("104")
                        .meets("Mon", "9:00-9:50")
                        .seats(5, 5, 0)
                        .build(),
                section("GLAC 115")
                        .entry("105")
                        .at(FELL)
                        .meets("Mon", "8:00-9:50")
                        .build());
        Brief brief = read("from=9:00&at=tidewall&seats=1", schedule);

        assertThat(Findings.of(Schedules.now(new TermIndex(schedule, Schedules.TODAY)), brief)
                        .nearMisses(3, Wording.of(schedule)))
                .extracting(miss -> miss.section().entry().digits())
                .containsExactly("104", "102", "101");
    }

    @Test
    void whenOnlyTheCompanionsFallShortItSaysSo() {
        Schedule schedule = Schedules.of(
                section("GLAC 240")
                        .entry("40100")
                        .code("L")
                        .meets("Mon", "9:00-9:50")
                        .build(),
                section("GLAC 240")
                        .entry("40101")
                        .code("L-a")
                        .kind(Kind.LAB)
                        .meets("Sat", "9:00-9:50")
                        .companion("lab", Optional.of("40100"))
                        .build());

        assertThat(Findings.of(Schedules.now(new TermIndex(schedule, Schedules.TODAY)), read("days=only:mon", schedule))
                        .nearMisses(5, Wording.of(schedule)))
                .extracting(NearMiss::sentence)
                .containsExactly("with its companions also meets on Sat", "also meets on Sat");
    }

    private static Brief read(String address, Schedule schedule) {
        Map<String, List<String>> parameters = Arrays.stream(address.strip().split("&"))
                .map(parameter -> parameter.split("="))
                .collect(Collectors.toMap(parameter -> parameter[0], parameter -> List.of(parameter[1])));
        BriefAddress.Reading reading = BriefAddress.read(parameters, Vocabulary.of(schedule));
        assertThat(reading.misreads()).isEmpty();
        return reading.brief();
    }

    private static String written(Brief brief) {
        return brief.parameters().entrySet().stream()
                .map(each -> each.getKey() + "=" + each.getValue())
                .collect(Collectors.joining("&"));
    }
}

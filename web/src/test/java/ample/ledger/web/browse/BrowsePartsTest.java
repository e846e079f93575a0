package ample.ledger.web.browse;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Order;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.requirement.CourseGraph;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.PostedTerm;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The parts of the Browse screen that work something out: leaves of the list, the week's picture, addresses. */
class BrowsePartsTest {

    private static final TermIndex INDEX = Schedules.kernelIndex();
    private static final PostedTerm POSTED = new PostedTerm(
            new Edition(1, "halvermere", new TermCode("autumn-2031"), 1, Instant.EPOCH, "", "", ""),
            INDEX,
            new CourseGraph(List.of()),
            Optional.empty());

    @ParameterizedTest
    @EnumSource
    void leavesHoldEverySectionOnceInOrder(Order order) {
        Findings findings = Findings.of(Schedules.now(INDEX), Brief.EVERYTHING);
        Leaves leaves = Leaves.of(List.of(POSTED), List.of(findings), BrowseView.USUAL.in(order));

        List<Section> all =
                leaves.all().stream().flatMap(leaf -> leaf.sections().stream()).toList();
        assertThat(all).isEqualTo(findings.first(order, Integer.MAX_VALUE));
        assertThat(leaves.size()).isGreaterThan(3);
        assertThat(leaves.courses()).isEqualTo(40);
        assertThat(leaves.all().stream().mapToInt(Leaves.Leaf::heads).sum()).isEqualTo(order == Order.COURSE ? 40 : 0);
    }

    @Test
    void noCourseIsCutInTwoAndALineFindsItsLeaf() {
        Leaves leaves = Leaves.of(
                List.of(POSTED), List.of(Findings.of(Schedules.now(INDEX), Brief.EVERYTHING)), BrowseView.USUAL);
        for (int page = 2; page <= leaves.size(); page++) {
            List<Section> before = leaves.page(page - 1).sections();
            assertThat(before.get(before.size() - 1).course())
                    .isNotEqualTo(leaves.page(page).sections().get(0).course());
        }
        Section last = leaves.page(leaves.size()).sections().get(0);
        assertThat(leaves.shown(BrowseView.USUAL.looking(last.entry()))).isEqualTo(leaves.size());
        assertThat(leaves.shown(BrowseView.USUAL.onPage(999))).isEqualTo(leaves.size());
        assertThat(leaves.shown(BrowseView.USUAL.looking(new EntryNumber("99999"))))
                .isEqualTo(1);
        assertThat(leaves.subjects()).containsEntry("CART", 1).containsKey("TIDE");
    }

    @Test
    void theWeekCountsWhatFitsAndItsHeadsCloseAndOpen() {
        Brief brief = read("days=only:mon,wed&from=09:00");
        WeekPicture week = WeekPicture.of(
                brief,
                Findings.of(Schedules.now(INDEX), brief).density(),
                Preferences.USUAL.frame(List.of(INDEX.schedule())),
                ClockStyle.HOURS_24,
                "/autumn-2031/browse");

        assertThat(week.days())
                .extracting(WeekPicture.Head::label)
                .startsWith("Mon", "Tue")
                .hasSize(7);
        assertThat(week.days().get(0).address()).isEqualTo("/autumn-2031/browse?close=mon");
        assertThat(week.days().get(1).address()).isEqualTo("/autumn-2031/browse?reopen=tue");
        assertThat(week.hours().get(0).says()).isEqualTo("Open the hour from 7");
        String[] days = week.counts().split(";");
        assertThat(days).hasSize(7).allMatch(day -> day.split(",").length == 30);
        assertThat(Arrays.stream(days[1].split(",")).mapToInt(Integer::parseInt).sum())
                .isZero();
        assertThat(Arrays.stream(days[0].split(",")).mapToInt(Integer::parseInt).sum())
                .isPositive();
        assertThat(week.hatch()).startsWith("M34 18h32v36h-32z");
    }

    @Test
    void aStruckConditionStaysInTheAddressUntilAnotherTakesItsPlace() {
        Brief said = read("at=tidewall&from=10:00&seats=3");
        Addressing addressing =
                Addressing.of(new Addresses("autumn-2031"), said, "times", BrowseView.USUAL.in(Order.DATES));

        assertThat(addressing.brief()).isEqualTo(said.without(Topic.TIMES));
        assertThat(addressing.seen(addressing.view()))
                .isEqualTo("/autumn-2031/browse?at=tidewall&from=10:00&seats=3&struck=times&order=dates");
        assertThat(addressing.restoring(addressing.struck().get(0)))
                .isEqualTo("/autumn-2031/browse?at=tidewall&from=10:00&seats=3&order=dates");
        assertThat(addressing.striking(said.about(Topic.CAMPUS).orElseThrow()))
                .contains("at=tidewall&from=10:00&seats=3&struck=campus,times");
        assertThat(addressing.to(read("from=12:00"))).isEqualTo("/autumn-2031/browse?from=12:00&order=dates");
    }

    @Test
    void aViewIsWrittenAfterTheBrief() {
        BrowseView view = new BrowseView(
                Order.MEETING, 3, Optional.empty(), Set.of(new EntryNumber("40101")), "days", "glac wed", "", true);

        assertThat(view.on("/autumn-2031/browse?at=tidewall"))
                .isEqualTo("/autumn-2031/browse?at=tidewall&order=meeting&page=3&look=40101&edit=days"
                        + "&heard=glac+wed&whole=yes");
        assertThat(BrowseView.USUAL.on("/autumn-2031/browse")).isEqualTo("/autumn-2031/browse");
    }

    private static Brief read(String address) {
        Map<String, List<String>> parameters = Arrays.stream(address.split("&"))
                .map(each -> each.split("="))
                .collect(Collectors.toMap(each -> each[0], each -> List.of(each[1])));
        return BriefAddress.read(parameters, INDEX.vocabulary()).brief();
    }
}

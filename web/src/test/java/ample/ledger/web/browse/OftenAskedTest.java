package ample.ledger.web.browse;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.answer.SeasonFindings;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.Closed;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Dates;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.browse.quick.QuickFind;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.requirement.CourseGraph;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.PostedTerm;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What the editors offer ready made. */
class OftenAskedTest {

    private static final TermIndex INDEX = Schedules.kernelIndex();
    private static final Place PLACE = new Place(
            "autumn-2031",
            "Autumn 2031",
            List.of(new PostedTerm(
                    new Edition(1, "halvermere", new TermCode("autumn-2031"), 1, Instant.EPOCH, "", "", ""),
                    INDEX,
                    new CourseGraph(List.of()),
                    Optional.empty())),
            INDEX.vocabulary(),
            new QuickFind(INDEX),
            Days.ALL,
            "");

    /** An offer is a link: what the address says must be read as what was offered. */
    @ParameterizedTest
    @EnumSource
    void everyOfferIsOfItsTopicOnceAndComesBackFromItsAddress(Topic topic) {
        List<Condition> offers = offers(topic, Brief.EVERYTHING);

        assertThat(offers).doesNotHaveDuplicates().allSatisfy(offer -> {
            Brief brief = Brief.EVERYTHING.with(offer);
            assertThat(offer.topic()).isEqualTo(topic);
            assertThat(read(brief.parameters())).isEqualTo(brief);
            assertThat(Findings.of(Schedules.now(INDEX), brief).size())
                    .isLessThanOrEqualTo(
                            Findings.of(Schedules.now(INDEX), Brief.EVERYTHING).size());
        });
    }

    @Test
    void datesAreThoseOfSpansThatArePosted() {
        LocalDate first = INDEX.schedule().term().dates().first();

        assertThat(offers(Topic.DATES, Brief.EVERYTHING)).isNotEmpty().allSatisfy(offer -> {
            assertThat(Findings.of(Schedules.now(INDEX), Brief.EVERYTHING.with(offer))
                            .size())
                    .isPositive();
            assertThat(((Dates) offer).startsFrom().filter(day -> !day.isAfter(first)))
                    .as("on which everything begins")
                    .isEmpty();
        });
    }

    @Test
    void whatIsClosedAlreadyStaysClosedAndIsNotOfferedAgain() {
        Brief fridayOff = Brief.EVERYTHING.with(new Closed(WeekHours.parse("fri")
                .orElseThrow()
                .plus(WeekHours.parse("tue:9-10").orElseThrow())));
        WeekHours closed = fridayOff.condition(Closed.class).orElseThrow().hours();

        List<Condition> offers = offers(Topic.CLOSED, fridayOff);

        assertThat(offers).isNotEmpty().allSatisfy(offer -> {
            WeekHours offered = ((Closed) offer).hours();
            assertThat(offered.and(closed)).isEqualTo(closed);
        });
    }

    private static List<Condition> offers(Topic topic, Brief brief) {
        return new TopicForms(PLACE, SeasonFindings.of(List.of(Schedules.now(INDEX)), brief), Preferences.USUAL, false)
                .of(topic)
                .oftenAsked()
                .get();
    }

    private static Brief read(Map<String, String> written) {
        Map<String, List<String>> parameters = new LinkedHashMap<>();
        written.forEach((parameter, value) -> parameters.put(parameter, List.of(value)));
        return BriefAddress.read(parameters, INDEX.vocabulary()).brief();
    }
}

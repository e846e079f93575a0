package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What reaches beyond one term's posting: its season, other terms, earlier editions, and the registrar. */
@OwnLedger
@ExtendWith({RunningLedger.class, InChromium.class})
class SystemInTheBrowserTest {

    private static final Instant NOW = Instant.parse("2031-06-17T09:00:00Z");
    private static final AtomicInteger WORDS = new AtomicInteger();

    /** The sister college's quarter, of the same season, with its own calendar and code key. */
    @BeforeAll
    static void postTheQuarter(Ledger ledger) throws InterruptedException {
        ledger.editions()
                .post(
                        ScheduleBundle.read(Schedules.repository().resolve("demo/bundles/quarter-autumn-2031")),
                        "The quarter",
                        "desk",
                        NOW);
        ledger.awaitTerm("quarter-autumn-2031");
    }

    /** Whoever has looked at another term than the usual one begins there the next time; others get no cookie. */
    @Test
    void theFirstPageIsTheTermLookedAtLast(Ledger ledger) throws Exception {
        LedgerInstance.Visitor visitor = new LedgerInstance.Visitor(ledger.root());
        // Of the two colleges posted here, the quarter's has more sections.
        assertThat(begins(visitor)).endsWith("/quarter-autumn-2031/browse");
        assertThat(visitor.get("/quarter-autumn-2031/browse").headers().firstValue("set-cookie"))
                .isEmpty();

        visitor.get("/season/autumn-2031/browse");
        assertThat(begins(visitor)).endsWith("/season/autumn-2031/browse");
        visitor.get("/autumn-2031/browse");
        assertThat(begins(visitor)).endsWith("/autumn-2031/browse");
    }

    private static String begins(LedgerInstance.Visitor visitor) throws Exception {
        return visitor.get("/").headers().firstValue("location").orElseThrow();
    }

    @Test
    void theWholeSystemIsBrowsedAndTheCalendarIsSaid(Tabs tabs, Ledger ledger) {
        for (boolean scripts : List.of(true, false)) {
            Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(scripts));
            page.navigate(ledger.page("browse?toward=field-practice"));
            page.locator(".where > summary").click();
            page.getByText("Autumn 2031, all colleges").click();

            assertThat(page).hasURL(Pattern.compile(".*/season/autumn-2031/browse\\?toward=field-practice.*"));
            page.navigate(ledger.root() + "/season/autumn-2031/browse?level=1&kind=lecture&whole=yes");
            assertThat(page.locator(".term")).hasCount(2);
            assertThat(page.locator(".term").last()).containsText("Saltern College, Autumn quarter 2031: 10 weeks");
            assertThat(page.locator(".line .c-runs").last()).containsText("from 29 Sep");
            List<Integer> figures = page.locator("#account td:nth-child(2)").allTextContents().stream()
                    .map(text -> Integer.parseInt(text.replace("−", "-").replace(",", "")))
                    .toList();
            int left = figures.get(figures.size() - 1);
            assertThat(page.locator(".line")).hasCount(left);
            assertThat(figures.stream().mapToInt(Integer::intValue).sum()).isEqualTo(2 * left);
        }
    }

    @Test
    void linesOfTwoTermsAreKeptEachForItsOwn(Tabs tabs, Ledger ledger) {
        for (boolean scripts : List.of(true, false)) {
            Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(scripts));
            page.navigate(ledger.root() + "/season/autumn-2031/browse?level=1&kind=lecture&whole=yes");
            page.locator(".line [name=line]:not(button)").first().check();
            page.locator(".line [name=line]:not(button)").last().check();
            page.getByText("Add to my week").click();
            assertThat(page.locator(".line .kept")).hasCount(2);

            page.navigate(ledger.root() + "/quarter-autumn-2031/week");
            assertThat(page.locator("#entries")).hasText(Pattern.compile("[0-9]+"));
            page.context().close();
        }
    }

    @Test
    void anotherTermTakesAlongWhatMakesSenseAndSaysWhatDoesNot(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=tide&at=tidewall&days=only:mon,wed"));
        page.locator(".where > summary").click();
        page.getByText("Autumn quarter 2031").click();

        assertThat(page.locator("#say"))
                .containsText("Left out, because they do not apply here: “In Tidal Engineering”");
        assertThat(page.locator(".phrase > a").filter(new Locator.FilterOptions().setHasText("only Mon, Wed")))
                .isVisible();
        page.getByText("Show the list anyway").click();
        assertThat(page).hasURL(ledger.root() + "/quarter-autumn-2031/browse?days=only:mon,wed");
    }

    /** The whole quarter: more leaves than stand on one page. */
    @Test
    void oneLongListFetchesWhatComesNear(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.root() + "/quarter-autumn-2031/browse");
        int posted = Integer.parseInt(page.locator("#total").textContent().replaceAll(" section.*", ""));
        assertThat(page.locator(".gap")).hasCount(1);
        assertThat(page.locator(".line").count()).isLessThan(posted / 2);

        Locator subject = page.locator(".subjects a").last();
        String code = subject.textContent();
        subject.click();
        assertThat(page.locator("#subject-" + code)).isInViewport();
        page.evaluate("window.scrollTo(0, document.documentElement.scrollHeight)");
        assertThat(page.locator("#ways-out")).isInViewport();
        page.evaluate("window.scrollTo(0, document.documentElement.scrollHeight / 2)");
        page.waitForCondition(() -> (boolean)
                page.evaluate("document.elementFromPoint(700, 400).closest('.line, .course, .miss') !== null"));
    }

    /** Against the whole list on one page, which no script touches. */
    @Test
    void everyLineComesInItsPlaceAfterAChangeAndWhileScrolling(Tabs tabs, Ledger ledger) {
        Page whole = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        whole.navigate(ledger.root() + "/quarter-autumn-2031/browse?whole=yes");
        List<String> expected = whole.locator(".line .c-entry a").allTextContents();
        assertThat(expected.size()).isGreaterThan(100);

        Page page = tabs.open();
        page.navigate(ledger.root() + "/quarter-autumn-2031/browse?kind=lecture");
        page.locator("#account .strike").last().click();
        assertThat(page.locator("#total")).containsText(expected.size() + " sections");
        Set<String> seen = new LinkedHashSet<>();
        page.waitForCondition(
                () -> {
                    seen.addAll(page.locator(".line .c-entry a").allTextContents());
                    page.evaluate(
                            "document.elementFromPoint(700, 400)?.closest('.line, .course') && window.scrollBy(0, 400)");
                    return seen.size() >= expected.size();
                },
                // Every step waits for lines from the server.
                new Page.WaitForConditionOptions().setTimeout(90_000));

        assertThat(List.copyOf(seen)).isEqualTo(expected);
    }

    @Test
    void pagesLeadThroughTheListWithoutScripts(Tabs tabs, Ledger ledger) {
        Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        page.navigate(ledger.root() + "/quarter-autumn-2031/browse");
        String first = page.locator(".c-entry a").first().textContent();
        page.getByText("Next page").click();
        assertThat(page.locator(".c-entry a").first()).not().hasText(first);
        page.getByText("Previous page").click();
        assertThat(page.locator(".c-entry a").first()).hasText(first);
        int posted = Integer.parseInt(page.locator("#total").textContent().replaceAll(" section.*", ""));
        page.getByText("All on one page").click();
        assertThat(page.locator(".line")).hasCount(posted);
    }

    @Test
    void seatsFollowTheRegistrarOnAnOpenPage(Tabs tabs, Ledger ledger) {
        Section section =
                Schedules.kernelSchedule().section(new EntryNumber("40101")).orElseThrow();
        int capacity = section.pool().capacity();
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=tide"));
        Locator seats = page.locator("#e40101 .c-seats b");
        assertThat(seats).not().hasText("2");

        ledger.seats()
                .put(List.of(new SeatWord(
                        new TermCode("autumn-2031"),
                        section.pool().code(),
                        new SeatPool.Count(capacity - 2, 0, 0),
                        later())));

        assertThat(seats).hasText("2");
        page.reload();
        assertThat(seats).hasText("2");
    }

    /** A connection that is lost is said to be; the next one takes it back, and brings what was missed. */
    @Test
    void aLostConnectionIsSaidAndMadeGood(Tabs tabs, Ledger ledger) {
        Section section =
                Schedules.kernelSchedule().section(new EntryNumber("40101")).orElseThrow();
        int capacity = section.pool().capacity();
        Page page = tabs.open();
        page.route(Pattern.compile(".*/seats\\?.*"), route -> route.abort());
        page.navigate(ledger.page("browse?subject=tide"));
        assertThat(page.locator("#live-lost")).isVisible();
        ledger.seats()
                .put(List.of(new SeatWord(
                        new TermCode("autumn-2031"),
                        section.pool().code(),
                        new SeatPool.Count(capacity - 3, 0, 0),
                        later())));
        page.unrouteAll();
        assertThat(page.locator("#live-lost")).isHidden();
        assertThat(page.locator("#e40101 .c-seats b")).hasText("3");
    }

    /** Later than all that was said before: an older word changes nothing. */
    private static Instant later() {
        return NOW.plusSeconds(WORDS.incrementAndGet());
    }
}

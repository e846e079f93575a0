package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Instant;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A student reads the page of a course. */
@ExtendWith({RunningLedger.class, InChromium.class})
class CourseInTheBrowserTest {

    @Test
    void courseSaysItsSectionsWhatItNeedsAndWhereItLeadsWithAndWithoutScripts(Tabs tabs, Ledger ledger) {
        for (boolean scripts : List.of(true, false)) {
            Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(scripts));
            page.navigate(ledger.page("browse?subject=tide&whole=yes"));
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("TIDE 235"))
                    .click();

            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                    .hasText("Sluices, Locks and Gates");
            assertThat(page.locator(".course-page .line").first()).containsText("40");
            Locator graph = page.locator(".course-graph");
            assertThat(graph.locator(".middle")).containsText("TIDE 235");
            assertThat(graph.getByRole(AriaRole.LINK))
                    .hasCount(graph.locator("rect").count() - 1);

            graph.getByLabel("TIDE 110 How Tides Work, before it").click();
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                    .hasText("How Tides Work");
            page.getByText("Back to your brief").click();
            assertThat(page).hasURL(ledger.page("browse?subject=tide"));
            page.context().close();
        }
    }

    @Test
    void graphIsGoneThroughWithTheKeyboardAndKnowsTheRecord(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("course/TIDE-235"));
        page.getByText("Add your record to check this").click();
        page.getByLabel("One course a line").fill("TIDE 110 B");
        page.getByText("Save my record").click();

        page.locator(".graph .scroll").focus();
        page.keyboard().press("Tab");
        assertThat(page.evaluate("document.activeElement.getAttribute('aria-label')"))
                .isEqualTo("TIDE 110 How Tides Work, before it, passed");
        page.keyboard().press("Enter");
        assertThat(page).hasURL(ledger.page("course/TIDE-110"));
    }

    @Test
    void courseThatIsNotOfferedSaysInWhichTermsItIs(Tabs tabs, Ledger ledger) throws InterruptedException {
        ledger.editions()
                .post(
                        ScheduleBundle.read(Schedules.repository().resolve("demo/bundles/summer-2032")),
                        "Summer",
                        "desk",
                        Instant.parse("2031-06-17T09:00:00Z"));
        ledger.awaitTerm("summer-2032");
        Page page = tabs.open();
        page.navigate(ledger.root() + "/summer-2032/course/tide-390d");

        assertThat(page.locator("#sections-title ~ p")).hasText("It is not offered in Summer 2032.");
        assertThat(page.locator(".line")).hasCount(0);
        page.locator(".offerings a").getByText("Autumn 2031").click();
        assertThat(page).hasURL(ledger.page("course/TIDE-390d"));
        assertThat(page.locator(".line").first()).isVisible();

        page.navigate(ledger.root() + "/summer-2032/browse?number=tide:390d");
        assertThat(page.locator("#not-offered"))
                .hasText(Pattern.compile("TIDE 390d .+ is not offered in Summer 2032; "
                        + "it was last in .+, Autumn 2031 \\([0-9]+ sections?\\)\\."));
    }
}

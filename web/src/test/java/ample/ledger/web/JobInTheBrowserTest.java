package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The job, as a student does it. */
@ExtendWith({RunningLedger.class, InChromium.class})
class JobInTheBrowserTest {

    private static final String BRIEF = "at=tidewall&days=only:mon,wed&from=09:00&to=15:30";

    @Test
    void chooseCampusDaysAndTimesReadTheAccountOpenASheetAndComeBack(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.root().toString());

        phrase(page, "any campus").click();
        page.getByLabel("Tidewall").check();
        assertThat(phrase(page, "Tidewall")).isVisible();
        phrase(page, "on any day").click();
        page.getByLabel("Mon", new Page.GetByLabelOptions().setExact(true)).check();
        page.getByLabel("Wed", new Page.GetByLabelOptions().setExact(true)).check();
        assertThat(phrase(page, "only Mon, Wed")).isVisible();
        phrase(page, "at any time").click();
        page.getByLabel("Not before").fill("09:00");
        page.getByLabel("Not after").fill("15:30");
        page.getByLabel("Not after").press("Enter");
        assertThat(phrase(page, "between 9:00 and 15:30")).isVisible();

        assertThat(page.url()).isEqualTo(ledger.page("browse?" + BRIEF));
        readAccountAndSheet(page);
        page.goBack();
        assertThat(page.url()).isEqualTo(ledger.page("browse?" + BRIEF));
        assertThat(phrase(page, "between 9:00 and 15:30")).isVisible();
    }

    @Test
    void theSameWithoutScripts(Tabs tabs, Ledger ledger) {
        Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        page.navigate(ledger.root().toString());

        phrase(page, "any campus").click();
        page.getByLabel("Tidewall").check();
        show(page);
        phrase(page, "on any day").click();
        page.getByLabel("Mon", new Page.GetByLabelOptions().setExact(true)).check();
        page.getByLabel("Wed", new Page.GetByLabelOptions().setExact(true)).check();
        show(page);
        phrase(page, "at any time").click();
        page.getByLabel("Not before").fill("09:00");
        page.getByLabel("Not after").fill("15:30");
        show(page);

        assertThat(page).hasURL(ledger.page("browse?" + BRIEF));
        readAccountAndSheet(page);
        page.getByText("Back to your brief").click();
        assertThat(page).hasURL(ledger.page("browse?" + BRIEF + "#e40129"));
    }

    @Test
    void aChangeOfTheBriefKeepsFocusEditorAndScroll(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse"));
        page.evaluate("window.wasNotReloaded = true");
        phrase(page, "any subject").click();
        Locator glaciology = page.getByLabel("GLAC Glaciology");
        glaciology.focus();
        page.evaluate("window.scrollTo(0, 40)");

        glaciology.press("Space");

        assertThat(page.locator("#total")).containsText("in 5 courses");
        assertThat(glaciology).isFocused();
        assertThat(glaciology).isVisible();
        assertThat(page.evaluate("[window.wasNotReloaded, window.scrollY]")).isEqualTo(List.of(true, 40));
        glaciology.press("Escape");
        assertThat(glaciology).isHidden();
        assertThat(phrase(page, "Glaciology")).isFocused();
        page.goBack();
        assertThat(phrase(page, "any subject")).isVisible();
        assertThat(page.locator("#total")).hasText("113 sections in 40 courses");
    }

    @Test
    void sectionsWithNoSetTimeAreOneClickAway(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=myco&days=only:mon,wed"));
        Locator untimed = page.getByText("No set time, 2.5 h a week");
        assertThat(untimed).isVisible();

        page.getByText("keeping sections with no set time").click();

        assertThat(page).hasURL(ledger.page("browse?subject=myco&days=only:mon,wed&untimed=no"));
        assertThat(untimed).isHidden();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("leaving out sections"))
                .click();
        assertThat(untimed).isVisible();
    }

    @Test
    void aSearchThatFindsNothingLeadsOn(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=glac&days=only:fri&to=09:00&untimed=no"));
        assertThat(page.locator("#left")).hasText("0");

        page.getByText("Drop “until 9:00”: 2 sections").click();

        assertThat(page.locator("#total")).containsText("2 sections");
    }

    @Test
    void theKeyboardGoesThroughTheLinesToASheet(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=tide"));

        page.keyboard().press("j");
        page.keyboard().press("j");
        page.keyboard().press("k");
        page.keyboard().press("Enter");

        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("How Tides Work");
    }

    private static void readAccountAndSheet(Page page) {
        List<Integer> figures = page.locator("#account td:nth-child(2)").allTextContents().stream()
                .map(text -> Integer.parseInt(text.replace("−", "-").replace(",", "")))
                .toList();
        int left = figures.get(figures.size() - 1);
        assertThat(figures.get(0)).isEqualTo(113);
        assertThat(figures.subList(0, figures.size() - 1).stream()
                        .mapToInt(Integer::intValue)
                        .sum())
                .isEqualTo(left);
        assertThat(page.locator("tr.line")).hasCount(left);

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("40129"))
                .click();
        assertThat(page.locator("h1")).hasText("Estuary Hydraulics");
        assertThat(page.locator(".code-parts .part"))
                .containsText(List.of(
                                "TIDE Tidal Engineering subject",
                                "2 second year level",
                                "14 course in principles number",
                                "T Tidewall campus campus",
                                "1 first section here section")
                        .toArray(String[]::new));
    }

    private static Locator phrase(Page page, String text) {
        return page.locator(
                ".phrase > summary", new Page.LocatorOptions().setHasText(Pattern.compile("^" + text + "$")));
    }

    private static void show(Page page) {
        page.locator("details[open] button").click();
    }
}

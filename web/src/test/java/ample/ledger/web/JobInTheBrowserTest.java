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
        day(page, "Mon").check();
        day(page, "Wed").check();
        assertThat(phrase(page, "only Mon, Wed")).isVisible();
        phrase(page, "at any time").click();
        page.getByLabel("Not before").fill("09:00");
        page.getByLabel("Not after").fill("15:30");
        page.getByLabel("Not after").press("Enter");
        assertThat(phrase(page, "between 9:00 and 15:30")).isVisible();

        assertThat(page).hasURL(ledger.page("browse?" + BRIEF));
        readAccountAndSheet(page);
        page.goBack();
        assertThat(page).hasURL(ledger.page("browse?" + BRIEF));
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
        day(page, "Mon").check();
        day(page, "Wed").check();
        show(page);
        phrase(page, "at any time").click();
        page.getByLabel("Not before").fill("09:00");
        page.getByLabel("Not after").fill("15:30");
        show(page);

        assertThat(page).hasURL(ledger.page("browse?" + BRIEF));
        readAccountAndSheet(page);
        page.getByText("Back to your brief").click();
        assertThat(page).hasURL(ledger.page("browse?" + BRIEF + "&line=40101#e40101"));
        assertThat(page.locator("#e40101")).isVisible();
    }

    @Test
    void whoActsBeforeTheAddressIsToldActsAtTheNewOne(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?at=tidewall"));
        page.evaluate("""
                document.addEventListener("shown", () => {
                  window.before = location.search;
                  document.body.dispatchEvent(new KeyboardEvent("keydown", { key: "Shift", bubbles: true }));
                  window.then = location.search;
                }, { once: true })
                """);
        page.getByText("Start over").click();
        page.waitForCondition(() -> (boolean) page.evaluate("window.then !== undefined"));

        assertThat(page.evaluate("[window.before, window.then]")).isEqualTo(List.of("?at=tidewall", ""));
        // Were it told a second time, going back would not lead there.
        page.waitForTimeout(200);
        page.goBack();
        assertThat(page).hasURL(ledger.page("browse?at=tidewall"));
        assertThat(phrase(page, "Tidewall")).isVisible();
    }

    @Test
    void aChangeOfTheBriefKeepsFocusEditorAndScroll(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse"));
        page.evaluate("window.wasNotReloaded = true");
        phrase(page, "any subject").click();
        Locator glaciology = page.getByLabel("GLAC Glaciology");
        glaciology.focus();
        page.waitForCondition(
                () -> (boolean) page.evaluate("document.documentElement.scrollHeight > window.innerHeight + 40"));
        page.evaluate("window.scrollTo(0, 40)");

        glaciology.press("Space");

        assertThat(page.locator("#total")).containsText("in 5 courses");
        assertThat(glaciology).isFocused();
        assertThat(glaciology).isVisible();
        assertThat(page).hasURL(ledger.page("browse?subject=glac"));
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
        phrase(page, "leaving out sections with no set time").click();
        assertThat(untimed).isVisible();
    }

    @Test
    void aSearchThatFindsNothingLeadsOn(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=glac&days=only:fri&to=09:00&untimed=no"));
        assertThat(page.locator("#left")).hasText("0");

        Locator way = page.getByText("Drop “").first();
        String sections = way.textContent().replaceAll(".*: ([0-9]+ sections?).*", "$1");
        way.click();

        assertThat(page.locator("#total")).containsText(sections);
    }

    /** Painting by heads, finding by a line of text, adding a condition, taking a remedy, and the way out of nothing. */
    @Test
    void theSameStoriesWithoutScripts(Tabs tabs, Ledger ledger) {
        Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        page.navigate(ledger.page("browse"));
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Close all Fri"))
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Close the hour from 9"))
                .click();
        assertThat(phrase(page, "not .*9:00–10:00.*")).isVisible();

        page.locator("#find").fill("tide 214, glac 240 after 17");
        page.locator("#find").press("Enter");
        assertThat(page.locator("#heard .stretch")).hasCount(2);
        assertThat(page.locator("#left")).not().hasText("113");
        page.locator(".miss a, .stray a").last().click();
        assertThat(page.locator(".line")).not().hasCount(0);

        page.getByText("Add a condition").click();
        page.locator(".panel.more").getByText("Delivery").click();
        page.getByLabel(Pattern.compile("^Online untimed")).check();
        show(page);
        assertThat(page.locator("#nothing")).isVisible();
        page.locator("#nothing a").first().click();
        assertThat(page.locator(".line")).not().hasCount(0);
    }

    @Test
    void aStruckLineIsRestored(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?at=tidewall&from=10:00"));
        String left = page.locator("#left").textContent();
        page.getByLabel("Remove “At Tidewall”").click();
        assertThat(page).hasURL(ledger.page("browse?at=tidewall&from=10:00&struck=campus"));
        assertThat(page.locator("#left")).not().hasText(left);
        assertThat(phrase(page, "any campus")).isVisible();

        page.getByLabel("Restore “At Tidewall”").click();

        assertThat(page).hasURL(ledger.page("browse?at=tidewall&from=10:00"));
        assertThat(page.locator("#left")).hasText(left);
    }

    /** TIDE 214 T2 meets in the morning; its labs do not. */
    @Test
    void aLectureNoneOfWhoseLabsFitsIsNotListed(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?number=tide:214"));
        int all = page.locator(".line").count();
        page.navigate(ledger.page("browse?number=tide:214&to=11:00"));

        for (Locator line : page.locator(".line:not(.companion)").all()) {
            String lead = line.locator(".c-section").textContent();
            assertThat(page.locator(".line.companion .c-section").allTextContents())
                    .as("a lecture that is listed has a lab that fits")
                    .anyMatch(companion -> companion.startsWith(lead + "-"));
        }
        assertThat(page.locator(".line").count()).isLessThan(all);
    }

    @Test
    void aLineOpensInPlaceWithAndWithoutScripts(Tabs tabs, Ledger ledger) {
        for (boolean scripts : List.of(true, false)) {
            Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(scripts));
            page.navigate(ledger.page("browse?subject=tide"));
            page.getByLabel("Show details of 40101").click();
            assertThat(page.locator("#look-40101")).containsText("Full term");
            page.getByLabel("Show details of 40101").click();
            assertThat(page.locator("#look-40101")).hasCount(0);
        }
    }

    @Test
    void linesAreChosenLinedUpKeptAndTakenOutAgain(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=tide"));
        page.keyboard().press("j");
        page.keyboard().press("x");
        page.keyboard().press("j");
        page.keyboard().press("x");
        assertThat(page.locator("#chosen-count")).hasText("2 lines chosen");
        page.context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
        page.getByText("Copy the entry numbers").click();
        List<String> entries = page.locator(".line:has(:checked) .c-entry").allTextContents();
        page.waitForCondition(
                () -> page.evaluate("navigator.clipboard.readText()").equals(String.join("\n", entries)));
        page.getByText("Clear the choice").click();
        assertThat(page.locator("#chosen")).isHidden();

        page.locator(".line .add").nth(7).click();
        assertThat(page).hasURL(Pattern.compile(".*browse\\?subject=tide&line=([0-9]+)#e\\1"));
        assertThat(page.locator(".line .kept")).hasCount(1);
        page.waitForLoadState();
        page.keyboard().press("w");
        assertThat(page.locator("#entries")).hasText(Pattern.compile("[0-9]{5}"));
        page.getByText("Browse sections that do not clash").click();
        assertThat(phrase(page, "the section in your plan")).isVisible();
        page.goBack();
        page.getByLabel(Pattern.compile("^Remove [0-9]{5}$")).click();
        assertThat(page.getByText("This plan is empty.")).isVisible();
    }

    @Test
    void aBriefIsSavedUnderANameAndForgotten(Tabs tabs, Ledger ledger) {
        Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        page.navigate(ledger.page("browse?subject=tide&days=only:mon"));
        page.locator("#saving > summary").click();
        page.getByLabel("Save this brief as").fill("Mondays by the sea");
        page.locator("#saving .naming button").click();
        assertThat(page).hasURL(ledger.page("browse?subject=tide&days=only:mon"));

        page.navigate(ledger.page("browse"));
        page.locator("#saving > summary").click();
        page.getByText("Mondays by the sea").click();
        assertThat(page).hasURL(ledger.page("browse?subject=tide&days=only:mon"));
        page.locator("#saving > summary").click();
        page.getByLabel("Delete “Mondays by the sea”").click();
        page.locator("#saving > summary").click();
        assertThat(page.getByText("Mondays by the sea")).hasCount(0);
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
        assertThat(page.locator("#total")).hasText(Pattern.compile("^" + left + " sections? in "));

        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("40101").setExact(true))
                .click();
        assertThat(page.locator("h1")).hasText("How Tides Work");
        assertThat(page.locator(".code-parts .part"))
                .containsText(List.of(
                                "TIDE Tidal Engineering subject",
                                "1 first year level",
                                "10 course in principles number",
                                "T Tidewall campus campus",
                                "1 first section here section")
                        .toArray(String[]::new));
    }

    private static Locator day(Page page, String name) {
        return page.getByLabel(Pattern.compile("^" + name + "\\b"));
    }

    private static Locator phrase(Page page, String text) {
        return page.locator(".phrase > a", new Page.LocatorOptions().setHasText(Pattern.compile("^" + text + "$")));
    }

    private static void show(Page page) {
        page.locator("form.editor button").click();
    }
}

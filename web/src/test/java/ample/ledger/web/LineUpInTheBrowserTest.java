package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A student compares sections and keeps one. */
@ExtendWith({RunningLedger.class, InChromium.class})
class LineUpInTheBrowserTest {

    /** Three sections of one course: two on the same days, of which one is online, and one in the evening. */
    private static final String THREE = "line-up?line=40101,40122,40115";

    @Test
    void threeAreComparedAndOneIsKeptByTheKeyboard(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=tide"));
        for (int line = 0; line < 3; line++) {
            page.keyboard().press("j");
            page.keyboard().press("x");
        }
        assertThat(page.locator("#chosen-count")).hasText("3 lines chosen");
        page.keyboard().press("l");
        assertThat(columns(page)).hasCount(3);
        String third = columns(page).nth(2).locator(".entry").textContent();

        page.getByLabel("Add " + third + " to my week").focus();
        page.keyboard().press("Enter");
        assertThat(page.getByText("in your week")).hasCount(1);
        assertThat(columns(page)).hasCount(3);
        page.getByText("Back").focus();
        page.keyboard().press("Enter");
        assertThat(page).hasURL(ledger.page("browse?subject=tide"));
        assertThat(page.locator("#e" + third + " .kept")).isVisible();
    }

    @Test
    void threeAreComparedOneIsDroppedAndOneReplacedWithoutScripts(Tabs tabs, Ledger ledger) {
        Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        page.navigate(ledger.page(THREE));
        assertThat(page.locator(".lanes tbody tr")).hasCount(3);
        assertThat(row(page, "When").locator("td"))
                .hasText(new String[] {"Mon Wed 9:30–10:50", "Mon Wed 14:00–15:20", "Tue Thu 17:30–18:50"});
        assertThat(page.locator(".alike")).containsText("How Tides Work");

        page.getByLabel("Drop 40122").click();
        assertThat(columns(page)).hasCount(2);
        page.getByLabel("Replace 40115").click();
        page.locator(".decide > td")
                .nth(1)
                .locator("details a")
                .getByText("40108")
                .click();
        assertThat(page).hasURL(Pattern.compile(".*line=40101,40108&.*"));
        page.getByLabel("Add 40101 to my week").click();
        assertThat(page.getByText("in your week")).hasCount(1);
    }

    @Test
    void aSheetIsLinedUpWithOthersOfItsKindAndKept(Tabs tabs, Ledger ledger) {
        Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        page.navigate(ledger.page("section/40101?subject=tide"));
        page.getByText("Add to my week").click();
        assertThat(page).hasURL(ledger.page("section/40101?subject=tide"));
        assertThat(page.getByText("In your week.")).isVisible();

        page.getByText("Compare with other sections of this kind").click();
        assertThat(columns(page)).hasCount(4);
        assertThat(columns(page).first()).containsText("40101");
        page.getByText("Back").click();
        assertThat(page).hasURL(ledger.page("section/40101?subject=tide"));
    }

    @Test
    void anotherIsAddedByItsNumberOrByItsCourse(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("line-up?line=40101"));
        add(page, "40204");
        assertThat(columns(page)).hasCount(2);

        add(page, "glac240d");
        assertThat(page.locator(".choices tr")).hasCount(3);
        page.locator(".choices a").first().click();
        assertThat(columns(page)).hasCount(3);

        add(page, "blorp 9");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("no course of that code");
        assertThat(page.locator("#add")).hasValue("blorp 9");
        assertThat(columns(page)).hasCount(3);
    }

    @Test
    void clashesAreSaidAmongThemAndWithTheWeek(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("line-up?line=40122,40204"));
        assertThat(page.locator(".clashes li"))
                .hasText("TIDE 110 X1v and GLAC 120 F4 clash: 20 minutes, 7 times, the first time on Mon 8 Sep.");
        assertThat(page.locator(".bar.clash")).hasCount(1);

        page.getByLabel("Add 40204 to my week").click();
        page.getByLabel("Drop 40204").click();
        assertThat(page.locator(".clashes li"))
                .hasText("TIDE 110 X1v and GLAC 120 F4 of your week clash: 20 minutes, 7 times,"
                        + " the first time on Mon 8 Sep.");
        assertThat(page.locator(".lanes tbody th").last()).hasText("The rest of your week");
    }

    private static void add(Page page, String text) {
        page.locator("#add").fill(text);
        page.locator("#add").press("Enter");
        page.waitForLoadState();
    }

    private static Locator columns(Page page) {
        return page.locator(".side-by-side thead th");
    }

    private static Locator row(Page page, String label) {
        return page.locator(".unlike")
                .filter(new Locator.FilterOptions()
                        .setHas(page.locator("th", new Page.LocatorOptions().setHasText(label))));
    }
}

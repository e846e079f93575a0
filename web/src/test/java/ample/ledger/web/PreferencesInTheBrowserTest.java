package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a visitor prefers, chosen and seen. */
@ExtendWith({RunningLedger.class, InChromium.class})
class PreferencesInTheBrowserTest {

    @Test
    void preferencesHoldForGuestsWithoutScripts(Tabs tabs, Ledger ledger) {
        Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        page.navigate(ledger.page("browse?from=13:00"));
        page.locator(".me > summary").click();
        page.getByText("Preferences").click();
        page.getByLabel("9:30 am, 1 pm").check();
        page.getByLabel("Sunday").check();
        page.getByLabel("dark").check();
        page.getByLabel("Upper Fell").check();
        page.getByText("Save", new Page.GetByTextOptions().setExact(true)).click();

        assertThat(page).hasURL(ledger.page("browse?from=13:00"));
        assertThat(page.locator(".phrase").getByText("from 1 pm")).isVisible();
        assertThat(page.locator("#paint .head text").first()).hasText("Sun");
        assertThat(page.locator("html")).hasAttribute("data-theme", "dark");
        assertThat(page.locator(".line .away").first()).hasText("not your campus");
        assertThat(page.locator(".line .when").filter(new Locator.FilterOptions().setHasText(" pm")))
                .not()
                .hasCount(0);
    }

    @Test
    void singleKeysAreTurnedOff(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=tide"));
        assertThat(page.locator("#find")).hasAttribute("title", "Find by a line of text ( / )");
        page.keyboard().press("/");
        assertThat(page.locator("#find")).isFocused();
        page.keyboard().type("w?");
        assertThat(page.locator("#find")).hasValue("w?");
        page.locator(".me > summary").click();
        page.getByText("Preferences").click();
        page.getByLabel("off").check();
        page.getByText("Save", new Page.GetByTextOptions().setExact(true)).click();

        for (String key : List.of("/", "?", "j", "w")) {
            page.keyboard().press(key);
        }
        assertThat(page).hasURL(ledger.page("browse?subject=tide"));
        assertThat(page.locator("#find")).not().isFocused();
        assertThat(page.locator("#find")).hasAttribute("title", "Find by a line of text");
        assertThat(page.locator("#keys")).hasCount(0);
        assertThat(page.locator(".line :focus")).hasCount(0);
    }
}

package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What students look for, typed in one line or asked for in the editors. */
@ExtendWith({RunningLedger.class, InChromium.class})
class FindingInTheBrowserTest {

    @Test
    void severalWantedCoursesAreTypedInOneLineAndWhatWasUnderstoodIsSaid(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse"));

        page.keyboard().press("/");
        page.keyboard().type("glac 240, tide 214 after 8 blorp");
        assertThat(page.locator("#preview .stretch")).hasCount(3);
        assertThat(page.locator("#preview .unread")).containsText("blorp");
        page.keyboard().press("Enter");

        assertThat(page).hasURL(Pattern.compile(".*/browse\\?number=glac:240,tide:214&from=08:00&heard=.*"));
        assertThat(page.locator("#heard .unread")).containsText("not understood");
        assertThat(page.locator(".course .code").first()).hasText("GLAC 240d");
        page.getByLabel("Remove “after 8”").click();
        assertThat(phrase(page, "at any time")).isVisible();

        page.locator("#find").fill("blorp");
        page.locator("#find").press("Enter");
        assertThat(page.locator("#heard")).containsText("Nothing in this line was understood");
        assertThat(page).hasURL(Pattern.compile(".*/browse\\?number=glac:240,tide:214&heard=blorp"));
    }

    @Test
    void aSuggestionIsTakenWithTheKeyboard(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse"));
        page.locator("#find").fill("estu");
        assertThat(page.locator("#suggestions li").first()).containsText("Estuary Hydraulics");

        page.locator("#find").press("ArrowDown");
        page.locator("#find").press("Enter");
        assertThat(page.locator("#find")).hasValue("tide 214 ");
        page.locator("#find").press("Enter");

        assertThat(page).hasURL(Pattern.compile(".*/browse\\?number=tide:214&heard=.*"));
    }

    @Test
    void oneRequirementIsLeftAndNearMissesSayWhatWouldDo(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?at=tidewall&from=10:00&toward=field-practice"));
        Locator miss = page.locator(".miss, .stray li").first();
        assertThat(miss).isVisible();
        String entry = miss.locator("a.entry").textContent();
        assertThat(page.locator("#e" + entry)).hasCount(0);

        miss.locator("a").last().click();

        assertThat(page.locator("#e" + entry)).hasCount(1);
    }

    @Test
    void eveningsAndOnlineOnlyAreAsked(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse"));
        phrase(page, "at any time").click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("From 17:00"))
                .click();
        assertThat(phrase(page, "from 17:00")).isVisible();
        page.getByText("Add a condition").click();
        page.locator(".panel.more").getByText("Delivery").click();
        page.getByLabel(Pattern.compile("^Online, at set times|^Online timed")).check();
        assertThat(page).hasURL(ledger.page("browse?from=17:00&delivery=online-timed"));
        assertThat(page.locator(".line")).not().hasCount(0);
        for (String where : page.locator(".line .c-where").allTextContents()) {
            assertThat(where).contains("Online");
        }
    }

    private static Locator phrase(Page page, String text) {
        return page.locator(".phrase > a", new Page.LocatorOptions().setHasText(Pattern.compile("^" + text + "$")));
    }
}

package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Nobody loses the place where they were. */
@ExtendWith({RunningLedger.class, InChromium.class})
class WayBackInTheBrowserTest {

    @Test
    void backFromASheetIsTheSameLineWithTheSameOnesOpen(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse"));
        Locator wanted = page.locator("#e40441");
        for (int wheel = 0; wheel < 60 && wanted.count() == 0; wheel++) {
            page.mouse().wheel(0, 250);
            page.waitForTimeout(150);
        }
        wanted.scrollIntoViewIfNeeded();
        wanted.locator("a.look").click();
        assertThat(page.locator("#look-40441")).isVisible();
        Locator read = wanted.locator(".c-entry a");
        // As it stands when it is clicked: the wheel may still be turning before.
        page.evaluate("""
                addEventListener('click', () => sessionStorage.setItem(
                    'top', document.getElementById('e40441').getBoundingClientRect().top), true)""");

        read.click();
        assertThat(page.locator("body.screen-sheet")).isVisible();
        page.goBack();

        assertThat(page.locator("#look-40441")).isVisible();
        page.waitForFunction("""
                () => Math.abs(
                    document.getElementById('e40441').getBoundingClientRect().top - sessionStorage.getItem('top')) < 3""");
        assertThat(page).hasURL(Pattern.compile(".*look=40441.*"));
    }

    @Test
    void signingInLeadsBackToTheSamePageAndBrief(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        String brief = ledger.page("browse?subject=tide&days=only:mon");
        page.navigate(brief);
        page.locator(".me > summary").click();
        page.locator(".me").getByText("Sign in").click();
        page.getByLabel("Name").fill("maris");
        page.getByLabel("Password").fill("neap tide");
        page.keyboard().press("Enter");

        assertThat(page).hasURL(brief);
        assertThat(page.locator(".me > summary b")).hasText("maris");
        page.locator(".me > summary").click();
        page.locator(".me").getByText("My record").click();
        assertThat(page.locator("h1")).hasText("My record");
        page.getByText("Back").click();
        assertThat(page).hasURL(brief);
    }

    @ParameterizedTest
    @CsvSource({
        "maris, /autumn-2031/browse",
        "maris, /autumn-2031/section/40220",
        "maris, /autumn-2031/course/numb-112",
        "maris, /autumn-2031/line-up?line=40101",
        "maris, /autumn-2031/week",
        "maris, /record",
        "maris, /preferences",
        "maris, /no/such/page",
        "maris, /spring-1999/browse",
        "maris, /autumn-2031/section/99999",
        "desk, /desk",
        "desk, /desk/terms/autumn-2031"
    })
    void everyPageHasTheSameHead(String name, String address, Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        visitor.signIn(name);

        String page = visitor.get(address).body();

        assertThat(page)
                .contains("<b>" + name + "</b>")
                .contains("href=\"/preferences?back=")
                .contains(name.equals("desk") ? "href=\"/desk\"" : "href=\"/record?back=")
                .contains("Sign out")
                .contains("My week");
    }
}

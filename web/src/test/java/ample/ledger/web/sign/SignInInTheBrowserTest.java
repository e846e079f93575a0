package ample.ledger.web.sign;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import ample.ledger.web.InChromium;
import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A student signs in from the middle of a search, comes back to it, reads what the institution knows, and leaves nothing behind. */
@ExtendWith({RunningLedger.class, InChromium.class})
class SignInInTheBrowserTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            wren   | true  | Registration opens for you Fri 20 Jun, 8:00   | Placements
            wren   | false | Registration opens for you Fri 20 Jun, 8:00   | Placements
            maris  | true  | Registration opened for you Mon 16 Jun, 8:00  | Ice, Snow and Meltwater
            maris  | false | Registration opened for you Mon 16 Jun, 8:00  | in progress
            tamsin | true  | Registration opens for you Wed 18 Jun, 8:00   | Still owed:
            tamsin | false | Registration opens for you Wed 18 Jun, 8:00   | Still owed:
            odo    | true  | Registration opened for you Tue 10 Jun, 8:00  | Still owed: Public good
            odo    | false | Registration opened for you Tue 10 Jun, 8:00  | Still owed: Public good
            bryn   | true  | The library stops you from registering        | Two books are overdue.
            bryn   | false | The library stops you from registering        | Two books are overdue.
            """)
    void signInFromTheMiddleOfASearchAndOutAgain(
            String student, boolean scripts, String opening, String record, Tabs tabs, Ledger ledger) {
        Page page = tabs.open(
                new Browser.NewContextOptions().setJavaScriptEnabled(scripts).setViewportSize(1280, 800));
        String brief = ledger.page("browse?subject=tide&days=only:mon");
        page.navigate(brief);
        menu(page, "Sign in");
        assertThat(page.locator("body")).containsText("the demo institution");
        page.getByLabel("Name").fill(student);
        page.getByLabel("Password").fill("neap tide");
        page.keyboard().press("Enter");
        assertThat(page).hasURL(brief);

        menu(page, "When you may register");
        assertThat(page.locator("main")).containsText(opening);
        menu(page, "My record");
        assertThat(page.locator("main")).containsText(record);
        assertThat(page.locator("main")).containsText("as the registrar has it");
        page.getByLabel("If I pass").fill("LOOM 262");
        page.getByText("Save what-if lines").click();
        page.navigate(ledger.page("browse?record=what-if"));
        assertThat(page.locator("#brief")).containsText("in your what-if lines");
        page.navigate(ledger.root() + "/record");
        page.getByText("Remove what-if lines").click();
        assertThat(page.getByLabel("If I pass")).hasValue("");
        page.navigate(ledger.page("browse?edit=may-take"));
        page.locator("#field-may-yes").check();
        page.locator("form.editor .doing button").click();
        assertThat(page).hasURL(ledger.page("browse?may=yes"));
        assertThat(page.locator("#brief")).containsText("that you may take");

        page.locator(".me > summary").click();
        page.locator(".me").getByText("Sign out").click();
        assertThat(page.locator(".me > summary b")).hasText("Guest");
        page.navigate(ledger.root() + "/record");
        assertThat(page.locator("main")).not().containsText("as the registrar has it");
        menu(page, "Sign in");
        assertThat(page.getByLabel("Password")).isVisible();
    }

    private static void menu(Page page, String entry) {
        page.locator(".me > summary").click();
        page.locator(".me").getByText(entry).click();
    }
}

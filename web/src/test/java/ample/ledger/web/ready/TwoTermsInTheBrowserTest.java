package ample.ledger.web.ready;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.InChromium;
import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.Institution;
import ample.ledger.web.LedgerInstance;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** One plan of two terms, each of a registrar of its own. */
@ExtendWith(InChromium.class)
class TwoTermsInTheBrowserTest {

    @Test
    void eachTermIsASubmissionOfItsOwnTheEarlierFirst(@TempDir Path folder, Tabs tabs) throws IOException {
        Path quarter = Schedules.repository().resolve("demo/bundles/quarter-autumn-2031");
        Files.createSymbolicLink(folder.resolve("autumn"), Schedules.kernel());
        Files.createSymbolicLink(folder.resolve("quarter"), quarter);
        TestDatabase database = TestDatabase.create();
        LedgerInstance.start(database, "--ledger.post=" + quarter).close();
        try (Institution institution =
                        Institution.start("--standin.bundles=" + folder, "--standin.clock=2031-09-02T09:00:00Z");
                LedgerInstance ledger = LedgerInstance.start(
                        database,
                        "--ledger.post=" + Schedules.kernel(),
                        "--ledger.sign-in.issuer=" + institution.root(),
                        "--ledger.registrar.address=" + institution.registrar(),
                        "--ledger.clock=2031-09-02T09:00:00Z")) {
            Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
            // The later term is planned first.
            page.navigate(ledger.root() + "/sign-in/begin/institution?back=/quarter-autumn-2031/section/70085");
            page.getByLabel("Name").fill("student-31");
            page.getByLabel("Password").fill(Institution.PASSWORD);
            page.keyboard().press("Enter");
            takeIn(page);
            page.navigate(ledger.root() + "/autumn-2031/section/40413");
            takeIn(page);

            page.navigate(ledger.root() + "/autumn-2031/ready");
            Locator lines = page.locator(".ledger tbody");
            assertThat(lines.nth(0)).containsText("MYCO 101 X1z");
            assertThat(lines.nth(1)).containsText("81-131/A.1+n");
            assertThat(page.locator(".doing")).containsText("as 2 submissions, one for each term, the earlier first");
            page.locator(".doing button.main").click();

            assertThat(lines.nth(0)).containsText("Done: you are registered.");
            assertThat(lines.nth(1)).containsText("Done: you are registered.");
            page.navigate(ledger.root() + "/autumn-2031/registration");
            Locator history = page.locator("section[aria-labelledby='history'] details");
            assertThat(history).hasCount(2);
            assertThat(history.nth(0)).containsText("81-131/A.1+n");
            assertThat(history.nth(1)).containsText("MYCO 101 X1z");

            // Quick find changes the college where a line names the other one.
            page.locator("#find").fill("level 1 at Saltern");
            page.locator("#find").press("Enter");
            assertThat(page).hasURL(Pattern.compile(".*/quarter-autumn-2031/browse\\?level=1&heard=.*"));
        }
    }

    private static void takeIn(Page page) {
        page.locator("form[action$='/week/add'] button").first().click();
    }
}

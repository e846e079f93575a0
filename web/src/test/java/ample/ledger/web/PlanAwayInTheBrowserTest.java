package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Plans that leave the page: shown to others, taken along at sign-in, taken away and brought back. */
@ExtendWith({RunningLedger.class, InChromium.class})
class PlanAwayInTheBrowserTest {

    @Test
    void aPlanIsSharedWithAnAdviserAndWithdrawn(Tabs tabs, Ledger ledger) {
        Page student = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        WeekInTheBrowserTest.add(student, ledger, "40129,40136");
        student.navigate(ledger.page("week"));
        student.getByText("Share with an adviser").click();
        student.getByText("Subscribe from a calendar").click();
        String address = student.locator(".shares .address").first().getAttribute("href");
        String calendar = student.locator(".shares .address").nth(1).getAttribute("href");

        Page adviser = tabs.open();
        adviser.navigate(ledger.root() + address);
        assertThat(adviser.locator("h1")).hasText("Plan A, Autumn 2031");
        assertThat(adviser.locator(".troubles")).containsText("Take with NUMB 210");
        assertThat(adviser.locator(".my-week form, .my-week button:visible")).hasCount(1);
        Assertions.assertThat(adviser.request().get(ledger.root() + calendar).text())
                .contains("SUMMARY:TIDE 214 T1")
                .startsWith("BEGIN:VCALENDAR");
        Assertions.assertThat(adviser.request()
                        .get(ledger.root() + calendar.replace("/calendar.ics", ""))
                        .status())
                .as("for a calendar, not to be read")
                .isEqualTo(404);

        adviser.setViewportSize(360, 740);
        adviser.getByLabel("Thursday, 1", new Page.GetByLabelOptions().setExact(true))
                .click();
        assertThat(adviser.locator(".one-day ol")).containsText("TIDE 214 T1-a");
        assertThat(adviser.locator("h1")).hasText("Plan A, Autumn 2031");
        adviser.setViewportSize(1280, 800);

        student.getByLabel("Remove 40136").click();
        adviser.reload();
        assertThat(adviser.locator(".troubles")).containsText("TIDE 214 T1 needs a lab with it.");

        student.getByLabel("Withdraw " + address).click();
        Assertions.assertThat(adviser.reload().status()).isEqualTo(404);
    }

    @Test
    void aGuestsPlanIsKeptAtSignIn(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        WeekInTheBrowserTest.add(page, ledger, "40574");
        SignIn.in(page, ledger.root(), "maris");
        page.navigate(ledger.page("week"));
        assertThat(page.locator("#entries")).hasText("40574");

        Page elsewhere = tabs.open();
        SignIn.in(elsewhere, ledger.root(), "maris");
        elsewhere.navigate(ledger.page("week"));
        assertThat(elsewhere.locator("#entries")).hasText("40574");
        elsewhere.getByLabel("Remove 40574").click();
        assertThat(elsewhere.locator("#entries")).hasCount(0);

        Page another = tabs.open();
        SignIn.in(another, ledger.root(), "odo");
        another.navigate(ledger.page("week"));
        assertThat(another.locator("#entries")).hasCount(0);
    }

    @Test
    void aPlanIsTakenAwayAndBroughtBack(Tabs tabs, Ledger ledger) throws Exception {
        Page page = tabs.open();
        WeekInTheBrowserTest.add(page, ledger, "40129,40136");
        page.navigate(ledger.page("week"));
        Download download =
                page.waitForDownload(() -> page.getByText("This plan as a file").click());
        Assertions.assertThat(download.suggestedFilename()).isEqualTo("plan-a-autumn-2031.json");
        byte[] plan = Files.readAllBytes(download.path());

        Page other = tabs.open();
        other.navigate(ledger.page("week"));
        other.locator("summary").getByText("Import a plan").click();
        other.getByLabel("A plan file (.json)").setInputFiles(new FilePayload("p.json", "application/json", plan));
        other.locator("form[action$='/week/bring'] button").click();
        assertThat(other.locator("#entries")).hasText("40129\n40136");
        assertThat(other.getByText("“Plan A” imported.")).isVisible();

        other.getByLabel("A plan file (.json)")
                .setInputFiles(new FilePayload("p.json", "application/json", "{}".getBytes(StandardCharsets.UTF_8)));
        other.locator("form[action$='/week/bring'] button").click();
        assertThat(other.locator("[role=alert]")).containsText("This is not a plan of Ample Ledger");
        assertThat(other.locator("#entries")).hasText("40129\n40136");
    }
}

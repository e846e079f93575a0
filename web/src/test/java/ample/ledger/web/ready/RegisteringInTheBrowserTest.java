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
import com.microsoft.playwright.assertions.LocatorAssertions.ContainsTextOptions;
import com.microsoft.playwright.assertions.LocatorAssertions.IsEnabledOptions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** From a plan to seats, as students do it. */
@ExtendWith(InChromium.class)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class RegisteringInTheBrowserTest {

    private static Institution institution;
    private static LedgerInstance ledger;

    @BeforeAll
    static void start() {
        // Before the second-year student's opening.
        institution = Institution.start("--standin.clock=2031-06-15T08:41:00Z");
        ledger = LedgerInstance.start(
                TestDatabase.create(),
                "--ledger.post=" + Schedules.kernel(),
                "--ledger.sign-in.issuer=" + institution.root(),
                "--ledger.registrar.address=" + institution.registrar(),
                "--ledger.registrar.follow-clock=true",
                "--ledger.clock=2031-06-15T08:41:00Z",
                "--ledger.limits.sign-ins=1000");
    }

    @AfterAll
    static void stop() {
        ledger.close();
        institution.close();
    }

    private static Page signedIn(Tabs tabs, String student, boolean scripts) {
        Page page = tabs.open(
                new Browser.NewContextOptions().setJavaScriptEnabled(scripts).setViewportSize(1280, 800));
        page.navigate(ledger.root() + "/sign-in/begin/institution?back=/autumn-2031/ready");
        page.getByLabel("Name").fill(student);
        page.getByLabel("Password").fill(Institution.PASSWORD);
        page.keyboard().press("Enter");
        assertThat(page.locator("h1")).hasText("Readiness");
        return page;
    }

    /** Takes sections in from their sheets. */
    private static void plan(Page page, String... entries) {
        for (String entry : entries) {
            page.navigate(ledger.root() + "/autumn-2031/section/" + entry);
            page.locator("form[action$='/week/add'] button").first().click();
        }
        page.navigate(ledger.root() + "/autumn-2031/ready");
    }

    private static Locator submit(Page page) {
        return page.locator(".doing button.main");
    }

    private static Locator line(Page page, String name) {
        return page.locator("tbody", new Page.LocatorOptions().setHasText(name));
    }

    @Test
    @Order(1)
    void whoHasAHoldIsToldWhoLiftsIt(Tabs tabs) {
        Page page = signedIn(tabs, "bryn", true);
        plan(page, "40281");

        assertThat(line(page, "CART 210 T1")).containsText("a hold");
        assertThat(page.locator(".says")).containsText("needs something first");
        page.getByText("Who lifts the hold").click();
        assertThat(page.locator("main")).containsText("The library desk lifts it");
    }

    /** In the second year of Glaciology: a lab is missing, and a studio is full. */
    @Test
    @Order(2)
    void theSecondYearStudentMendsTwoThingsAndSubmitsAtTheOpening(Tabs tabs) throws Exception {
        Page page = signedIn(tabs, "maris", true);
        plan(page, "40129", "40302");

        assertThat(page.locator(".says")).containsText("need something first");
        line(page, "TIDE 214 T1").getByText("Add TIDE 214 T1-").first().click();
        line(page, "CART 331 T2").getByText("Wait: you would be").click();
        assertThat(page.locator(".says")).containsText("would go through at your opening");
        assertThat(submit(page)).isDisabled();

        institution.moveClock("2031-06-16T08:00");

        assertThat(submit(page)).isEnabled(new IsEnabledOptions().setTimeout(60_000));
        submit(page).click();
        assertThat(line(page, "TIDE 214 T1")).containsText("Done: you are registered.");
        assertThat(line(page, "CART 331 T2")).containsText("you wait, 3rd of 3");
    }

    /** Before the opening two things are mended; at the opening, without a hand on the page, it can be sent. */
    @Test
    @Order(3)
    void readyBeforeTheOpeningAndSubmittedAtIt(Tabs tabs) throws Exception {
        Page page = signedIn(tabs, "tamsin", true);
        plan(page, "40630", "40108", "40413");

        assertThat(page.locator(".says")).containsText("One of three would go through at your opening");
        assertThat(line(page, "MYCO 101 X1z")).containsText("from Wed 18 Jun, 8:00");
        assertThat(submit(page)).isDisabled();
        assertThat(submit(page)).containsText("from Wed 18 Jun, 8:00");
        line(page, "NUMB 210 T1").getByText("Add NUMB 210 T1-a").click();
        assertThat(line(page, "NUMB 210 T1")).containsText("with discussion");
        line(page, "TIDE 110 T2").getByText("Wait: you would be").click();
        assertThat(line(page, "TIDE 110 T2")).containsText("you would be");
        assertThat(page.locator(".says")).containsText("would go through at your opening");

        institution.moveClock("2031-06-18T08:00");

        assertThat(submit(page)).isEnabled(new IsEnabledOptions().setTimeout(60_000));
        submit(page).click();
        assertThat(page.locator(".told").first()).containsText("The registrar answered at 8:0");
        assertThat(line(page, "NUMB 210 T1")).containsText("Done: you are registered.");
        assertThat(line(page, "TIDE 110 T2")).containsText("you wait, ");
        assertThat(page.locator(".says")).containsText("Nothing is left to submit");

        page.reload();
        page.goBack();
        page.navigate(ledger.root() + "/autumn-2031/registration");
        assertThat(page.locator("section[aria-labelledby='history'] details")).hasCount(1);
        assertThat(page.locator("section[aria-labelledby='waiting']")).containsText("TIDE 110 T2");
        page.navigate(ledger.root() + "/autumn-2031/week");
        assertThat(page.locator("table.entries")).containsText("registered");
        assertThat(page.locator("table.entries")).containsText("who wait");
        page.navigate(ledger.root() + "/autumn-2031/section/40630");
        assertThat(page.locator("main")).containsText("You are registered.");

        // From here on registration has opened for everybody.
        institution.moveClock("2031-06-20T09:00");
    }

    @ParameterizedTest
    @CsvSource({"student-31, true", "student-32, false"})
    @Order(4)
    void aSeatIsHadSwappedAndGivenUp(String student, boolean scripts, Tabs tabs) {
        Page page = signedIn(tabs, student, scripts);
        plan(page, "40413");
        submit(page).click();
        assertThat(line(page, "MYCO 101 X1z")).containsText("Done: you are registered.");

        page.navigate(ledger.root() + "/autumn-2031/registration");
        page.getByText("Drop or swap").click();
        assertThat(page.locator("section[aria-labelledby='drop']")).containsText("full refund");
        page.getByText("Swap for it").first().click();
        assertThat(page.locator(".told")).containsText("Done: you have this one now.");
        assertThat(page.locator("section[aria-labelledby='term-0']")).not().containsText("MYCO 101 X1z");

        page.getByText("Drop or swap").click();
        page.getByText("Drop it now").click();
        assertThat(page.locator(".told")).containsText("Done: dropped.");
        assertThat(page.locator(".says")).containsText("not registered in anything yet");
    }

    /** A lecture with its discussion. */
    @Test
    @Order(5)
    void twoWindowsAskForOneSeatOnce(Tabs tabs) {
        Page page = signedIn(tabs, "student-33", false);
        plan(page, "40257", "40264");
        Page second = page.context().newPage();
        second.navigate(ledger.root() + "/autumn-2031/ready");

        submit(page).click();
        submit(second).click();

        assertThat(line(page, "CART 105 T1")).containsText("Done: you are registered.");
        assertThat(line(second, "CART 105 T1")).containsText("You are registered in CART 105 T1.");
        second.navigate(ledger.root() + "/autumn-2031/registration");
        assertThat(second.locator(".says")).containsText("registered in 1 course");
    }

    /** One seat is left. Whoever comes second waits, is offered it, and takes it up; the next lets it lapse. */
    @Test
    @Order(6)
    void aPlaceOnTheWaitlistBecomesASeat(Tabs tabs) throws Exception {
        Page first = signedIn(tabs, "student-41", true);
        plan(first, "40702");
        submit(first).click();
        assertThat(line(first, "RHET 101 X1v")).containsText("Done: you are registered.");
        first.navigate(ledger.root() + "/autumn-2031/week");
        assertThat(first.locator("main")).not().containsText("has no open seat");
        Page second = waiting(tabs, "student-42", "1st of 1");
        Page third = waiting(tabs, "student-43", "2nd of 2");

        drop(first);
        second.navigate(ledger.root() + "/autumn-2031/registration");
        assertThat(second.locator("section[aria-labelledby='offers']")).containsText("kept for you until");
        second.getByText("Take it up").click();
        assertThat(second.locator(".told")).containsText("Done: you are registered.");

        drop(second);
        third.navigate(ledger.root() + "/autumn-2031/registration");
        assertThat(third.locator("section[aria-labelledby='offers']")).containsText("in 3");
        institution.moveClock("2031-06-24T09:00");
        third.waitForTimeout(3_000);
        third.navigate(ledger.root() + "/autumn-2031/registration");
        assertThat(third.locator(".says")).containsText("not registered in anything yet");
    }

    private static Page waiting(Tabs tabs, String student, String place) {
        Page page = signedIn(tabs, student, true);
        plan(page, "40702");
        line(page, "RHET 101 X1v").getByText("Wait: you would be").click();
        assertThat(line(page, "RHET 101 X1v")).containsText("you would be " + place);
        submit(page).click();
        assertThat(line(page, "RHET 101 X1v")).containsText("you wait, " + place);
        return page;
    }

    private static void drop(Page page) {
        page.navigate(ledger.root() + "/autumn-2031/registration");
        page.getByText("Drop or swap").click();
        page.getByText("Drop it now").click();
        assertThat(page.locator(".told")).containsText("Done: dropped.");
    }

    /** The institution ends between asking and hearing, and comes back. */
    @Test
    @Order(7)
    void aBrokenLineIsMendedWithoutTheStudent(Tabs tabs) {
        Page page = signedIn(tabs, "student-34", true);
        plan(page, "40413");
        assertThat(submit(page)).isEnabled();

        institution.kill();
        try {
            submit(page).click();
            assertThat(page.locator(".told, .says")
                            .filter(new Locator.FilterOptions().setHasText("not"))
                            .first())
                    .isVisible();
        } finally {
            institution.startAgain();
        }

        assertThat(page.locator("main"))
                .containsText("Done: you are registered.", new ContainsTextOptions().setTimeout(90_000));
        page.navigate(ledger.root() + "/autumn-2031/registration");
        assertThat(page.locator("section[aria-labelledby='history'] details")).hasCount(1);
    }

    /** The last seat goes to another while one looks at it. */
    @Test
    @Order(8)
    void whoSwapsForASeatThatIsGoneKeepsTheirOwn(Tabs tabs) {
        Page page = signedIn(tabs, "student-45", true);
        plan(page, "40709");
        submit(page).click();
        assertThat(line(page, "RHET 101 X2z")).containsText("Done: you are registered.");
        page.navigate(ledger.root() + "/autumn-2031/registration");
        page.getByText("Drop or swap").click();
        Locator last = page.locator("tr", new Page.LocatorOptions().setHasText("RHET 101 X1v"));
        assertThat(last).containsText("has a seat for you");
        Page other = signedIn(tabs, "student-46", true);
        plan(other, "40702");
        submit(other).click();
        assertThat(line(other, "RHET 101 X1v")).containsText("Done: you are registered.");

        last.getByText("Swap for it").click();

        assertThat(page.locator(".told")).containsText("No seat of RHET 101 X1v is free");
        assertThat(page.locator("section[aria-labelledby='term-0']")).containsText("RHET 101 X2z");
    }

    /** The same student, when fees are no longer paid back. */
    @Test
    @Order(9)
    void whoDropsLateIsWarnedOfWhatItCosts(Tabs tabs) throws Exception {
        institution.moveClock("2031-09-23T09:00");
        Page page = signedIn(tabs, "student-45", true);
        page.navigate(ledger.root() + "/autumn-2031/registration");
        page.getByText("Drop or swap").click();

        assertThat(page.locator("#drop ~ ul .fails"))
                .containsText("Over: Last day to drop with a full refund was Wed 17 Sep");
        page.getByText("Drop it now").click();
        assertThat(page.locator(".told")).containsText("Done: dropped.");
    }
}

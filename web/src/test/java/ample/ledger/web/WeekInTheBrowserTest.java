package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A student puts a week together, mends it, weaves it and takes it away. */
@ExtendWith({RunningLedger.class, InChromium.class})
class WeekInTheBrowserTest {

    private static final String WORK = """
            BEGIN:VCALENDAR
            VERSION:2.0
            PRODID:-//Test//EN
            BEGIN:VEVENT
            UID:shift
            SUMMARY:Ferry crew
            DTSTART:20310908T080000
            DTEND:20310908T123000
            RRULE:FREQ=WEEKLY;BYDAY=MO,WE
            END:VEVENT
            END:VCALENDAR
            """.replace("\n", "\r\n");

    @Test
    void aWeekIsBuiltFromBrowse(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=numb"));
        page.locator("#e40595 .add").click();
        page.navigate(ledger.page("browse?subject=myco"));
        page.locator("#e40413 .add").click();
        assertThat(page.locator("#e40413 .kept")).isVisible();
        page.waitForLoadState();
        page.keyboard().press("w");

        assertThat(page.locator("h1")).hasText("My week");
        assertThat(page.getByLabel(
                        "NUMB 112 Y1, lecture, Mon Wed Fri 9:00–9:50", new Page.GetByLabelOptions().setExact(false)))
                .hasCount(3);
        assertThat(page.locator(".untimed")).containsText("MYCO 101");
        assertThat(page.getByText("None. This week will stand.")).isVisible();
        assertThat(page.locator("#entries")).hasText("40595\n40413");
        assertThat(page.locator(".account .total")).containsText("7");
        assertThat(page.getByText("Part time: full time begins at 12 credits.")).isVisible();

        page.getByLabel("What fits on Mon 9:50–18:00").click();
        assertThat(page.locator(".brief")).containsText("on Mon");
        assertThat(page.locator(".brief")).containsText("in your plan");
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aClashIsMendedByASwapAndTakenBack(boolean scripts, Tabs tabs, Ledger ledger) {
        Page page = tabs.open(
                new Browser.NewContextOptions().setJavaScriptEnabled(scripts).setViewportSize(1280, 800));
        add(page, ledger, "40129,40138,40723");
        page.navigate(ledger.page("week"));
        assertThat(trouble(page, "TIDE 214 T1 and RHET 205 T2"))
                .containsText("80 minutes shared, 7 times on Mondays, the first on Mon 8 Sep");
        assertThat(page.locator(".bands .hatch")).hasCount(1);

        trouble(page, "TIDE 214 T1 and RHET 205 T2")
                .getByText("RHET 205 T1 instead of RHET 205 T2")
                .click();
        assertThat(trouble(page, "at the same time")).hasCount(0);
        assertThat(trouble(page, "RHET 205 T1 has no open seat")).hasCount(1);
        assertThat(page.locator(".bands .hatch")).hasCount(0);
        assertThat(page.locator("#entries")).containsText("40716");

        assertThat(page.getByText("Copy the entry numbers"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setVisible(scripts));

        page.getByText("Undo").click();
        assertThat(page.locator("#entries")).containsText("40723");
    }

    /** The ghosts of what is selected take its place; all by the keyboard. */
    @Test
    void anotherSectionIsChosenOnTheWeekItself(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        add(page, ledger, "40588");
        page.navigate(ledger.page("week"));
        page.locator(".bands a:has(.block)").first().focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#selected-title")).containsText("NUMB 112 F1");
        assertThat(page.locator(".bands .ghosts")).not().hasCount(0);

        page.getByLabel(Pattern.compile("Instead: NUMB 112 T1.*")).first().focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#entries")).hasText("40574");
    }

    /** Common practice, no source: two half-term courses in one slot, in different halves, do not clash. */
    @Test
    void twoHalfTermCoursesShareASlot(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        add(page, ledger, "40723,40274");
        page.navigate(ledger.page("week"));

        assertThat(page.getByText("None that is known here.")).isVisible();
        Locator monday = page.locator(".band[data-day=mon]");
        assertThat(monday.getByLabel(Pattern.compile("RHET 205 T2.*first half.*")))
                .hasCount(1);
        assertThat(monday.getByLabel(Pattern.compile("CART 210 Y1.*second half.*")))
                .hasCount(1);

        page.getByLabel(Pattern.compile("Week of Mon 10 Nov.*")).click();
        assertThat(page.locator(".band[data-day=mon]").getByLabel(Pattern.compile("RHET 205.*")))
                .hasCount(0);
        assertThat(page.locator(".band[data-day=mon]").getByLabel(Pattern.compile("CART 210.*")))
                .hasCount(1);
        assertThat(page).hasURL(Pattern.compile(".*week=2031-11-10.*"));
        page.goBack();
        assertThat(page).hasURL(ledger.page("week"));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aWorkCalendarIsBroughtInAndWovenAround(boolean scripts, Tabs tabs, Ledger ledger) {
        Page page = tabs.open(
                new Browser.NewContextOptions().setJavaScriptEnabled(scripts).setViewportSize(1280, 800));
        page.navigate(ledger.page("week"));
        page.locator("summary").getByText("Import a calendar").click();
        page.getByLabel("A calendar file (.ics) of your own")
                .setInputFiles(new FilePayload("work.ics", "text/calendar", WORK.getBytes(StandardCharsets.UTF_8)));
        page.locator("form[action$='/week/calendar'] button").click();
        assertThat(page.getByText("1 busy time imported from “work.ics”.")).isVisible();
        assertThat(page.locator(".busy")).containsText("Mon Wed 8:00–12:30");

        page.getByLabel("Courses wanted").fill("numb 112, RHET 205 or RHET 101, MYCO 101");
        page.getByLabel("Wish 1").selectOption("few-gaps");
        page.locator(".weave .asks button").click();
        assertThat(page.locator(".weave .say")).containsText("None is better than these.");
        page.locator(".woven > li").first().locator("summary").click();
        assertThat(page.locator(".woven > li").first()).containsText(Pattern.compile("NUMB 112 (F1|X1v)"));

        page.getByLabel("Use week 1").click();
        assertThat(page.locator(".bands .hatch")).hasCount(0);
        assertThat(trouble(page, "at the same time")).hasCount(0);
        assertThat(page.locator("#entries")).containsText(Pattern.compile("405 ?88|40602|40588"));
        page.locator(".undo button").click();
        assertThat(page.locator("#entries")).hasCount(0);
    }

    @Test
    void aWovenWeekIsDrawnIntoThePlanWhilePointedAt(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("week?weave=1&want=NUMB 112, RHET 101&wish=free-fri"));
        assertThat(page.locator(".preview-of.shown")).hasCount(0);
        page.locator(".woven > li").nth(1).hover();
        assertThat(page.locator(".band .preview-of.shown .block").first()).isVisible();
        page.locator("h1").hover();
        assertThat(page.locator(".preview-of.shown")).hasCount(0);
        page.locator(".woven > li > a").first().focus();
        assertThat(page.locator("[data-weave='1'].preview-of.shown").first()).isVisible();
    }

    @Test
    void whereNothingIsPossibleItSaysWhyAndWhatWouldHelp(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("week?weave=1&want=TIDE 214, NUMB 112, GLAC 180m&closed=wed"));

        assertThat(page.locator(".weave .say")).hasText("No week holds all that you want.");
        assertThat(page.locator(".why")).containsText("TIDE 214 does not fit because of the free hours Wed");
        assertThat(page.locator(".why")).containsText("leave out TIDE 214");
        assertThat(page.locator(".why")).containsText("give up the free hours Wed");
        page.locator(".why").getByText("give up the free hours Wed").click();
        assertThat(page.locator(".weave .say")).containsText("hold");
        assertThat(page.locator(".why")).hasCount(0);
        assertThat(page.getByLabel("Courses wanted")).hasValue("TIDE 214, NUMB 112, GLAC 180m");

        page.getByLabel("Courses wanted").fill("GLAX 1, NUMB 112");
        page.locator(".weave .asks button").click();
        assertThat(page.locator(".weave [role=alert]"))
                .containsText("“GLAX 1” is not a course here. Write its code or its title, like");
        assertThat(page.getByLabel("Courses wanted")).hasValue("GLAX 1, NUMB 112");
    }

    @Test
    void whatIsTypedWhileTheConnectionIsLostArrivesLater(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        add(page, ledger, "40574");
        page.navigate(ledger.page("week"));
        page.context().setOffline(true);
        page.locator("#notes").fill("Ask about the field day.");
        page.getByText("Save the notes").click();
        assertThat(page.locator("#offline")).containsText("The connection is lost.");
        assertThat(page.locator("#notes")).hasValue("Ask about the field day.");

        page.context().setOffline(false);
        assertThat(page.locator(".undo")).containsText("notes changed");
        assertThat(page.locator("#offline")).isHidden();
        page.reload();
        assertThat(page.locator("#notes")).hasValue("Ask about the field day.");
    }

    @Test
    void twoWindowsDoNotOverwriteEachOther(Tabs tabs, Ledger ledger) {
        Page one = tabs.open();
        add(one, ledger, "40574,40413");
        one.navigate(ledger.page("week"));
        Page other = one.context().newPage();
        other.navigate(ledger.page("week"));
        other.getByLabel("Remove 40413").click();
        assertThat(other.locator("#entries")).hasText("40574");

        one.locator("#notes").fill("mine");
        one.getByText("Save the notes").click();
        assertThat(one.locator("[role=alert]")).containsText("This plan was changed in another window.");
        assertThat(one.locator("[role=alert]")).containsText("MYCO 101 X1z removed");
        assertThat(one.locator("#entries")).hasText("40574");
        one.locator("#notes").fill("mine");
        one.getByText("Save the notes").click();
        assertThat(one.locator(".undo")).containsText("notes changed");
    }

    @Test
    void aBusyTimeIsDraggedAndWhatIsWrongWithItIsSaid(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        add(page, ledger, "40574");
        page.navigate(ledger.page("week"));
        var box = page.locator(".band[data-day=thu]").boundingBox();
        page.mouse().move(box.x + box.width * 0.2, box.y + 30);
        page.mouse().down();
        page.mouse().move(box.x + box.width * 0.3, box.y + 30);
        page.mouse().move(box.x + box.width * 0.4, box.y + 30);
        page.mouse().up();
        assertThat(page.getByLabel("From")).hasValue("10:00");
        assertThat(page.getByLabel("to", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("12:00");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add busy time"))
                .click();
        assertThat(page.locator("[role=alert]")).containsText("A busy time needs a name");
        assertThat(page.getByLabel("From")).hasValue("10:00");
        page.getByLabel("Name of the busy time").fill("Band practice");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add busy time"))
                .click();
        assertThat(page.locator(".busy")).containsText("Band practice Thu 10:00–12:00");
        assertThat(page.getByLabel("Band practice, busy, Thu 10:00–12:00")).hasCount(1);
    }

    @Test
    void aPhoneShowsOneDayUnderTheWeek(Tabs tabs, Ledger ledger) {
        Page page = tabs.open(new Browser.NewContextOptions().setViewportSize(360, 740));
        add(page, ledger, "40129,40136,40574");
        page.navigate(ledger.page("week"));
        assertThat(page.locator(".bands .grid")).isHidden();
        assertThat(page.locator(".one-day h2")).hasText("Monday");
        assertThat(page.locator(".one-day ol")).containsText("TIDE 214 T1");
        page.getByLabel("Thursday, 1", new Page.GetByLabelOptions().setExact(true))
                .click();
        assertThat(page.locator(".one-day h2")).hasText("Thursday");
        assertThat(page.locator(".one-day ol")).containsText("13:00–15:00");
    }

    static Locator trouble(Page page, String words) {
        return page.locator(".troubles > li").filter(new Locator.FilterOptions().setHasText(words));
    }

    static void add(Page page, Ledger ledger, String entries) {
        page.request()
                .post(
                        ledger.page("week/add"),
                        RequestOptions.create()
                                .setHeader("Sec-Fetch-Site", "same-origin")
                                .setForm(FormData.create().set("line", entries)));
    }
}

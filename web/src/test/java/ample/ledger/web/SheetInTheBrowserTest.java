package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A student reads the sheets of sections of several kinds, and finds out whether they may take them. */
@ExtendWith({RunningLedger.class, InChromium.class})
class SheetInTheBrowserTest {

    private static final String YEAR_LONG = "section/40220";

    @Test
    void recordSaysWhatIsMissingWithAndWithoutScripts(Tabs tabs, Ledger ledger) {
        for (boolean scripts : List.of(true, false)) {
            Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(scripts));
            page.navigate(ledger.page(YEAR_LONG));
            assertThat(page.locator(".tree > li")).containsText("both of");
            assertThat(page.locator(".verdict")).hasCount(0);

            page.getByText("Add your record to check this").click();
            page.getByLabel("One course a line").fill("GLAC 120 B+\nGlaciology");
            page.getByText("Save my record").click();
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("Line 2, “Glaciology”, is not a course");
            assertThat(page.getByLabel("One course a line")).hasValue("GLAC 120 B+\nGlaciology");

            page.getByLabel("One course a line").fill("GLAC 120 B+");
            page.getByText("Save my record").click();
            assertThat(page).hasURL(ledger.page(YEAR_LONG));
            assertThat(page.locator(".tree .verdict").first()).hasText("not met");
            assertThat(page.locator(".need .hint"))
                    .containsText("Any of these would do: TIDE 110 How Tides Work; or NUMB 112");

            page.getByText("Checked against the record you typed").click();
            page.getByLabel("Or a CSV file")
                    .setInputFiles(new FilePayload(
                            "record.csv", "text/csv", "course,grade\nTIDE 110,\n".getBytes(StandardCharsets.UTF_8)));
            page.getByText("Save my record").click();
            assertThat(page).hasURL(ledger.page(YEAR_LONG));
            assertThat(page.locator(".tree .verdict").first()).hasText("in progress");
            page.context().close();
        }
    }

    @Test
    void statusIsThatOfTheStudentWhoLooks(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page(YEAR_LONG));
        assertThat(page.locator("#seats-title ~ .say")).hasText("Open to students in years 2 to 6: 3 seats.");
        assertThat(page.locator("#seats-title ~ .hint").first()).containsText("Wed 18 Jun, 8:00 for 1 to 29 credits");
        assertThat(page.getByText("From Sat 2 Aug the 5 seats held")).isVisible();

        page.getByText("Add your record to check this").click();
        page.getByLabel("Credits earned").fill("24");
        page.getByLabel("Year of study").fill("1");
        page.getByLabel("Programme").selectOption("Glaciology");
        page.getByText("Save my record").click();
        assertThat(page.locator("#seats-title ~ .say"))
                .hasText("Not yet open: registration opens Wed 18 Jun, 8:00 for 1 to 29 credits.");
        assertThat(page.locator("#seats-title ~ .account tfoot td")).hasText("0");
        assertThat(page.locator("#seats-title ~ .account tbody tr").last()).containsText("Not yet open");
        assertThat(page.getByText("5 seats are held for Glaciology majors, so for you."))
                .isVisible();

        page.getByText("Checked against the record you typed").click();
        page.getByLabel("Credits earned").fill("40");
        page.getByText("Save my record").click();
        assertThat(page.locator("#seats-title ~ .say")).hasText("Open, but not to you: Second-year standing.");
        assertThat(page.getByText("Second-year standing. you may not")).isVisible();
    }

    /** Full with and without a waitlist, over-enrolled, all that is free held for others, cancelled. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    40108 | Full. 8 places of the waitlist are free; 7 people are waiting.
                    40190 | Full. There is no waitlist.
                    40148 | Full. There is no waitlist.
                    40539 | Open to Boat Building diploma students: 3 seats.
                    40406 | Cancelled. It will not be held.
                    """)
    void statusHasItsReason(String entry, String status, Tabs tabs, Ledger ledger) {
        Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        page.navigate(ledger.page("section/" + entry));

        assertThat(page.locator("#seats-title ~ .say")).hasText(status);
        assertThat(page.locator("#seats-title ~ .account tfoot td")).hasText("0");
        if (entry.equals("40539")) {
            assertThat(page.getByText("From Sat 6 Sep the 3 seats held for Boat Building"))
                    .isVisible();
        }
    }

    @Test
    void codeIsTakenApartInTheListToo(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=glac"));
        Locator line = page.locator("#e40220");
        String explained = "getComputedStyle(document.querySelector('#e40220 .c-section'), '::after').content";

        assertThat(line.locator(".c-section")).hasText("F3e");
        assertThat(page.evaluate(explained)).isEqualTo("none");
        page.keyboard().press("Tab");
        line.locator(".c-entry a").focus();
        assertThat((String) page.evaluate(explained)).contains("F Upper Fell campus, 3 third section here");
        line.getByText("Details").click();
        assertThat(page.locator("#look-40220")).containsText("GLAC Glaciology, 2 second year");
    }

    @Test
    void twinsShareOnePoolAndOneAccount(Tabs tabs, Ledger ledger) {
        Page page = tabs.open(new Browser.NewContextOptions().setJavaScriptEnabled(false));
        page.navigate(ledger.page(YEAR_LONG));
        List<String> account = page.locator("#seats-title ~ .account td").allTextContents();
        assertThat(page.locator("#seats-title ~ .account")).containsText("shared with LIMN 244d");
        Locator twin = page.locator("#twins-title ~ table");
        assertThat(twin).containsText("LIMN 244d F3e");

        twin.locator("a").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .containsText("for Limnologists");
        assertThat(page.locator("#seats-title ~ .account td").allTextContents()).isEqualTo(account);
        assertThat(page.locator("#twins-title ~ table")).containsText("GLAC 240d F3e");
    }

    @Test
    void yearLongCourseSaysItsDatesAndThoseThatBind(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page(YEAR_LONG));
        page.getByText("Every date").click();

        Locator months = page.locator(".every-date dl > div");
        assertThat(months).hasCount(8);
        assertThat(months.first()).containsText("Tue\u00a09, Thu\u00a011");
        assertThat(page.locator(".every-date")).containsText("Not on Tue 28 Oct, Thu 30 Oct: Harvest Week.");
        assertThat(page.locator(".binding li").first()).containsText("Fri 26 Sep Last day to add");
        assertThat(page.locator(".weeks-mark"))
                .hasCount(page.locator(".binding li").count());
        assertThat(page.locator("#hours-title ~ p").first()).containsText("In class with lab F3e-a: 4.2 h a week");
    }

    @Test
    void shorterSpanBindsEarlier(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("section/" + firstOf("first-half")));
        assertThat(page.locator(".binding")).containsText("Mon 22 Sep Last day to drop without a mark");
        page.navigate(ledger.page("section/" + firstOf("full-term")));
        assertThat(page.locator(".binding")).containsText("Mon 6 Oct Last day to drop without a mark");
    }

    @Test
    void untimedCourseHasHoursAndNoDates(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("section/40197"));
        assertThat(page.locator(".every-date")).hasCount(0);
        assertThat(page.locator("#hours-title ~ p").first()).containsText("2.5 h a week");
    }

    /** Labs on Wednesday and Friday afternoon beside a lecture that is kept, on Wednesday from 13:00 to 14:20. */
    @Test
    void companionSaysWhatStandsInItsWay(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("section/40176"));
        page.request()
                .post(
                        ledger.page("week/add"),
                        RequestOptions.create()
                                .setHeader("Sec-Fetch-Site", "same-origin")
                                .setForm(FormData.create().set("line", "40176")));
        page.navigate(ledger.page(YEAR_LONG + "?days=only:tue,thu"));

        Locator labs = page.locator("#set-title ~ table .in-the-way");
        assertThat(labs).hasCount(2);
        assertThat(labs.first()).containsText("outside your brief; clashes with GLAC 120 F1 of your week");
        assertThat(labs.last()).hasText("outside your brief");
        page.navigate(ledger.page(YEAR_LONG));
        assertThat(labs).hasCount(1);
    }

    @Test
    void calendarFileIsTakenAway(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page(YEAR_LONG));
        String address = page.getByText("Calendar file (.ics)").getAttribute("href");
        APIResponse file = page.request().get(ledger.root() + address);

        assertThat(file.headers().get("content-type")).startsWith("text/calendar");
        assertThat(file.headers().get("content-disposition")).contains("40220.ics");
        assertThat(file.text()).startsWith("BEGIN:VCALENDAR\r\n").contains("RRULE:FREQ=WEEKLY", "EXDATE;TZID=");
        assertThat(page.request().get(ledger.page("section/99999/calendar.ics")).status())
                .isEqualTo(404);
    }

    private static EntryNumber firstOf(String span) {
        return Schedules.kernelSchedule().sections().stream()
                .filter(section -> section.span().code().equals(span))
                .findFirst()
                .orElseThrow()
                .entry();
    }
}

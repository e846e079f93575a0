package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every screen against axe-core's rules for WCAG 2.2, levels A and AA, and its good practice. */
@ExtendWith({RunningLedger.class, InChromium.class})
class AccessibilityTest {

    private static final List<String> CONTRAST = List.of("color-contrast");

    /** The rules by which the same page can be right in one light, or at one width, and wrong at another. */
    private static final List<String> OF_LIGHT_AND_WIDTH =
            List.of("color-contrast", "link-in-text-block", "scrollable-region-focusable");

    @ParameterizedTest
    @ValueSource(
            strings = {
                "browse?subject=tide,limn",
                "browse?at=tidewall,upper-fell&days=only:mon,wed,thu&from=09:00&to=15:30&seats=3&waiting=0",
                "browse?subject=glac&days=only:fri&to=09:00&untimed=no&seats=60",
                "browse?subject=glac&at=moon",
                "browse?subject=glac&from=10:00&at=tidewall&heard=glac+blorp",
                "browse?subject=tide&line=40101&look=40101",
                "browse?order=meeting",
                "line-up?line=40101,40220,40102",
                "../record",
                "week",
                "week?weave=1&want=NUMB 112, RHET 101&wish=free-fri&show=1",
                "../sign-in",
                "section/40220",
                "section/40406",
                "course/GLAC-240d",
                "course/GLAC-999",
                "section/49999",
            })
    void axeFindsNothing(String screen, Tabs tabs, Ledger ledger) {
        axeFindsNothing(screen, tabs.open(), ledger);
    }

    private static void axeFindsNothing(String screen, Page page, Ledger ledger) {
        page.setViewportSize(1280, 800);
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
        page.navigate(ledger.page(screen));
        Axe.assertNoViolations(Axe.on(page));
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        page.setViewportSize(360, 780);
        Axe.assertNoViolations(Axe.on(page).withRules(OF_LIGHT_AND_WIDTH));
        assertThat(page.evaluate("document.documentElement.scrollWidth <= window.innerWidth"))
                .as("no scrolling sideways")
                .isEqualTo(true);
    }

    @ParameterizedTest
    @ValueSource(strings = {"subject", "days", "times", "seats", "closed", "instructor", "more"})
    void axeFindsNothingInAnOpenEditor(String editor, Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?subject=glac&seats=3&edit=" + editor));

        Axe.assertNoViolations(Axe.on(page).include(List.of(".brief")));
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        Axe.assertNoViolations(Axe.on(page).include(List.of(".brief")).withRules(CONTRAST));
    }

    /** With clashes, ways, busy times, ghosts and what is selected. */
    @Test
    void axeFindsNothingOnAFullWeek(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.request()
                .post(
                        ledger.page("week/add"),
                        RequestOptions.create()
                                .setHeader("Sec-Fetch-Site", "same-origin")
                                .setForm(FormData.create().set("line", "40129,40136,40220,40227,40723,40588,40413")));
        page.request()
                .post(
                        ledger.page("week/busy"),
                        RequestOptions.create()
                                .setHeader("Sec-Fetch-Site", "same-origin")
                                .setForm(FormData.create()
                                        .set("label", "Ferry crew")
                                        .set("day", "thu")
                                        .set("starts", "12:00")
                                        .set("ends", "14:00")));
        axeFindsNothing("week?at=40588", page, ledger);
        axeFindsNothing("week?week=2031-12-15&day=wed", page, ledger);
    }

    /** With what would be refused, what is had, a place on a waitlist, and answers. */
    @Test
    void axeFindsNothingWhereOneRegisters(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        SignIn.in(page, ledger.root(), "student-97");
        post(page, ledger.page("week/add"), FormData.create().set("line", "40274,40281,40169,40108,40129"));
        axeFindsNothing("ready?arrange=yes", page, ledger);
        FormData form = FormData.create().set("id", "axe");
        form.append("ask", "register:autumn-2031.40274:");
        form.append("ask", "wait:autumn-2031.40108:");
        form.append("ask", "register:autumn-2031.40129:");
        post(page, ledger.page("ready/submit"), form);
        axeFindsNothing("ready?submitted=axe", page, ledger);
        axeFindsNothing("registration?submitted=axe", page, ledger);
        axeFindsNothing("registration/change?entry=autumn-2031.40274", page, ledger);
        post(page, ledger.page("watch"), FormData.create().set("line", "40129"));
        axeFindsNothing("section/40129", page, ledger);
        axeFindsNothing("../notices", page, ledger);
        FormData back = FormData.create().set("id", "axe-end");
        back.append("ask", "drop:autumn-2031.40274:");
        back.append("ask", "drop:autumn-2031.40108:");
        post(page, ledger.page("ready/submit"), back);
    }

    private static void post(Page page, String address, FormData form) {
        page.request()
                .post(
                        address,
                        RequestOptions.create()
                                .setHeader("Sec-Fetch-Site", "same-origin")
                                .setForm(form));
    }
}

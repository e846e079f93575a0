package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Hours of the week, closed and opened with a mouse, a finger and the keyboard. */
@ExtendWith({RunningLedger.class, InChromium.class})
class PaintingInTheBrowserTest {

    @Test
    void aStudentFreeOnTwoMorningsPaintsThemAndReadsTheBrief(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse"));

        for (String day : List.of("Mon", "Wed", "Fri", "Sat", "Sun")) {
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Close all " + day))
                    .click();
            assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Open all " + day)))
                    .hasCount(1);
        }
        drag(page, "Tue", 12, "Thu", 22);

        assertThat(page).hasURL(Pattern.compile(".*closed=mon:00:00-24:00,tue:12:00-22:00,wed.*"));
        assertThat(page.locator("#total")).hasText(Pattern.compile("^[0-9]+ sections in .*"));
        assertThat(phrase(page, "not Mon, Wed, Fri, Sat, Sun or Tue, Thu 12:00–22:00"))
                .isVisible();
        assertThat(page.getByText("keeping sections with no set time")).isVisible();

        page.keyboard().press("z");
        assertThat(page).hasURL(Pattern.compile(".*tue:.*|.*sun:00:00-24:00$"));
        page.keyboard().press("Z");
        assertThat(page).hasURL(Pattern.compile(".*tue:12:00-22:00.*"));
    }

    @Test
    void aFingerPaintsAnHourOfTwoDays(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse"));
        touch(page, "Tue", 9, "Wed", 10);

        assertThat(page).hasURL(ledger.page("browse?closed=tue:09:00-10:00,wed:09:00-10:00"));
        assertThat(phrase(page, "not Tue, Wed 9:00–10:00")).isVisible();
    }

    @Test
    void theKeyboardPaintsAnHour(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse"));
        page.locator("#paint").focus();
        assertThat(page.locator("#week-says")).hasText(Pattern.compile("Mon 09:00: open, [0-9]+ sections"));

        page.keyboard().press("ArrowRight");
        page.keyboard().press("Shift+ArrowDown");
        page.keyboard().press("Shift+ArrowDown");
        page.keyboard().press("Space");

        assertThat(page).hasURL(ledger.page("browse?closed=tue:09:00-09:45"));
        assertThat(phrase(page, "not Tue 9:00–9:45")).isVisible();
        page.keyboard().press("Space");
        assertThat(page).hasURL(ledger.page("browse?closed=tue:09:00-09:30"));
    }

    /** Drags over the week from an hour of one day to the end of an hour of another. */
    private static void drag(Page page, String fromDay, int fromHour, String toDay, int toHour) {
        Point from = inTheWeek(page, fromDay, fromHour, 2);
        Point to = inTheWeek(page, toDay, toHour, -2);
        page.mouse().move(from.x(), from.y());
        page.mouse().down();
        page.mouse().move(to.x(), to.y());
        page.mouse().up();
    }

    /** The same with a finger: first across the days, since up and down it moves the page. */
    private static void touch(Page page, String fromDay, int fromHour, String toDay, int toHour) {
        Point from = inTheWeek(page, fromDay, fromHour, 2);
        Point to = inTheWeek(page, toDay, toHour, -2);
        CDPSession finger = page.context().newCDPSession(page);
        touch(finger, "touchStart", from);
        touch(finger, "touchMove", new Point(to.x(), from.y()));
        touch(finger, "touchMove", to);
        touch(finger, "touchEnd");
    }

    private static void touch(CDPSession finger, String event, Point... where) {
        JsonArray points = new JsonArray();
        for (Point point : where) {
            JsonObject each = new JsonObject();
            each.addProperty("x", point.x());
            each.addProperty("y", point.y());
            points.add(each);
        }
        JsonObject touch = new JsonObject();
        touch.addProperty("type", event);
        touch.add("touchPoints", points);
        finger.send("Input.dispatchTouchEvent", touch);
    }

    private record Point(double x, double y) {}

    private static Point inTheWeek(Page page, String day, int hour, int below) {
        var svg = page.locator("#paint svg");
        svg.scrollIntoViewIfNeeded();
        var box = svg.boundingBox();
        var days = List.of("Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun");
        double scale = box.width / Double.parseDouble(svg.getAttribute("width"));
        return new Point(
                box.x + (34 + 33 * days.indexOf(day) + 10) * scale, box.y + (18 + 18 * (hour - 7) + below) * scale);
    }

    private static Locator phrase(Page page, String text) {
        return page.locator(".phrase > a", new Page.LocatorOptions().setHasText(Pattern.compile("^" + text + "$")));
    }
}

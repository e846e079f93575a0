package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The editors of the brief on the screen of a laptop. */
@ExtendWith({RunningLedger.class, InChromium.class})
class EditorsInTheBrowserTest {

    /** Sections with no set time are left out or taken in by one link. */
    @ParameterizedTest
    @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "UNTIMED")
    void everyOneFitsALaptopsWindowWithItsButton(Topic topic, Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.setViewportSize(1280, 720);
        page.navigate(ledger.page("browse?edit=" + topic.code()));

        Locator button = page.locator("form.editor .doing button");
        assertThat(button).isInViewport();
    }

    @Test
    void ofManyValuesThoseThatAreTypedStay(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?edit=" + Topic.INSTRUCTOR.code()));
        Locator people = page.locator("form.editor .field:visible");
        int all = people.count();
        assertThat(all).isGreaterThan(20);
        String name = people.nth(all / 2).locator("label span").first().textContent();

        page.locator("form.editor [data-narrows]").fill(name);

        assertThat(people.first()).containsText(name);
        assertThat(people.count()).isLessThan(all);
    }

    @Test
    void countsOfDaysSayHowManyHaveNoSetTime(Tabs tabs, Ledger ledger) {
        Page page = tabs.open();
        page.navigate(ledger.page("browse?edit=" + Topic.DAYS.code()));

        assertThat(page.locator("form.editor")).containsText("without a set time counted with each");
    }
}

package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.util.List;

/** axe-core on a page: its rules for WCAG 2.2, levels A and AA, and its good practice. */
public final class Axe {

    private Axe() {}

    /** @return all rules on the whole page, until it is told otherwise */
    public static AxeBuilder on(Page page) {
        AxeRunOptions options = new AxeRunOptions();
        // Else it tells at length of everything that is right.
        options.setResultTypes(List.of("violations"));
        return new AxeBuilder(page).setLegacyMode(true).options(options);
    }

    /** What is wrong is named, each rule with the first that breaks it. */
    public static void assertNoViolations(AxeBuilder axe) {
        assertThat(axe.analyze().getViolations())
                .extracting(
                        rule -> rule.getHelp() + ": " + rule.getNodes().get(0).getHtml())
                .isEmpty();
    }
}

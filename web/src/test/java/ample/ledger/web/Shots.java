package ample.ledger.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;

/** Takes the pictures that {@code tools/shots.txt} lists, of an application that runs: {@code ./ledger shots}. */
public final class Shots {

    /** In milliseconds. */
    private static final int LONGEST_WEAVE = 60_000;

    private Shots() {}

    /** @param arguments where the application answers; the list; the folder for the pictures */
    public static void main(String[] arguments) throws IOException {
        try (InChromium.Started chromium = InChromium.start()) {
            for (String line : Files.readAllLines(Path.of(arguments[1]))) {
                String[] shot = line.split(" ");
                String[] size = shot[1].split("x");
                // "maris@/record" is a page for who has signed in as maris.
                int at = shot[2].indexOf("@/");
                String address = arguments[0] + shot[2].substring(at + 1);
                Page page = chromium.browser()
                        .newPage(new Browser.NewPageOptions()
                                .setViewportSize(Integer.parseInt(size[0]), Integer.parseInt(size[1])));
                if (at >= 0) {
                    SignIn.in(page, URI.create(arguments[0]), shot[2].substring(0, at));
                }
                if (shot.length > 3) {
                    keep(page, arguments[0], shot);
                }
                page.navigate(address);
                // A week that is still being woven is asked for again by the page itself.
                assertThat(page.locator("[data-again]"))
                        .hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(LONGEST_WEAVE));
                // Notices come by themselves, a few seconds after what they are about.
                for (int i = 0;
                        address.endsWith("/notices") && page.locator(".notice").count() < 2 && i < 40;
                        i++) {
                    page.waitForTimeout(500);
                    page.reload();
                }
                // Type that comes late is left out of a first view, and there at once in the second.
                page.evaluate("document.fonts.ready");
                page.reload();
                page.evaluate("document.fonts.ready");
                page.screenshot(new Page.ScreenshotOptions()
                        .setPath(Path.of(arguments[2]).resolve(shot[0] + ".png")));
                page.close();
            }
        }
    }

    /**
     * Keeps the sections of the fourth column. The fifth is a busy time: day, hours and name, with slashes between; or requests that are handed
     * over to the registrar, with bars between; or sections that are watched; or what is wished in the round that is shown.
     */
    private static void keep(Page page, String root, String[] shot) {
        String term =
                root + (shot[2].endsWith("/notices") ? "/autumn-2031" : shot[2].replaceAll("^[^/]*(/[^/]+)/.*", "$1"));
        String week = term + "/week";
        send(page, week + "/add", FormData.create().set("line", shot[3]));
        String more = shot.length > 4 ? shot[4] : "";
        if (more.startsWith("watch:")) {
            send(page, term + "/watch", FormData.create().set("line", more.substring("watch:".length())));
        } else if (more.startsWith("wish:")) {
            FormData form = FormData.create();
            for (String code : more.substring("wish:".length()).split(",")) {
                form.append("wish", code);
            }
            send(page, root + shot[2].replaceAll("^[^/]*", "") + "/wishes", form);
        } else if (more.matches("(register|wait):.*")) {
            FormData form = FormData.create().set("id", "shot");
            for (String ask : more.split("\\|")) {
                form.append("ask", ask);
            }
            send(page, term + "/ready/submit", form);
        } else if (!more.isEmpty()) {
            String[] busy = more.split("/");
            send(
                    page,
                    week + "/busy",
                    FormData.create()
                            .set("day", busy[0])
                            .set("starts", busy[1])
                            .set("ends", busy[2])
                            .set("label", busy[3].replace('_', ' ')));
        }
    }

    private static void send(Page page, String address, FormData form) {
        page.request()
                .post(
                        address,
                        RequestOptions.create()
                                .setHeader("Sec-Fetch-Site", "same-origin")
                                .setForm(form));
    }
}

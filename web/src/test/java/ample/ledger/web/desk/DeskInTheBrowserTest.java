package ample.ledger.web.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.web.Axe;
import ample.ledger.web.InChromium;
import ample.ledger.web.RunningLedger;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The registrar's desk at its work, in Chromium, and what is refused to everybody else. */
@ExtendWith({RunningLedger.class, InChromium.class})
class DeskInTheBrowserTest {

    @TempDir
    private Path folder;

    @Test
    void uploadReadTheFindingsPostTakeOutAndGoBack(InChromium.Tabs tabs, RunningLedger.Ledger ledger)
            throws IOException {
        Page page = tabs.open();
        page.navigate(ledger.root() + "/desk");
        page.getByText("Go to the institution’s sign-on").click();
        signIn(page, "spring tide");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("do not go together");
        signIn(page, "neap tide");
        assertThat(page).hasURL(ledger.root() + "/desk");
        Axe.assertNoViolations(Axe.on(page));

        upload(page, kernel("broken.zip", Map.of("sections.csv", "lecture=lecure", "meetings.csv", "09:30=29:30")));
        assertThat(page.locator("h1")).hasText("2 faults in broken.zip");
        assertThat(page.locator("tbody")).containsText("It must be one of: lecture");
        Axe.assertNoViolations(Axe.on(page));
        page.getByText("Discard it").click();
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("Nothing has changed");

        upload(page, kernel("warned.zip", Map.of("section_instructors.csv", "40108,vantreight=40108,okonjo-reyes")));
        assertThat(page.locator("h1")).hasText("Autumn 2031 of Halvermere");
        assertThat(page.locator(".account")).containsText("113");
        Axe.assertNoViolations(Axe.on(page));
        post(page, "The first");
        assertThat(page.getByRole(AriaRole.STATUS)).hasText("Edition 1 is posted and current.");

        upload(page, kernel("better.zip", Map.of("courses.csv", "How Tides Work=How Tides Really Work")));
        assertThat(page.locator(".account")).containsText("edition 2");
        post(page, "Titles");
        assertThat(page.getByRole(AriaRole.STATUS)).hasText("Edition 2 is posted and current.");
        assertThat(page.locator("td[data-lead=By]").first()).hasText("desk");
        assertThat(page.locator("tbody tr").first()).containsText("Titles");
        Axe.assertNoViolations(Axe.on(page));
        Download bundle = page.waitForDownload(
                () -> page.getByLabel("Edition 2 as a bundle").click());
        ScheduleBundle out = ScheduleBundle.read(bundle.path());
        assertThat(page.locator("tbody tr").first()).containsText(out.checksum().substring(0, 12));

        page.getByLabel("Make edition 1 current again").click();
        assertThat(page.getByRole(AriaRole.STATUS)).hasText("Edition 1 is current again.");
        page.navigate(ledger.root() + "/autumn-2077/browse?subject=tide");
        assertThat(page.locator("main")).containsText("How Tides Work");

        page.navigate(ledger.root() + "/desk");
        assertThat(page.locator("main")).containsText("made edition 1 of autumn-2077 current");
        assertThat(page.locator("main")).containsText("posted edition 2 of autumn-2077");
        page.locator(".me > summary").click();
        page.getByText("Sign out").click();
        page.navigate(ledger.root() + "/desk/terms/autumn-2077");
        assertThat(page.locator("h1")).hasText("Sign in");
    }

    @Test
    void whatIsNoZipIsSaidToBeNone(InChromium.Tabs tabs, RunningLedger.Ledger ledger) throws IOException {
        Page page = tabs.open();
        page.navigate(ledger.root() + "/desk");
        page.getByText("Go to the institution’s sign-on").click();
        signIn(page, "neap tide");
        upload(page, Files.writeString(folder.resolve("notes.zip"), "not a zip at all"));

        assertThat(page.locator("h1")).hasText("1 fault in notes.zip");
        assertThat(page.locator("tbody")).containsText("It is neither a folder nor a zip");
    }

    /** Without the desk's session nothing at the desk answers; and without the page's token not even with it. */
    @ParameterizedTest
    @CsvSource({
        "GET,  /desk,                                        302",
        "GET,  /desk/terms/autumn-2031,                      302",
        "GET,  /desk/terms/autumn-2031/editions/1.zip,       302",
        "POST, /desk/bundles,                                403",
        "POST, /desk/terms/autumn-2031/editions/1/current,   403",
    })
    void nobodyElseMayPost(String method, String address, int status, RunningLedger.Ledger ledger) throws Exception {
        var request = HttpRequest.newBuilder(URI.create(ledger.root() + address))
                .method(method, HttpRequest.BodyPublishers.noBody())
                .build();

        assertThat(HttpClient.newHttpClient()
                        .send(request, HttpResponse.BodyHandlers.ofString())
                        .statusCode())
                .isEqualTo(status);
    }

    private static void signIn(Page page, String password) {
        page.getByLabel("Name").fill("desk");
        page.getByLabel("Password").fill(password);
        page.keyboard().press("Enter");
    }

    private static void upload(Page page, Path zip) {
        page.locator(".me > summary").click();
        page.locator(".me").getByText("Posting desk").click();
        page.getByLabel("Bundle").setInputFiles(zip);
        page.getByText("Check the bundle").click();
    }

    private static void post(Page page, String note) {
        page.getByLabel("Note for this edition").fill(note);
        page.getByText("Post this edition").click();
    }

    /** The kernel as a zip, in a term of its own, with the first "this" of a file replaced: "this=that". */
    private Path kernel(String name, Map<String, String> changes) throws IOException {
        Path zip = folder.resolve(name);
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip));
                Stream<Path> files = Files.list(Schedules.kernel())) {
            for (Path file : (Iterable<Path>) files.sorted()::iterator) {
                String text = Files.readString(file).replace("autumn-2031", "autumn-2077");
                String[] change =
                        changes.getOrDefault(file.getFileName().toString(), "=").split("=");
                out.putNextEntry(new ZipEntry(file.getFileName().toString()));
                out.write((change.length < 2 ? text : text.replaceFirst(change[0], change[1]))
                        .getBytes(StandardCharsets.UTF_8));
            }
        }
        return zip;
    }
}

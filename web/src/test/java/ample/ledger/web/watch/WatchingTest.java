package ample.ledger.web.watch;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.registrar.DemoClock;
import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.SeatWords;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.InChromium;
import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.LedgerInstance;
import ample.ledger.web.LedgerInstance.Visitor;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.io.SyndFeedInput;
import java.io.IOException;
import java.io.StringReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** Students are told what concerns them, in the browser and by letter: two instances on one database, and a real mail server that is away at first. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(InChromium.class)
class WatchingTest {

    private static final TermCode TERM = new TermCode("autumn-2031");

    @TempDir
    private static Path folder;

    private static LedgerInstance one;
    private static LedgerInstance two;
    private static final MailServer MAIL = new MailServer();
    private static Visitor maris;
    private static Visitor tamsin;

    @BeforeAll
    static void start() throws Exception {
        TestDatabase database = TestDatabase.create();
        one = instance(database, "--ledger.post=" + Schedules.kernel());
        two = instance(database);
        maris = student("maris");
        tamsin = student("tamsin");
    }

    private static LedgerInstance instance(TestDatabase database, String... options) {
        return LedgerInstance.start(
                database,
                Stream.concat(MAIL.options().stream(), Arrays.stream(options)).toArray(String[]::new));
    }

    private static Visitor student(String name) throws Exception {
        Visitor student = new Visitor(one.root());
        student.signIn(name);
        student.post("/notices/letters", "seats", "never", "changes", "at_once", "dates", "daily");
        return student;
    }

    @AfterAll
    static void stop() {
        one.close();
        two.close();
        MAIL.close();
    }

    private static void post(String... changes) throws IOException {
        ChangedKernel.post(one, folder, changes);
    }

    private static String until(Visitor student, String path, Predicate<String> there) throws Exception {
        String page = "";
        for (int i = 0; i < 150; i++) {
            page = student.get(path).body();
            if (there.test(page)) {
                return page;
            }
            Thread.sleep(200);
        }
        throw new AssertionError("Not there after half a minute: " + page);
    }

    private static Locator notice(Page page, String heading) {
        return page.locator("article", new Page.LocatorOptions().setHasText(heading));
    }

    @Test
    @Order(1)
    void aMoveIntoAClashIsToldToWhomItConcernsAndMendedFromThere(Tabs tabs) throws Exception {
        maris.post("/autumn-2031/week/add", "line", "40129,40136,40101");
        Page page = tabs.signedIn(one.root(), "maris");
        tamsin.post("/autumn-2031/week/add", "line", "40361");
        post(
                "meetings.csv",
                "40101,1,lecture,weekly,mon wed,,09:30,10:50",
                "40101,1,lecture,weekly,mon wed,,11:30,12:50");

        assertThat(page.locator("#to-notices sup")).hasText("1");
        page.locator("#to-notices").click();
        Locator notice = notice(page, "TIDE 110 T1 has moved into a clash");
        assertThat(notice).containsText("It is in your plan.");
        assertThat(notice).containsText("before: Mon Wed 9:30–10:50");
        assertThat(notice).containsText("50 minutes shared");
        assertThat(tamsin.get("/notices").body()).doesNotContain("TIDE 110");
        Locator take = notice.locator("button", new Locator.LocatorOptions().setHasText("instead"))
                .first();
        String instead = take.textContent().replaceAll("^Take | (and .*)?instead.*$", "");
        take.click();
        page.navigate(one.root() + "/autumn-2031/week");
        assertThat(page.locator("main")).containsText(instead);
        assertThat(page.locator("main")).not().containsText("minutes shared");
        page.navigate(one.root() + "/notices");
        page.getByLabel("Mark “TIDE 110 T1 has moved into a clash” as seen").click();
        assertThat(page.locator("#to-notices sup")).isHidden();
        assertThat(maris.at(two.root()).get("/notices").body())
                .as("on another device, by another instance")
                .contains("TIDE 110 T1 has moved into a clash")
                .doesNotContain("Mark “TIDE 110 T1 has moved");
    }

    /** It was away until now. Four letters are due: to those whom it concerns; not of what was seen on the page meanwhile. */
    @Test
    @Order(2)
    void lettersWaitForTheMailServerAndComeOnce() throws Exception {
        List<String> names = List.of("wren", "odo", "bryn");
        for (String name : names) {
            student(name).post("/autumn-2031/week/add", "line", "40129");
        }
        post(
                "meetings.csv",
                "40129,1,lecture,weekly,mon wed,,11:00,12:20",
                "40129,1,lecture,weekly,mon wed,,15:00,16:20");
        for (String name : names) {
            Visitor student = new Visitor(two.root());
            student.signIn(name);
            until(student, "/notices", body -> body.contains("TIDE 214 T1 has changed"));
        }
        MAIL.start();

        assertThat(MAIL.have(4)).isTrue();
        Thread.sleep(3_000);
        assertThat(MAIL.letters())
                .extracting(MailServer.Letter::to)
                .containsExactlyInAnyOrder(
                        "maris@students.example",
                        "wren@students.example",
                        "odo@students.example",
                        "bryn@students.example");
        MailServer.Letter letter = MAIL.letters().get(0);
        assertThat(letter.header("Subject")).isEqualTo("TIDE 214 T1 has changed");
        assertThat(letter.header("List-Unsubscribe-Post")).isEqualTo("List-Unsubscribe=One-Click");
    }

    @Test
    @Order(3)
    void lettersAreStoppedFromALetterOrTurnedToOnceADay(Tabs tabs) throws Exception {
        MailServer.Letter letter = MAIL.to("wren");
        Matcher link =
                Pattern.compile("http://[^ \\s]*(/letters/stop/[A-Za-z0-9_-]+)").matcher(letter.text());
        assertThat(link.find()).isTrue();
        // Where nobody is signed in.
        Page page = tabs.open();
        page.navigate(one.root() + link.group(1));
        page.getByText("Stop all letters").click();
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("No more letters will be sent to you");
        letter = MAIL.to("odo");
        URI stop = one.root().resolve(letter.header("List-Unsubscribe").replaceAll("^<http://[^/]*|>$", ""));
        // As a mail program does it: RFC 8058, 3.2.
        HttpResponse<String> stopped = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(stop)
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(HttpRequest.BodyPublishers.ofString("List-Unsubscribe=One-Click"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(stopped.body()).contains("No more letters will be sent to you");
        assertThat(new Visitor(one.root()).get("/letters/stop/unknown").statusCode())
                .isEqualTo(404);

        Page bryn = tabs.signedIn(one.root(), "bryn");
        bryn.navigate(one.root() + "/notices");
        bryn.locator("input[name=changes][value=daily]").check();
        bryn.locator("form[action='/notices/letters'] button").click();
        assertThat(bryn.locator("input[name=changes][value=daily]")).isChecked();

        MAIL.forget();
        post("seat_pools.csv", "40129,40,", "40129,35,");
        Visitor wren = new Visitor(two.root());
        wren.signIn("wren");
        until(wren, "/notices", body -> body.contains("It has 35 seats now"));
        assertThat(MAIL.have(1)).isTrue();
        Thread.sleep(2_000);
        assertThat(MAIL.letters())
                .as("two have stopped letters, one gets them in the morning")
                .extracting(MailServer.Letter::to)
                .containsExactly("maris@students.example");
    }

    @Test
    @Order(4)
    void aSeatThatOpensIsToldOnceForEachTimeAndTaken(Tabs tabs) throws Exception {
        seats(36, 4);
        maris.post("/autumn-2031/watch", "line", "40139", "tell", "seat", "seats", "2");
        tamsin.post("/autumn-2031/watch", "line", "40139", "tell", "seat");
        assertThat(maris.get("/autumn-2031/section/40139").body()).contains("You watch it");
        Thread.sleep(1_500);
        seats(35, 0);
        Thread.sleep(1_500);
        assertThat(maris.get("/notices").body()).as("one seat is not enough").doesNotContain("Seats are open");
        CountDownLatch listening = new CountDownLatch(1);
        CompletableFuture<Optional<String>> open = CompletableFuture.supplyAsync(() -> counted(maris, listening));
        assertThat(listening.await(40, TimeUnit.SECONDS)).isTrue();
        seats(33, 0);

        assertThat(open.get(40, TimeUnit.SECONDS)).as("on a page that is open").isPresent();
        until(maris, "/autumn-2031/section/40139", body -> body.contains("3 seats"));
        until(maris, "/notices", body -> body.contains("Seats are open in TIDE 214 T2"));
        Page page = tabs.signedIn(one.root(), "maris");
        page.navigate(one.root() + "/notices");
        Locator notice = notice(page, "Seats are open in TIDE 214 T2");
        assertThat(page.locator(".beside")).containsText("at least 2 seats open");
        notice.getByText("Add it to my week").click();
        page.navigate(one.root() + "/autumn-2031/week");
        assertThat(page.locator("main")).containsText("40139");

        seats(32, 0);
        seats(36, 0);
        Thread.sleep(1_500);
        seats(30, 0);
        until(maris, "/notices", body -> body.split("Seats are open in TIDE 214 T2</span>", -1).length == 3);
        assertThat(tamsin.get("/notices").body())
                .as("registration is not yet open for her")
                .doesNotContain("Seats are open");
    }

    /**
     * The next word on notices on the stream that an open page listens to, past the one that each begins with.
     *
     * @param listening once that one has come
     */
    private static Optional<String> counted(Visitor student, CountDownLatch listening) {
        try (Stream<String> lines = student.lines("/autumn-2031/seats")) {
            return lines.filter(line -> line.startsWith("event:notices"))
                    .peek(line -> listening.countDown())
                    .skip(1)
                    .findFirst();
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static int moment;

    private static void seats(int enrolled, int waiting) {
        one.context()
                .getBean(SeatWords.class)
                .put(List.of(new SeatWord(
                        TERM,
                        "40139",
                        new SeatPool.Count(enrolled, waiting, 0),
                        Instant.parse("2031-06-17T09:00:00Z").plusSeconds(++moment))));
    }

    @Test
    @Order(5)
    void aBriefBeginsToFind(Tabs tabs) throws Exception {
        Page browse = tabs.signedIn(one.root(), "tamsin");
        browse.navigate(one.root() + "/autumn-2031/browse?subject=tide&from=8:00&to=9:30");
        browse.locator("#saving > summary").click();
        browse.locator("#brief-name").fill("Early tides");
        browse.locator("#brief-name").press("Enter");
        browse.locator("#saving > summary").click();
        browse.getByLabel("Tell me when something new fits “Early tides”").click();
        post(
                "meetings.csv",
                "40108,1,lecture,weekly,tue thu,,11:00,12:20",
                "40108,1,lecture,weekly,tue thu,,08:00,09:20");

        assertThat(tamsin.post("/autumn-2031/watch", "course", "GLAC x").statusCode())
                .as("no course is written so")
                .isEqualTo(302);
        tamsin.post("/autumn-2031/watch", "course", "tide-110");
        assertThat(tamsin.get("/notices").body()).contains("TIDE 110 How Tides Work, all sections");

        String page = until(tamsin, "/notices", body -> body.contains("now fits your brief"));

        assertThat(page).contains("TIDE 110 T2 How Tides Work: Tue Thu 8:00–9:20.");
    }

    /** Openings of the next day and deadlines within the week, once each, also where the clock moves on by days. */
    @Test
    @Order(6)
    void whatTimeBringsIsToldOnce() throws Exception {
        until(tamsin, "/notices", body -> body.contains("Registration for Autumn 2031 opens for you"));
        MAIL.forget();
        moveTo("2031-06-18T07:00:30Z");
        until(tamsin, "/notices", body -> body.contains("Seats are open in TIDE 214 T2"));
        assertThat(MAIL.have(1)).isTrue();
        Thread.sleep(2_000);
        assertThat(MAIL.to("bryn").text()).as("in the letter of the day").contains("TIDE 214 T1");
        moveTo("2031-09-15T09:00:00Z");
        until(tamsin, "/notices", body -> body.contains("Last day to add: Fri 19 Sep"));
        moveTo("2031-09-17T09:00:00Z");
        Thread.sleep(6_000);
        String page = tamsin.get("/notices").body();
        assertThat(page.split("Last day to add: Fri 19 Sep</span>", -1)).hasSize(2);
        assertThat(page.split("Registration for Autumn 2031 opens for you", -1).length)
                .isLessThan(4);
    }

    @Test
    @Order(7)
    void theFeedIsReadByAnotherProgramUntilItsAddressIsWithdrawn() throws Exception {
        maris.post("/notices/feed", "wanted", "true");
        Matcher address = Pattern.compile("/notices/feed/[A-Za-z0-9_-]+")
                .matcher(maris.get("/notices").body());
        assertThat(address.find()).isTrue();
        Visitor reader = new Visitor(two.root());

        SyndFeed feed = new SyndFeedInput()
                .build(new StringReader(reader.get(address.group()).body()));

        assertThat(feed.getFeedType()).isEqualTo("atom_1.0");
        assertThat(feed.getEntries())
                .extracting(SyndEntry::getTitle)
                .contains("TIDE 110 T1 has moved into a clash", "Seats are open in TIDE 214 T2");
        assertThat(feed.getEntries()).extracting(SyndEntry::getUri).doesNotHaveDuplicates();
        maris.post("/notices/feed", "wanted", "false");
        assertThat(reader.get(address.group()).statusCode()).isEqualTo(404);
    }

    private static void moveTo(String moment) {
        Stream.of(one, two)
                .forEach(instance ->
                        ((DemoClock) instance.context().getBean(Clock.class)).moveTo(Instant.parse(moment)));
    }
}

package ample.ledger.web.wish;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.registrar.round.RoundFile;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.InChromium;
import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.Institution;
import ample.ledger.web.LedgerInstance;
import ample.ledger.web.registrar.RegistrarSchemas;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions.ContainsTextOptions;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

/** From wishes to places and back, on the rounds of the demo, with forty simulated students beside those who are named. */
@ExtendWith(InChromium.class)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class WishingTest {

    private static final String FIELD = "/autumn-2031/rounds/field-courses";
    private static final String SEMINARS = "/autumn-2031/rounds/speaking-seminars";

    private static Institution institution;
    private static LedgerInstance ledger;

    @BeforeAll
    static void start(@TempDir Path folder) throws IOException {
        Path bundle = KernelWithRounds.in(folder);
        institution = Institution.start("--standin.bundles=" + bundle, "--standin.wishes=40");
        ledger = LedgerInstance.start(
                TestDatabase.create(),
                "--ledger.post=" + bundle,
                "--ledger.sign-in.issuer=" + institution.root(),
                "--ledger.registrar.address=" + institution.registrar(),
                "--ledger.registrar.follow-clock=true",
                "--ledger.clock=2031-06-17T08:41:00Z",
                "--ledger.limits.sign-ins=1000");
    }

    @AfterAll
    static void stop() {
        ledger.close();
        institution.close();
    }

    private static Page at(Page page, String path) {
        page.navigate(ledger.root() + path);
        return page;
    }

    private static Locator ranked(Page page) {
        return page.locator(".ranked .what > b");
    }

    private static Locator group(Page page, String name) {
        return page.locator(
                ".groups tbody tr",
                new Page.LocatorOptions().setHas(page.locator("b", new Page.LocatorOptions().setHasText(name))));
    }

    private static void wish(Page page, String... names) {
        for (String name : names) {
            group(page, name).locator("button").click();
            assertThat(group(page, name)).containsText("wish");
            assertThat(page.locator(".ranked .what", new Page.LocatorOptions().setHasText(name)))
                    .hasCount(1);
        }
    }

    @Test
    @Order(1)
    void aGuestReadsTheRuleAndIsAskedToSignIn(Tabs tabs) {
        Page page = at(tabs.open(), FIELD);

        assertThat(page.locator(".says")).containsText("Open until Tue 24 Jun, 18:00");
        assertThat(page.locator(".rule")).containsText("Every place goes to the student who comes first");
        assertThat(page.locator(".classes li").first()).hasText("Students of Glaciology and of Mycology");
        assertThat(page.locator("button[value^='in.']")).hasCount(0);
        page.getByText("sign in as a student").click();
        assertThat(page.getByLabel("Name")).isVisible();
    }

    @Test
    @Order(2)
    void ranksByButtonsByKeysAndByDragging(Tabs tabs) {
        Page page = tabs.signedIn(ledger.root(), "maris");
        at(page, "/autumn-2031/section/41053");
        assertThat(page.locator(".say").first()).containsText("By wishes: places are distributed");
        page.locator("form[action$='/week/add'] button").first().click();
        page.locator("a[href='" + FIELD + "']").click();
        // What is only planned stands in the way of what clashes with it.
        assertThat(group(page, "Fungi of the birch wood")).containsText("of your week");

        wish(page, "The wood by night", "The snow line, September", "Ice from below");
        page.locator("#wish-ice-from-below .rank").focus();
        page.keyboard().press("ArrowUp");
        page.keyboard().press("ArrowUp");
        assertThat(ranked(page))
                .hasText(new String[] {"Ice from below", "The wood by night", "The snow line, September"});
        assertThat(page.locator("#wish-ice-from-below .rank")).isFocused();

        BoundingBox from = page.locator("#wish-snow-line .rank").boundingBox();
        BoundingBox to = page.locator("#wish-wood-by-night").boundingBox();
        page.mouse().move(from.x + 10, from.y + 8);
        page.mouse().down();
        page.mouse().move(from.x + 10, to.y + to.height / 2);
        page.mouse().move(from.x + 10, to.y + 4);
        page.mouse().up();
        String[] asDragged = {"Ice from below", "The snow line, September", "The wood by night"};
        assertThat(ranked(page)).hasText(asDragged);
        assertThat(group(page, "The wood by night")).containsText("your 3rd wish");

        at(page, FIELD);
        assertThat(ranked(page)).hasText(asDragged);
        // By speed it cannot be had.
        at(page, "/autumn-2031/ready");
        assertThat(page.locator("tbody", new Page.LocatorOptions().setHasText("GLAC 146m F1")))
                .containsText("by wishes");
    }

    @Test
    @Order(3)
    void ranksWithoutScriptsAndSaysWhatStandsAgainst(Tabs tabs) {
        Page page = tabs.open(
                new Browser.NewContextOptions().setJavaScriptEnabled(false).setViewportSize(360, 780));
        page.navigate(ledger.root() + "/sign-in/begin/institution?back=" + SEMINARS);
        page.getByLabel("Name").fill("wren");
        page.getByLabel("Password").fill(Institution.PASSWORD);
        page.keyboard().press("Enter");
        wish(page, "Tidewall, Tuesday morning", "Upper Fell, Monday morning", "Tidewall, Thursday evening");
        page.getByLabel("Wish Tidewall, Thursday evening more").click();
        page.getByLabel("Wish Tidewall, Tuesday morning less").click();
        page.getByLabel("Do not wish Upper Fell, Monday morning").click();
        assertThat(ranked(page)).hasText(new String[] {"Tidewall, Thursday evening", "Tidewall, Tuesday morning"});

        Page held = tabs.signedIn(ledger.root(), "bryn");
        at(held, FIELD);
        assertThat(group(held, "Ice from below")).containsText("has put a hold");
        wish(held, "Ice from below");
    }

    @Test
    @Order(4)
    void theDeskSeesHowItWouldComeOutWithoutNames(Tabs tabs) {
        Page page = tabs.signedIn(ledger.root(), "desk");
        at(page, "/desk");
        page.getByText("Field courses in ice and fungi").click();

        assertThat(page.locator("main h2").first()).hasText("As it would come out now");
        assertThat(page.locator("tbody tr", new Page.LocatorOptions().setHasText("Ice from below"))
                        .locator("td")
                        .last())
                .hasText("8");
        assertThat(page.locator("main")).not().containsText("maris");
        assertThat(page.locator("main")).not().containsText("student-");
        assertThat(page.getByText("Save the file")).hasCount(0);
        org.assertj.core.api.Assertions.assertThat(at(page, "/desk/rounds/autumn-2031/field-courses/file.json")
                        .content())
                .doesNotContain("student-");
    }

    /** Two programs find, at the same time, that both rounds have ended while none ran. */
    @Test
    @Order(5)
    void placesAreDistributedOnceWhicheverProgramComesFirst() throws Exception {
        institution.kill();
        sql("UPDATE clock SET shows = '2031-06-24T17:00:30Z'");
        Institution other = institution.beside();
        try {
            institution.startAgain();
            for (int second = 0; number("SELECT count(*) FROM round_result") < 2 && second < 60; second++) {
                Thread.sleep(1_000);
            }
            // Time for whoever comes second.
            Thread.sleep(5_000);
        } finally {
            other.close();
        }
        assertThat(number("SELECT count(*) FROM round_result")).isEqualTo(2);
        assertThat(number("SELECT count(*) FROM journal WHERE kind = 'registered'"))
                .isEqualTo(number("SELECT count(*) FROM registered"))
                .isPositive();
        assertThat(number("SELECT count(*) FROM seats WHERE enrolled + promised > most"))
                .isZero();
        for (String round : List.of("field-courses", "speaking-seminars")) {
            RoundFile file = file(round);
            assertThat(file.faults())
                    .as("what anybody finds who distributes again")
                    .isEmpty();
        }
    }

    private static RoundFile file(String round) throws Exception {
        String path = "/rounds/autumn-2031/" + round;
        RegistrarSchemas.check(institution, path, "RoundReport");
        RegistrarSchemas.check(institution, "/students/maris/rounds", "RoundStanding");
        return JsonMapper.shared()
                .readValue(RegistrarSchemas.check(institution, path + "/file", "RoundFile"), RoundFile.class);
    }

    @Test
    @Order(6)
    void theResultIsToldWithItsReasons(Tabs tabs) throws Exception {
        Page page = tabs.signedIn(ledger.root(), "maris");
        at(page, FIELD);
        assertThat(page.locator(".says").first()).containsText("The period ended");
        assertThat(page.locator("#result + .says"))
                .hasText("You got your 1st wish: Ice from below. You are registered.");
        assertThat(page.locator(".seed").last()).hasText(file("field-courses").seed());
        at(page, "/autumn-2031/registration");
        assertThat(page.locator("main")).containsText("GLAC 247m F1");
        assertThat(page.locator("main")).containsText("You got your 1st wish: Ice from below.");
        at(page, "/autumn-2031/week");
        assertThat(page.locator("main")).containsText("GLAC 247m F1");
        assertThat(page.locator("#to-notices sup")).isVisible();
        at(page, "/notices");
        assertThat(page.locator("main"))
                .containsText(
                        "Field courses in ice and fungi: the places are distributed",
                        new ContainsTextOptions().setTimeout(60_000));

        Page held = tabs.signedIn(ledger.root(), "bryn");
        at(held, FIELD);
        assertThat(held.locator("#result + .says")).hasText("You got no place.");
        assertThat(held.locator(".why")).containsText("It did not count when the period ended:The library");
    }

    @Test
    @Order(7)
    void aPlaceThatIsGivenBackGoesToTheNext(Tabs tabs) throws Exception {
        String taken = "SELECT count(*) FROM registered WHERE entry = '41067'";
        assertThat(number(taken)).isEqualTo(8);
        long before = number("SELECT max(number) FROM journal");
        Page page = tabs.signedIn(ledger.root(), "maris");
        at(page, "/autumn-2031/registration");
        page.getByLabel("Drop or swap GLAC 247m F1").click();
        page.getByText("Drop it now").click();
        assertThat(page.locator("main")).containsText("dropped");

        assertThat(number(taken)).as("somebody else has it").isEqualTo(8);
        assertThat(number("SELECT count(*) FROM journal WHERE kind = 'registered' AND entry = '41067' AND number > "
                        + before))
                .isEqualTo(1);
        at(page, FIELD);
        assertThat(page.locator("#result + .says"))
                .hasText("You got your 1st wish: Ice from below. You have given it back since.");
        Page desk = tabs.signedIn(ledger.root(), "desk");
        at(desk, "/desk/rounds/autumn-2031/field-courses");
        assertThat(desk.locator("main h2").first()).hasText("As it came out");
        assertThat(desk.getByText("Save the file")).isVisible();
    }

    private static long number(String question) throws SQLException {
        try (Connection connection = institution.tables().getConnection();
                PreparedStatement statement = connection.prepareStatement(question);
                ResultSet answer = statement.executeQuery()) {
            answer.next();
            return answer.getLong(1);
        }
    }

    private static void sql(String change) throws SQLException {
        try (Connection connection = institution.tables().getConnection();
                Statement statement = connection.createStatement()) {
            statement.executeUpdate(change);
        }
    }
}

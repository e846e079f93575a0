package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.LedgerInstance.Visitor;
import java.net.http.HttpResponse;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** The institution's clock is followed; the institution ends like a machine that fails, while people browse, and comes back. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class InstitutionAwayTest {

    private static final List<String> PAGES = List.of(
            "/autumn-2031/browse",
            "/autumn-2031/section/40220",
            "/autumn-2031/course/NUMB-112",
            "/autumn-2031/line-up?line=40220,40176",
            "/autumn-2031/week",
            "/autumn-2031/opening",
            "/record",
            "/preferences",
            "/sign-in");

    private static final int QUARTER_SECONDS = 240;

    private static Institution institution;
    private static LedgerInstance ledger;

    @BeforeAll
    static void start() {
        institution = Institution.start();
        ledger = LedgerInstance.start(
                TestDatabase.create(),
                "--ledger.post=" + Schedules.kernel(),
                "--ledger.sign-in.issuer=" + institution.root(),
                "--ledger.registrar.address=" + institution.registrar(),
                "--ledger.registrar.follow-clock=true");
    }

    @AfterAll
    static void stop() {
        ledger.close();
        institution.close();
    }

    @Test
    @Order(1)
    void theClockIsFollowed() throws Exception {
        Visitor student = new Visitor(ledger.root());
        student.signIn("tamsin");
        assertThat(student.get("/autumn-2031/browse").body()).contains("Registration opens Wed 18 Jun, 8:00");

        institution.moveClock("2031-06-18T08:00");

        await(student, "Open to you until ");
    }

    @Test
    @Order(2)
    void whileItIsAwayEverythingElseGoesOnAndThePagesSaySince() throws Exception {
        Visitor known = new Visitor(ledger.root());
        known.signIn("maris");
        assertThat(known.get("/record").body()).contains("as the registrar has it", "Ice, Snow and Meltwater");
        Visitor unasked = new Visitor(ledger.root());
        unasked.signIn("student-5");

        institution.kill();
        try {
            for (String page : PAGES) {
                assertThat(known.get(page).statusCode()).as(page).isEqualTo(200);
                assertThat(unasked.get(page).statusCode()).as(page).isEqualTo(200);
                assertThat(new Visitor(ledger.root()).get(page).statusCode())
                        .as(page)
                        .isEqualTo(200);
            }
            assertThat(known.get("/record").body())
                    .as("what it said last, with its moment")
                    .contains("as the registrar has it, Wed 18 Jun, 8:0");
            assertThat(unasked.get("/autumn-2031/browse").body())
                    .contains("The registrar has not answered since Wed 18 Jun");
            assertThat(unasked.get("/record").body()).contains("cannot be loaded from the registrar right now");
            unasked.post("/autumn-2031/week/add", "line", "40101", "back", "/");
            assertThat(unasked.get("/autumn-2031/week").body()).contains("40101");
        } finally {
            institution.startAgain();
        }

        await(unasked, "Open to you until ");
        assertThat(unasked.get("/record").body())
                .as("the clock goes on where it stood")
                .contains("Student 5, as the registrar has it, Wed 18 Jun, 8:0");
    }

    /** A provider that is away when an application starts, and comes later. */
    @Test
    @Order(3)
    void signingInBeginsOnceTheSignOnAnswers() throws Exception {
        try (LedgerInstance other = LedgerInstance.start(
                TestDatabase.create(),
                "--ledger.post=" + Schedules.kernel(),
                "--ledger.sign-in.issuer=" + institution.root(),
                "--ledger.registrar.address=" + institution.registrar())) {
            institution.kill();
            Visitor guest = new Visitor(other.root());
            HttpResponse<String> begun = guest.get("/sign-in/begin/institution?back=/autumn-2031/browse");

            assertThat(begun.headers().firstValue("Location").orElse(""))
                    .endsWith("/sign-in?fault=away&back=%2Fautumn-2031%2Fbrowse");
            assertThat(guest.follow(begun).body()).contains("sign-on does not answer right now");

            institution.startAgain();
            assertThat(guest.signIn("odo", "/record").headers().firstValue("Location"))
                    .hasValueSatisfying(address -> assertThat(address).endsWith("/record"));
        }
    }

    private static void await(Visitor student, String words) throws Exception {
        String page = "";
        for (int i = 0; i < QUARTER_SECONDS && !page.contains(words); i++) {
            Thread.sleep(250);
            page = student.get("/autumn-2031/browse").body();
        }
        assertThat(page).contains(words);
    }
}

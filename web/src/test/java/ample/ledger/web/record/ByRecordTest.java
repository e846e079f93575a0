package ample.ledger.web.record;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What pages make of the record of who asks: what they may take, what is missing and where it can be had, what they have already. */
@ExtendWith(RunningLedger.class)
class ByRecordTest {

    @Test
    void whatMayNotBeTakenSaysWhatIsMissingAndWhenItCanBeHad(Ledger ledger) throws Exception {
        Visitor wren = signedIn("wren", ledger);

        assertThat(text(wren, "/autumn-2031/browse?number=tide:110,tide:235&may=yes"))
                .contains("How Tides Work")
                .contains("needs TIDE 110, which you may take in Autumn 2031");
    }

    @Test
    void aWhatIfLineIsSaidWhereverItDecides(Ledger ledger) throws Exception {
        Visitor wren = signedIn("wren", ledger);
        wren.post("/record", "courses", "TIDE 110 B");

        assertThat(text(wren, "/autumn-2031/browse?number=tide:235&may=yes"))
                .contains("needs TIDE 110, which you only suppose");
        assertThat(lines(wren, "/autumn-2031/browse?number=tide:235&may=with-what-if"))
                .isPositive();
        assertThat(lines(wren, "/autumn-2031/browse?number=tide:110&record=what-if"))
                .isPositive();

        wren.post("/record/forget");
        assertThat(lines(wren, "/autumn-2031/browse?number=tide:235&may=with-what-if"))
                .isZero();
    }

    @Test
    void whatIsDoneAndWithinReachIsMarkedInTheGraphByWordAndShape(Ledger ledger) throws Exception {
        Visitor maris = signedIn("maris", ledger);
        String course = "/autumn-2031/course/tide-235";

        assertThat(maris.get(course).body()).contains("class=\"reach done\"", "class=\"reach within\"");
        assertThat(text(maris, course)).contains("TIDE 110 passed", "double for within reach");
        assertThat(new Visitor(ledger.root()).get(course).body())
                .as("of a guest nothing is known")
                .doesNotContain("class=\"reach");
    }

    @Test
    void whatIsOwedAndWhatIsWaivedAreTheRegistrars(Ledger ledger) throws Exception {
        Visitor odo = signedIn("odo", ledger);
        String rest = "owed=yes&may=yes&record=nothing";
        String owed = "/autumn-2031/browse?" + rest;
        assertThat(text(odo, owed))
                .contains("counting toward what you still owe", "that you may take", "not on your record");
        assertThat(lines(odo, owed))
                .as("all that counts toward Public good, which Odo owes alone")
                .isPositive()
                .isEqualTo(lines(odo, "/autumn-2031/browse?toward=public-good&" + rest));

        Visitor tamsin = signedIn("tamsin", ledger);
        assertThat(text(tamsin, "/record")).contains("Prerequisites waived for LIMN 222");
        assertThat(text(tamsin, "/autumn-2031/course/limn-222")).contains("waived for you");
        assertThat(lines(tamsin, "/autumn-2031/browse?number=limn:222&may=yes")).isPositive();
    }

    @Test
    void whatAGuestTypedIsOfferedAtSignIn(Ledger ledger) throws Exception {
        Visitor bryn = new Visitor(ledger.root());
        bryn.post("/record", "courses", "MYCO 101 A\nNUMB 285 B", "credits", "12");
        bryn.signIn("bryn", "/autumn-2031/browse");

        assertThat(text(bryn, "/autumn-2031/browse"))
                .contains("Courses that you typed before signing in are not on your record.");
        assertThat(text(bryn, "/record"))
                .as("what is on the record already is not offered")
                .contains("Typed before you signed in NUMB 285 B. None of it is on your record.")
                .doesNotContain("Remove what-if lines");

        bryn.post("/record/offered", "take", "true");
        assertThat(text(bryn, "/record")).contains("Remove what-if lines").doesNotContain("Typed before you signed in");
        bryn.post("/record/forget");
    }

    /** What a page says, without its marks. */
    private static String text(Visitor visitor, String path) throws Exception {
        return visitor.get(path)
                .body()
                .replaceAll("<[^>]*>", " ")
                .replaceAll("\\s+", " ")
                .replace(" .", ".");
    }

    private static int lines(Visitor visitor, String path) throws Exception {
        return visitor.get(path).body().split("data-seats=", -1).length - 1;
    }

    private static Visitor signedIn(String student, Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        visitor.signIn(student, "/");
        return visitor;
    }
}

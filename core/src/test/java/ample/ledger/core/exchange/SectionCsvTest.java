package ample.ledger.core.exchange;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Section;
import java.io.IOException;
import java.io.StringWriter;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class SectionCsvTest {

    @Test
    void oneLineASection() throws IOException {
        assertThat(csv(section("TIDE 110")
                        .meets("Mon Wed", "9:30-10:50")
                        .arrangedOnline("2.5")
                        .taughtBy("Okonjo-Reyes")
                        .seats(30, 28, 0)))
                .startsWith(
                        "40101,TIDE 110,T1,Title of TIDE 110,lecture,3,Tidewall,mixed,\"mon wed 09:30-10:50 Sluice Hall"
                                + " 101; 2.5 h a week, no set time Online\",Okonjo-Reyes,2031-09-08,2031-12-19")
                .contains(",open,2,30,28,0,en,false,,,autumn-2031,7");
    }

    /** The OWASP page on CSV injection lists these beginnings (from memory). */
    @Test
    void whatASpreadsheetWouldRunIsShownAsText() throws IOException {
        assertThat(csv(section("TIDE 110").taughtBy("=HYPERLINK(\"http://example.invalid\")")))
                .contains(",\"'=HYPERLINK(\"\"http://example.invalid\"\")\",");
        assertThat(csv(section("TIDE 110").taughtBy("+1"))).contains(",'+1,");
    }

    private static String csv(SectionBuilder builder) throws IOException {
        Section section = builder.build();
        var out = new StringWriter();
        SectionCsv.write(Schedules.list(Schedules.of(section), 7, Instant.EPOCH, "", List.of(section)), out);
        List<String> lines = out.toString().lines().toList();
        assertThat(lines).hasSize(2).first().isEqualTo(String.join(",", SectionCsv.COLUMNS));
        return lines.get(1);
    }
}

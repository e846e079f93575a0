package ample.ledger.web.lists;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.exchange.SectionCsv;
import ample.ledger.web.RunningLedger;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import de.siegmar.fastcsv.reader.CsvReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The lists for programs, held against their own documentation. */
@ExtendWith(RunningLedger.class)
class ListsTest {

    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static final String LISTS = "/lists/v1/autumn-2031/sections";

    /** By networknt's validator, JSON Schema 2020-12, which OpenAPI 3.1 uses. */
    @ParameterizedTest
    @ValueSource(strings = {"", "?at=tidewall&seats=3", "?subject=glac,limn&untimed=no", "?from=23:00"})
    void theJsonIsOfTheDocumentedForm(String query, RunningLedger.Ledger ledger) throws Exception {
        JsonNode openApi = JsonMapper.shared().readTree(body(ledger, "/lists/v1/openapi.json"));
        ObjectNode form = JsonMapper.shared().createObjectNode();
        form.set("components", openApi.path("components"));
        form.put("$ref", "#/components/schemas/List");
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(form);

        JsonNode list = JsonMapper.shared().readTree(body(ledger, LISTS + ".json" + query));

        assertThat(schema.validate(list)).isEmpty();
        assertThat(list.path("count").asInt()).isEqualTo(list.path("sections").size());
    }

    @Test
    void csvAndJsonHoldTheSameSections(RunningLedger.Ledger ledger) throws Exception {
        JsonNode json = JsonMapper.shared().readTree(body(ledger, LISTS + ".json?at=upper-fell"));
        try (var csv = CsvReader.builder().ofNamedCsvRecord(body(ledger, LISTS + ".csv?at=upper-fell"))) {
            assertThat(csv.stream().map(line -> line.getField("entry") + " " + line.getField("seats_open")))
                    .containsExactlyElementsOf(json.path("sections")
                            .valueStream()
                            .map(section -> section.path("entry").asString() + " "
                                    + section.path("seats").path("open").asInt())
                            .toList())
                    .hasSizeGreaterThan(20);
        }
    }

    @Test
    void thePageAndTheDescriptionNameEveryColumnAndCondition(RunningLedger.Ledger ledger) throws Exception {
        String page = body(ledger, "/lists");
        JsonNode openApi = JsonMapper.shared().readTree(body(ledger, "/lists/v1/openapi.json"));

        assertThat(SectionCsv.COLUMNS).allSatisfy(column -> assertThat(page).contains(">" + column + "</th>"));
        assertThat(Topic.allParameters())
                .allSatisfy(condition -> assertThat(page).contains(">" + condition.name() + "</th>"));
        assertThat(openApi.at("/paths/~1lists~1v1~1{term}~1sections.json/get/parameters")
                        .valueStream()
                        .filter(parameter -> parameter.path("in").asString().equals("query"))
                        .map(parameter -> parameter.path("name").asString()))
                .containsExactlyElementsOf(
                        Topic.allParameters().stream().map(Parameter::name).toList());
    }

    @Test
    void theSheetCarriesTheSameLinkedDataAsItsOwnAddress(RunningLedger.Ledger ledger) throws Exception {
        String own = body(ledger, LISTS + "/40220.jsonld");

        assertThat(body(ledger, "/autumn-2031/section/40220"))
                .contains("<script type=\"application/ld+json\">" + own + "</script>");
        assertThat(JsonMapper.shared().readTree(own).path("name").asString())
                .isEqualTo("GLAC 240d F3e, Field Glaciology");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/lists/v1/autumn-2031/sections.csv?at=moon     | 400 | Not understood: at=moon.",
                "/lists/v1/autumn-2031/sections.json?colour=red | 400 | Not understood: colour=red. There is no condition",
                "/lists/v1/autumn-2031/sections/99999.jsonld    | 404 | There is no section with the entry number 99999.",
                "/lists/v1/spring-1999/sections.csv             | 404 | spring-1999",
            })
    void whatMakesNoSenseIsSaid(String address, int status, String says, RunningLedger.Ledger ledger) throws Exception {
        HttpResponse<String> response = get(ledger, address);

        assertThat(response.statusCode()).isEqualTo(status);
        assertThat(response.body()).contains(says);
    }

    private static String body(RunningLedger.Ledger ledger, String address) throws Exception {
        HttpResponse<String> response = get(ledger, address);
        assertThat(response.statusCode()).isEqualTo(200);
        return response.body();
    }

    private static HttpResponse<String> get(RunningLedger.Ledger ledger, String address) throws Exception {
        return CLIENT.send(
                HttpRequest.newBuilder(URI.create(ledger.root() + address)).build(),
                HttpResponse.BodyHandlers.ofString());
    }
}

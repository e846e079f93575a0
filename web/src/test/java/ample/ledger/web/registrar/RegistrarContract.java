package ample.ledger.web.registrar;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarNews;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.StudentFile.CourseOnFile;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.dataformat.yaml.YAMLMapper;

/**
 * What every registrar answers, whoever has written it: the same cases for each, asked by the application's own client, and by the
 * description docs/formats/registrar.openapi.yaml. Each knows a student maris with 46 credits and GLAC 120, A-, on the record.
 */
interface RegistrarContract {

    /** Where it answers. */
    URI address();

    /** What it asks for. */
    String key();

    default Registrar registrar() {
        return RegistrarAt.of(address().toString(), key());
    }

    @Test
    default void aStudentIsKnownWithTheirRecord() {
        StudentFile file = registrar().student("maris").orElseThrow();

        assertThat(file.student()).isEqualTo("maris");
        assertThat(file.creditsEarned()).isEqualByComparingTo("46");
        assertThat(file.level()).isEqualTo(2);
        assertThat(file.courses()).contains(new CourseOnFile("GLAC 120", Optional.of("A-"), Optional.empty()));
        assertThat(file.unreadable(List.of(Schedules.kernelSchedule()))).isEmpty();
    }

    @Test
    default void whoIsNoStudentIsNobody() {
        assertThat(registrar().student("nobody at all?")).isEmpty();
    }

    @Test
    default void whatIsKnownAlreadyIsNotToldAgain() {
        RegistrarNews all = registrar().news(0, Duration.ZERO);
        RegistrarNews more = registrar().news(all.last(), Duration.ofSeconds(1));

        assertThat(more.last()).isGreaterThanOrEqualTo(all.last());
        assertThat(more.seats()).noneMatch(all.seats()::contains);
        assertThat(more.now()).isAfterOrEqualTo(all.now());
    }

    /** By networknt's validator, JSON Schema 2020-12, which OpenAPI 3.1 uses. */
    @ParameterizedTest
    @CsvSource({
        "/students/maris,        200, StudentFile",
        "/students/wrong-name,   404, Problem",
        "/news,                  200, News",
        "/news?after=-1,         400, Problem",
        "/news?wait=soon,        400, Problem"
    })
    default void answersAreOfTheDescribedForm(String path, int status, String form) throws Exception {
        HttpResponse<String> answer = ask(path, key());

        assertThat(answer.statusCode()).isEqualTo(status);
        assertThat(schema(form).validate(JsonMapper.shared().readTree(answer.body())))
                .isEmpty();
        assertThat(answer.headers().firstValue("Content-Type").orElse(""))
                .startsWith(status == 200 ? "application/json" : "application/problem+json");
    }

    @Test
    default void withoutTheKeyNothingIsTold() throws Exception {
        HttpResponse<String> answer = ask("/students/maris", "guessed");

        assertThat(answer.statusCode()).isEqualTo(401);
        assertThat(answer.body()).doesNotContain("46");
    }

    default HttpResponse<String> ask(String path, String key) throws Exception {
        return RegistrarSchemas.ask(address(), path, key);
    }

    static Schema schema(String form) throws Exception {
        ObjectNode schema = JsonMapper.shared().createObjectNode();
        schema.set("components", description().path("components"));
        schema.put("$ref", "#/components/schemas/" + form);
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(schema);
    }

    static JsonNode description() throws Exception {
        return new YAMLMapper().readTree(Files.readString(file()));
    }

    static Path file() {
        return Schedules.repository().resolve("docs/formats/registrar.openapi.yaml");
    }
}

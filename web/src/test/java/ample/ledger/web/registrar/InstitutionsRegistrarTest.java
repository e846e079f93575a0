package ample.ledger.web.registrar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Submission;
import ample.ledger.web.Institution;
import io.swagger.v3.parser.OpenAPIV3Parser;
import io.swagger.v3.parser.core.models.SwaggerParseResult;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The registrar of the demo's institution, as it really runs. */
class InstitutionsRegistrarTest implements RegistrarContract {

    @Override
    public URI address() {
        return Institution.shared().registrar();
    }

    @Override
    public String key() {
        return Institution.SECRET;
    }

    /** By Swagger's parser, which reads OpenAPI 3.1. */
    @Test
    void theDescriptionIsOneOfOpenApi() throws Exception {
        SwaggerParseResult read = new OpenAPIV3Parser().readContents(Files.readString(RegistrarContract.file()));

        assertThat(read.getMessages()).isEmpty();
        assertThat(read.getOpenAPI().getOpenapi()).isEqualTo("3.1.0");
        assertThat(read.getOpenAPI().getPaths())
                .containsOnlyKeys(
                        "/students/{student}",
                        "/students/{student}/registration",
                        "/students/{student}/submissions",
                        "/students/{student}/rounds",
                        "/students/{student}/rounds/{term}/{round}",
                        "/rounds/{term}/{round}",
                        "/rounds/{term}/{round}/file",
                        "/news");
    }

    @Test
    void whatIsSubmittedIsDecidedOnce() {
        Request myco = Request.register(List.of(new Entry("autumn-2031", "40413")));

        Submission first = registrar().submit("student-77", "contract-1", List.of(myco, myco));
        Submission again = registrar().submit("student-77", "contract-1", List.of(myco, myco));

        assertThat(first.lines().get(1).answer().isRefusedFor(Refusal.Reason.ALREADY_REGISTERED))
                .isTrue();
        assertThat(again).as("the same answers, not new ones").isEqualTo(first);
        assertThat(registrar().submissions("student-77")).contains(first);
        assertThat(registrar().registration("student-77").orElseThrow().registered())
                .isEqualTo(first.lines().get(0).answer().equals(Answer.DONE) ? myco.set() : List.of());
        assertThatThrownBy(() -> registrar().submit("student-77", "contract-1", List.of(myco)))
                .as("one name for two submissions")
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource({"/students/maris/registration, Registration", "/students/nobody-at-all/submissions, Problem"})
    void whatAStudentHasIsOfTheDescribedForm(String path, String form) throws Exception {
        HttpResponse<String> answer = ask(path, key());

        assertThat(RegistrarContract.schema(form).validate(JsonMapper.shared().readTree(answer.body())))
                .isEmpty();
    }

    @Test
    void aSubmissionAndItsProblemsAreOfTheDescribedForm() throws Exception {
        String asked = "{\"requests\":[{\"act\":\"wait\",\"set\":[{\"term\":\"autumn-2031\",\"number\":\"99999\"}]}]}";

        assertThat(RegistrarContract.schema("Submission").validate(post("contract-2", asked, 200)))
                .isEmpty();
        assertThat(RegistrarContract.schema("Problem").validate(post("", asked, 400)))
                .isEmpty();
        assertThat(RegistrarContract.schema("Problem").validate(post("contract-3", "{\"requests\":[]}", 400)))
                .isEmpty();
        assertThat(RegistrarContract.schema("Problem").validate(post("contract-3", "{\"requests\":7", 400)))
                .isEmpty();
    }

    private JsonNode post(String id, String body, int status) throws Exception {
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(address() + "/students/student-78/submissions"))
                                .header("Authorization", "Bearer " + key())
                                .header("Content-Type", "application/json")
                                .header("Idempotency-Key", id)
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(status);
        return JsonMapper.shared().readTree(answer.body());
    }
}

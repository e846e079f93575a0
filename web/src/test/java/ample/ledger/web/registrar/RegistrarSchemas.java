package ample.ledger.web.registrar;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.Institution;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks a registrar as another program would, and holds the answer against the description. */
public final class RegistrarSchemas {

    private RegistrarSchemas() {}

    /** As a program asks that has some key. */
    static HttpResponse<String> ask(URI registrar, String path, String key) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(registrar + path))
                                .header("Authorization", "Bearer " + key)
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    /**
     * The answer to a question.
     *
     * @param form of the answer, or of each where there are many
     */
    public static String check(Institution institution, String path, String form) throws Exception {
        HttpResponse<String> answer = ask(institution.registrar(), path, Institution.SECRET);
        assertThat(answer.statusCode()).isEqualTo(200);
        JsonNode body = JsonMapper.shared().readTree(answer.body());
        if (body.isArray()) {
            for (JsonNode each : body) {
                assertThat(RegistrarContract.schema(form).validate(each)).isEmpty();
            }
        } else {
            assertThat(RegistrarContract.schema(form).validate(body)).isEmpty();
        }
        return answer.body();
    }
}

package ample.ledger.web.lists;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Parameter;
import ample.ledger.core.browse.index.Vocabulary;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The lists as OpenAPI 3.1 describes them; the conditions among the parameters are those that a brief has. */
final class OpenApi {

    private static final List<String> LISTS =
            List.of("/lists/v1/{term}/sections.csv", "/lists/v1/{term}/sections.json");

    private OpenApi() {}

    /**
     * The whole document.
     *
     * @param vocabulary whose codes stand in its examples; empty where nothing is posted, and there are none
     */
    static String document(Optional<Vocabulary> vocabulary) {
        JsonMapper mapper = JsonMapper.shared();
        try (InputStream in = new ClassPathResource("lists/openapi.json").getInputStream()) {
            ObjectNode document = (ObjectNode) mapper.readTree(in);
            for (String list : LISTS) {
                ArrayNode parameters = (ArrayNode)
                        document.path("paths").path(list).path("get").path("parameters");
                Topic.allParameters().forEach(condition -> describe(condition, vocabulary, parameters.addObject()));
            }
            vocabulary.ifPresent(known -> document.path("paths")
                    .forEach(
                            path -> path.path("get").path("parameters").forEach(parameter -> named(parameter, known))));
            return mapper.writerWithDefaultPrettyPrinter().writeValueAsString(document);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What the path of an address names, by what is posted. */
    private static void named(JsonNode parameter, Vocabulary vocabulary) {
        String name = parameter.path("name").asString("");
        if (name.equals("term")) {
            ((ObjectNode) parameter)
                    .put("example", vocabulary.first().term().code().text());
        } else if (name.equals("entry") && parameter.path("in").asString("").equals("path")) {
            ((ObjectNode) parameter).put("example", vocabulary.anEntry());
        }
    }

    private static void describe(Parameter condition, Optional<Vocabulary> vocabulary, ObjectNode parameter) {
        parameter.put("name", condition.name());
        parameter.put("in", "query");
        parameter.put("description", condition.meaning());
        parameter.putObject("schema").put("type", "string");
        vocabulary
                .map(condition.example())
                .filter(example -> !example.isEmpty())
                .ifPresent(example -> parameter.put("example", example));
    }
}

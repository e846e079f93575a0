package ample.ledger.web.lists;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Parameter;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The lists as OpenAPI 3.1 describes them; the conditions among the parameters are those that a brief has. */
final class OpenApi {

    private static final List<String> LISTS =
            List.of("/lists/v1/{term}/sections.csv", "/lists/v1/{term}/sections.json");

    /** The whole document. */
    static final String DOCUMENT = document();

    private OpenApi() {}

    private static String document() {
        JsonMapper mapper = JsonMapper.shared();
        try (InputStream in = new ClassPathResource("lists/openapi.json").getInputStream()) {
            ObjectNode document = (ObjectNode) mapper.readTree(in);
            for (String list : LISTS) {
                ArrayNode parameters = (ArrayNode)
                        document.path("paths").path(list).path("get").path("parameters");
                Topic.allParameters().forEach(condition -> describe(condition, parameters.addObject()));
            }
            return mapper.writerWithDefaultPrettyPrinter().writeValueAsString(document);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void describe(Parameter condition, ObjectNode parameter) {
        parameter.put("name", condition.name());
        parameter.put("in", "query");
        parameter.put("description", condition.meaning());
        parameter.putObject("schema").put("type", "string");
        parameter.put("example", condition.example());
    }
}

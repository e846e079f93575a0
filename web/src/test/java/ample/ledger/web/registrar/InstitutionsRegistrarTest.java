package ample.ledger.web.registrar;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.Institution;
import io.swagger.v3.parser.OpenAPIV3Parser;
import io.swagger.v3.parser.core.models.SwaggerParseResult;
import java.net.URI;
import java.nio.file.Files;
import org.junit.jupiter.api.Test;

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
        assertThat(read.getOpenAPI().getPaths()).containsOnlyKeys("/students/{student}", "/news");
    }
}

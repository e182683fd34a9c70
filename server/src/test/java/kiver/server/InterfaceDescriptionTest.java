package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The web's types are generated from web/openapi.json; this keeps that file equal to what the server serves. */
@ServerTest
class InterfaceDescriptionTest {

    private static final Path FILE = Path.of("..", "web", "openapi.json");

    @Autowired
    SmallNursery nursery;

    @Test
    void theFileSaysWhatTheServerServes() throws Exception {
        nursery.found();
        JsonMapper json =
                JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
        String served = nursery.get(nursery.propagator, "/v3/api-docs")
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        JsonNode description = json.readTree(served);
        if (System.getenv("KIVER_WRITE_OPENAPI") != null) {
            Files.writeString(FILE, json.writeValueAsString(description) + "\n");
        }
        assertThat(json.readTree(Files.readString(FILE)))
                .as("web/openapi.json is out of date; run ./kiver openapi and look at the change")
                .isEqualTo(description);
    }
}

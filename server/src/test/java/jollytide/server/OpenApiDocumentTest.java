package jollytide.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.SerializationFeature;

/** The web client is generated from the committed document, so it must be what the code says. */
class OpenApiDocumentTest extends ServerTest {
    private static final Path COMMITTED = Path.of("../docs/openapi.json");

    @Test
    void theCommittedDocumentIsCurrent() throws IOException {
        // Asked twice: a document that depends on who asked first would differ here.
        visitor().get("/openapi.json");
        String current = json.rebuild()
                        .enable(SerializationFeature.INDENT_OUTPUT)
                        .build()
                        .writeValueAsString(visitor().get("/openapi.json").body())
                + "\n";
        String committed = Files.exists(COMMITTED) ? Files.readString(COMMITTED) : "";
        if (!current.equals(committed)) {
            Files.writeString(COMMITTED, current);
        }
        assertThat(current)
                .as("docs/openapi.json was out of date; it has been written anew, commit it")
                .isEqualTo(committed);
    }
}

package io.enthalpa.formats.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/**
 * What is made from the records of the build file and committed: the page's types, the tables in docs, the JSON schema. They are written
 * anew with {@code -Dupdate.document=true}; otherwise the build fails when they differ.
 */
class GeneratedTest {
    private static final Shape ROOT = Shape.of(BuildDocument.class);
    private static final String BEGIN = "<!-- made from the records: begin -->\n";
    private static final String END = "<!-- made from the records: end -->\n";

    private static void same(Path file, String made) throws IOException {
        if (Boolean.getBoolean("update.document")) {
            Files.writeString(file, made);
        }
        assertThat(Files.readString(file))
                .as(file + " is not what the records say; run the tests of formats with -Dupdate.document=true")
                .isEqualTo(made);
    }

    @Test
    void typesOfThePage() throws IOException {
        same(Path.of("../web/src/document/document.ts"), TypeScript.of(ROOT));
    }

    @Test
    void jsonSchema() throws IOException {
        same(Path.of("../docs/build-file.schema.json"), Binding.MAPPER.writeValueAsString(JsonSchema.of(ROOT)) + "\n");
    }

    @Test
    void tablesInDocs() throws IOException {
        Path file = Path.of("../docs/build-file.md");
        String docs = Files.readString(file);
        int begin = docs.indexOf(BEGIN) + BEGIN.length();
        same(file, docs.substring(0, begin) + Markdown.of(ROOT) + docs.substring(docs.indexOf(END)));
    }
}

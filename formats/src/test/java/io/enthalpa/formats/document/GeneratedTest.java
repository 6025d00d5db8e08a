package io.enthalpa.formats.document;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.quantity.Quantity;
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

    /** The page knows no factor but these. */
    @Test
    void unitsOfThePage() throws IOException {
        StringBuilder made = new StringBuilder("""
                // Made from the quantities of the core; not to be edited.
                /** Every unit by its quantity: SI = value * factor + offset. */
                export const UNITS: Record<string, Record<string, { factor: number; offset: number }>> = {
                """);
        for (Quantity quantity : Quantity.values()) {
            made.append("  %s: {\n".formatted(quantity));
            quantity.units()
                    .forEach(unit -> made.append("    '%s': { factor: %s, offset: %s },\n"
                            .formatted(unit.symbol(), plain(unit.factor()), plain(unit.offset()))));
            made.append("  },\n");
        }
        same(Path.of("../web/src/quantity/units.ts"), made.append("}\n").toString());
    }

    private static String plain(double value) {
        return Double.toString(value).replaceAll("\\.0$", "").replace("E", "e");
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

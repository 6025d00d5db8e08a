package io.enthalpa.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.server.RunningServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The committed description is what is served and what the page's types are made from; write it anew with {@code -Dupdate.openapi=true}. */
class ApiDescriptionTest {
    private static final Path COMMITTED = Path.of("../web/src/api/openapi.json");
    private static final String HERE = "#/components/schemas/";
    /** Where a part of a build file stands in an answer or a question; {@code document} is a whole one everywhere. */
    private static final Map<String, String> PARTS = Map.of(
            "EntryView.duty",
            "DutyDocument",
            "MapAnswer.map",
            "BlowerMap",
            "ComparedView.option",
            "BuildOption",
            "ChangeView.option",
            "BuildOption");

    private static final Map<String, String> LISTS = Map.of("LogView.rows", "DutyRow", "SmallLine.path", "Piece");

    @TempDir
    Path data;

    @Test
    void isTheCommittedOne() throws IOException {
        try (RunningServer server = new RunningServer(
                data,
                false,
                "--springdoc.api-docs.enabled=true",
                "--springdoc.api-docs.path=/api/made.json",
                "--springdoc.writer-with-order-by-keys=true",
                "--springdoc.default-produces-media-type=application/json",
                "--springdoc.paths-to-exclude=/api/openapi.json")) {
            ObjectNode made = (ObjectNode) server.get("/api/made.json").json();
            describeDocuments((ObjectNode) made.at("/components/schemas"));
            boolean update = Boolean.getBoolean("update.openapi");
            if (update) {
                Files.writeString(
                        COMMITTED,
                        JsonMapper.builder()
                                        .enable(SerializationFeature.INDENT_OUTPUT)
                                        .build()
                                        .writeValueAsString(made) + "\n");
            }
            JsonNode committed = JsonMapper.shared().readTree(Files.readString(COMMITTED));
            assertThat((JsonNode) made).isEqualTo(committed);
            if (!update) {
                assertThat(server.get("/api/openapi.json").json())
                        .as("what is served, as packaged")
                        .isEqualTo(committed);
            }
        }
    }

    /** The build file's own schema stands in for the free objects that carry documents. */
    private static void describeDocuments(ObjectNode schemas) throws IOException {
        String text =
                Files.readString(Path.of("../docs/build-file.schema.json")).replace("#/$defs/", HERE);
        JsonNode document = JsonMapper.shared().readTree(text).get("$defs");
        schemas.properties()
                .forEach(view -> view.getValue().path("properties").properties().forEach(property -> {
                    ObjectNode holder = (ObjectNode) view.getValue().get("properties");
                    String place = view.getKey() + "." + property.getKey();
                    String part = property.getKey().equals("document") ? "BuildDocument" : PARTS.get(place);
                    if (part != null) {
                        holder.putObject(property.getKey()).put("$ref", HERE + part);
                    } else if (LISTS.containsKey(place)) {
                        holder.putObject(property.getKey())
                                .put("type", "array")
                                .putObject("items")
                                .put("$ref", HERE + LISTS.get(place));
                    }
                }));
        document.properties().forEach(part -> {
            assertThat(schemas.has(part.getKey()))
                    .as("two schemas of one name: " + part.getKey())
                    .isFalse();
            schemas.set(part.getKey(), part.getValue());
        });
    }
}

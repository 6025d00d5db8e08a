package io.enthalpa.server.answers;

import io.enthalpa.server.RunningServer;
import io.enthalpa.server.RunningServer.Reply;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A server with the demo builds, asked for answers. */
abstract class AnswersOnDemo {
    @TempDir
    static Path data;

    static RunningServer server;
    static JsonNode van;
    static JsonNode juniper;
    static JsonNode saltline;
    static JsonNode launch;

    @BeforeAll
    static void start() {
        server = new RunningServer(data, true);
        van = server.document("Pass Van");
        juniper = server.document("Juniper");
        saltline = server.document("Saltline");
        launch = server.document("Pilot Launch");
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    static Reply preview(JsonNode document, String... options) {
        ObjectNode request = JsonMapper.shared().createObjectNode();
        request.set("document", document);
        if (options.length > 0) {
            request.putPOJO("options", options);
        }
        return server.post("/api/preview", request.toString());
    }

    static ObjectNode asking(JsonNode document, String option) {
        ObjectNode request = JsonMapper.shared().createObjectNode().put("option", option);
        request.set("document", document);
        return request;
    }

    static JsonNode edited(JsonNode document, int option, JsonNode edits) {
        JsonNode changed = document.deepCopy();
        for (JsonNode edit : edits) {
            String at = "/options/" + option + edit.get("pointer").asString();
            int cut = at.lastIndexOf('/');
            ((ObjectNode) changed.at(at.substring(0, cut))).set(at.substring(cut + 1), edit.get("value"));
        }
        return changed;
    }
}

package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.core.fault.EnthalpaFault;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class RowIdentitiesTest {
    private static JsonNode demo(String name) throws Exception {
        return BuildFile.parse(Files.readString(Path.of("../server/src/main/resources/demo/" + name + ".json")));
    }

    private static void everyRowHasItsOwn(JsonNode node) {
        if (node instanceof ArrayNode rows) {
            List<String> ids = rows.valueStream()
                    .filter(JsonNode::isObject)
                    .map(row -> row.has("letter")
                            ? row.get("letter").stringValue()
                            : row.path("id").asString("none"))
                    .toList();
            assertThat(ids).doesNotContain("none").doesNotHaveDuplicates();
        }
        node.forEach(RowIdentitiesTest::everyRowHasItsOwn);
    }

    @ParameterizedTest
    @ValueSource(strings = {"juniper", "pass-van", "saltline", "pilot-launch"})
    void everyRowOfAFileGetsOneAndKeepsIt(String name) throws Exception {
        ObjectNode first = BuildFile.normal(demo(name));
        everyRowHasItsOwn(first);
        assertThat(BuildFile.normal(demo(name))).as("two readers give the same").isEqualTo(first);
        assertThat(BuildFile.normal(BuildFile.parse(BuildFile.write(first))))
                .as("and they stay")
                .isEqualTo(first);
    }

    @Test
    void aRowPutInBetweenLeavesTheOthersAsTheyWere() throws Exception {
        ObjectNode build = BuildFile.normal(demo("pass-van"));
        ArrayNode path = (ArrayNode) build.at("/options/0/path");
        List<String> before = path.findValuesAsString("id").subList(0, 2);
        ObjectNode pipe = ((ObjectNode) path.get(2)).deepCopy();
        pipe.remove("id");
        path.insert(2, pipe.put("name", "put in"));
        JsonNode after = BuildFile.normal(build).at("/options/0/path");
        assertThat(after.findValuesAsString("id").subList(0, 2)).isEqualTo(before);
        assertThat(after.get(3).get("id")).isEqualTo(path.get(3).get("id"));
        everyRowHasItsOwn(after);
    }

    @Test
    void twoOfOneIdentityAreToldApart() throws Exception {
        ObjectNode build = BuildFile.normal(demo("pass-van"));
        ((ObjectNode) build.at("/options/0/path/3"))
                .put("id", build.at("/options/0/path/2/id").stringValue());
        everyRowHasItsOwn(BuildFile.normal(build));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a b", "twenty-five-letters-long-", "../../etc"})
    void whatIsNoIdentityIsRefusedByItsPlace(String id) throws Exception {
        ObjectNode build = BuildFile.normal(demo("pass-van"));
        ((ObjectNode) build.at("/options/0/path/2")).put("id", id);
        assertThatThrownBy(() -> BuildFile.read(build))
                .isInstanceOfSatisfying(
                        EnthalpaFault.class, f -> assertThat(f.field()).isEqualTo("/options/0/path/2/id"));
    }

    @Test
    void onlyRowsMayHaveOne() throws Exception {
        ObjectNode build = BuildFile.normal(demo("pass-van"));
        ((ObjectNode) build.get("engine")).put("id", "r1");
        assertThatThrownBy(() -> BuildFile.read(build))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("id");
    }
}

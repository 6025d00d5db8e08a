package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class CatalogueCsvTest {
    /** A table program must not take a name for a formula, and the name must come back as it was. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "=HYPERLINK(\"x\")",
                "+1 coupler",
                "-12 hose",
                "@home",
                "'=quoted",
                "''+twice",
                "'plain",
                "63 mm, \"tight\"",
                "plain"
            })
    void aNameThatLooksLikeAFormulaIsHarmlessAndComesBack(String name) {
        ObjectNode figures = JsonMapper.shared()
                .createObjectNode()
                .put("bore_mm", 63.0)
                .put("hoseBore_mm", 67.0)
                .put("gap_mm", 8.0);
        CatalogueItem item = new CatalogueItem("joint", name, "- cheap", 20, 0.2, figures);
        String csv = CatalogueCsv.write(List.of(item));
        for (String cell : csv.split("[,\n]")) {
            assertThat(cell.replace("\"", "")).doesNotMatch("^[=+@].*").doesNotMatch("^-[^0-9].*");
        }
        assertThat(CatalogueCsv.read(csv)).containsExactly(item);
    }
}

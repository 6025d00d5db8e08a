package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.formats.BuildFile;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A hose between pump and core that is laid in the room: bent too tight, mended, moved, called otherwise, and another laid beside it. */
class LaidHoseIT extends OnDemo {
    private BuildOption option() {
        return BuildFile.read(page.file()).option("C");
    }

    private LoopPiece.Hose hose(String name) {
        return Pieces.cores(option().path()).get(0).loop().orElseThrow().pieces().stream()
                .filter(p -> p.name().equals(name))
                .map(LoopPiece.Hose.class::cast)
                .findFirst()
                .orElseThrow();
    }

    private Locator row(String name) {
        return page.raw()
                .locator(".pipes tbody tr")
                .filter(new Locator.FilterOptions().setHasText(name))
                .first();
    }

    private Locator pick(String name) {
        return row(name)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(name).setExact(true));
    }

    /** One hose alone is laid; tank and pump face the front, where the exhaust is in the way. */
    private static void oneHose(ObjectNode juniper) {
        ((ArrayNode) juniper.at("/options/2/runs"))
                .removeIf(run -> !run.get("of").stringValue().equals("pump to core"));
        juniper.at("/options/2/stands").forEach(stand -> ((ObjectNode) stand).remove(turned(stand)));
    }

    private static List<String> turned(JsonNode stand) {
        return List.of("tank", "pump").contains(stand.get("what").stringValue()) ? List.of("turned_deg") : List.of();
    }

    @Test
    void aLaidHoseIsTheSameOnSpaceAndWater() {
        page.openBuild("Juniper", "Space", LaidHoseIT::oneHose).option("C");
        pick("pump to core").click();
        page.type("corner 1 bend radius", "40").saved();
        Locator kink = page.raw().locator(".study .mend");
        assertThat(kink)
                .containsText(
                        "pump to core kinks at corner 1: it is bent to 40 mm there and bears no less than 85 mm.");
        kink.getByRole(AriaRole.BUTTON).click();
        assertThat(kink).hasCount(0);
        page.saved();
        assertThat(option().runs().get(0).corners().get(0).radius()).isEmpty();

        double low = hose("pump to core").height();
        page.type("corner 3 up", "520").saved();
        page.surface("Water");
        page.raw().locator("[data-loop-piece='3']").click();
        Locator follows = page.raw().locator(".follows");
        assertThat(follows.first()).containsText("highest place, from the room");
        double high = hose("pump to core").height();
        assertThat(high).isGreaterThan(low + 0.02);
        assertThat(follows.first()).containsText(Math.round(high * 1000) + " mm");

        page.type("name", "feed").saved();
        page.surface("Space");
        assertThat(row("feed")).containsText("27 mm");
        assertThat(option().runs().get(0).of()).isEqualTo("feed");
        assertThat(hose("feed").spec().bends()).hasSize(3);

        // As it begins, square out of both ports: from the tank forwards and down.
        page.raw().getByLabel("Lay tank to pump").click();
        assertThat(row("tank to pump")).containsText("30 mm");
        page.saved();
        assertThat(option().runs()).extracting(r -> r.loop().orElse("")).containsExactly("core", "core");
        double length = hose("tank to pump").spec().developed();
        assertThat(row("tank to pump")).containsText(Math.round(length * 1000) + " mm");
        // Plain, of 20 bore: 5 bores.
        assertThat(hose("tank to pump").spec().bends())
                .hasSize(2)
                .allSatisfy(b -> assertThat(b.radius()).isCloseTo(0.1, within(1e-9)));

        page.raw().getByLabel("Find a way for tank to pump").click();
        assertThat(page.raw().locator(".found .worse")).containsText("cannot come onto its port: exhaust takes");
    }
}

package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.Run;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Ways for a pipe are looked for, laid over the room and taken; where there is none it is told what would open one. */
class FindWayIT extends OnDemo {
    private static final int LOOKS_MS = 120_000;

    private static final LocatorAssertions.ContainsTextOptions LATE =
            new LocatorAssertions.ContainsTextOptions().setTimeout(LOOKS_MS);

    @TempDir
    Path folder;

    private Locator rows() {
        return page.raw().locator(".found tbody tr");
    }

    private void find(String pipe) {
        page.raw().getByLabel("Find a way for " + pipe).click();
        assertThat(rows().or(page.raw().locator(".found .worse")).first())
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(LOOKS_MS));
    }

    @Test
    void aWayIsFoundAndTaken() throws IOException, InterruptedException {
        page.openBuild("Pilot Launch", "Space");
        Locator caption = page.raw().locator(".spine g.caption", new Page.LocatorOptions().setHasText("cold pipe"));
        assertThat(caption).containsText("2 bends");
        find("cold pipe");
        int found = rows().count();
        assertThat(found).isGreaterThanOrEqualTo(2);
        // Each in each of three views.
        assertThat(page.raw().locator(".elevations .ghost")).hasCount(3 * found);
        rows().nth(1)
                .getByRole(com.microsoft.playwright.options.AriaRole.BUTTON)
                .first()
                .click();
        assertThat(page.raw().locator(".elevations .ghost.picked").first()).containsText("2");
        String best = rows().first().locator("td").nth(1).innerText();
        String length = rows().nth(1).locator("td").nth(1).innerText();
        assertThat(length).isNotEqualTo(best);

        page.raw().getByLabel("Lay way 2 in this option").click();
        assertThat(page.raw().locator(".elevations .ghost")).hasCount(0);
        assertThat(page.raw().locator(".says.first")).containsText("Fits.");
        Locator laid = page.raw().locator(".pipes tbody tr").nth(1);
        assertThat(laid).containsText(length);
        page.saved();
        Build build = BuildFile.read(page.file());
        assertThat(build.option("A").runs()).hasSize(2).last().satisfies(r -> {
            assertThat(r.of()).isEqualTo("cold pipe");
            assertThat(r.from()).isEmpty();
            assertThat(r.to()).isEmpty();
        });

        // The command line finds the same, for the same question.
        Path file = Files.writeString(folder.resolve("launch.json"), page.file());
        RunningProgram.Outcome route = RunningProgram.run("route", file.toString(), "--pipe", "cold pipe", "--table");
        assertThat(route.printed()).contains(best.replace(" mm", "") + " mm along its middle");

        find("cold pipe");
        page.raw().getByLabel("Way 1 as a new option").click();
        assertThat(laid).containsText(best);
        page.saved();
        Build other = BuildFile.read(page.file());
        assertThat(other.options()).hasSize(2);
        assertThat(other.option("B").runs().get(1).corners())
                .isNotEqualTo(other.option("A").runs().get(1).corners());
        assertThat(other.option("B").runs().get(0))
                .isEqualTo(other.option("A").runs().get(0));
        assertThat(page.raw().locator(".says.first")).containsText("Fits.");
        page.assertNothingWrong();
    }

    private static void bottleInFront(ObjectNode van) {
        io.enthalpa.e2e.Page.taped(van);
        for (JsonNode o : van.at("/room/obstacles")) {
            if (o.get("name").stringValue().equals("washer bottle")) {
                ((ObjectNode) o).put("front_mm", -60).put("rear_mm", 120);
            }
        }
    }

    @Test
    void whereThereIsNoWayItIsToldWhatOpensOne() {
        page.openBuild("Pass Van", "Space", FindWayIT::bottleInFront).option("C");
        find("hot pipe");
        Locator said = page.raw().locator(".found");
        assertThat(said).containsText("hot pipe cannot come onto its port: washer bottle takes 35.0 mm");
        assertThat(said).containsText("battery out of the way: no way either.", LATE);
        assertThat(said).containsText("washer bottle out of the way: there is a way.");
        assertThat(said)
                .containsText("The housing of turbo clocked otherwise, as far as it is clear there: no way either.");
        assertThat(said).containsText("core turned over: there is a way.");
        assertThat(rows()).hasCount(2);
        assertThat(rows().nth(1)).containsText("washer bottle out of the way: there is a way.");
        page.raw().getByLabel("Way 1 as a new option").click();
        assertThat(page.raw().locator(".says.first")).containsText("Fits.");
        page.saved();
        BuildOption over = BuildFile.read(page.file()).option("D");
        assertThat(Math.toDegrees(over.stands().get(0).leaned())).isCloseTo(180, within(1e-6));
        assertThat(over.runs())
                .singleElement()
                .satisfies(r -> assertThat(r.of()).isEqualTo("hot pipe"));
        // Taken, the bottle is out of the room.
        page.option("C");
        find("hot pipe");
        page.raw().getByLabel("Way 2 in this option").click(new Locator.ClickOptions().setTimeout(LOOKS_MS));
        assertThat(page.raw().locator(".says.first")).containsText("Fits.");
        page.saved();
        Build without = BuildFile.read(page.file());
        assertThat(without.room().orElseThrow().obstacles())
                .noneMatch(o -> o.name().equals("washer bottle"));
        assertThat(without.option("C").runs()).hasSize(1);
        page.button("Undo").click();
        page.saved();
        find("hot pipe");
        page.raw().getByText("put away").click();
        assertThat(said).hasCount(0);
        page.assertNothingWrong();
    }

    /**
     * A baffle through the launch with a slot 80 high, the bulkhead farther forward: the cold pipe of 76 wants 92 with its gaps, made flat to 0.7 of
     * that, 54, it wants 70, two of 57 want 73.
     */
    @Test
    void aTubeMadeFlatOrTwoAreTakenWhereOneDoesNotPass() throws IOException {
        page.openBuild("Pilot Launch", "Space");
        ObjectNode launch = (ObjectNode) BuildFile.parse(page.file());
        launch.put("name", "Slot launch");
        ((ArrayNode) launch.at("/options/0/runs")).remove(1);
        ArrayNode obstacles = (ArrayNode) launch.at("/room/obstacles");
        for (JsonNode o : obstacles) {
            if (o.get("name").stringValue().equals("forward bulkhead")) {
                ((ObjectNode) o).put("front_mm", -260).put("rear_mm", -240);
            }
        }
        obstacles.add(baffle("baffle, lower", -160, 732));
        obstacles.add(baffle("baffle, upper", 812, 950));
        Path file = Files.writeString(folder.resolve("slot.json"), launch.toString());
        page.raw().locator(".mark").first().click();
        page.raw().locator("input[type=file]").first().setInputFiles(file);
        page.surface("Space");
        find("cold pipe");
        Locator two = rows().filter(new Locator.FilterOptions().setHasText("Two of 57 mm outside, side by side"));
        assertThat(two).hasCount(1, new LocatorAssertions.HasCountOptions().setTimeout(LOOKS_MS));
        rows().filter(new Locator.FilterOptions().setHasText("Made flat to 54 mm where it is tight"))
                .getByText("as an option")
                .click();
        assertThat(page.raw().locator(".says.first")).containsText("Fits.");
        page.button("cold pipe").click();
        Locator flat = page.raw().locator(".ovals tbody tr");
        assertThat(flat).hasCount(1);
        assertThat(flat).containsText("100 % of the area");
        flat.getByText("pressed").click();
        // 54 and pi/2 (76 - 54) = 34.6 of flat.
        assertThat(flat).containsText("89 mm wide");
        page.type("oval 1 height", "30 mm");
        assertThat(page.raw().locator(".mend"))
                .containsText(
                        "the oval of cold pipe is 30.0 mm high: flatter than 38.0 mm, half the tube, none is made.");
        page.raw().locator(".mend").getByText("mend it").click();
        // What leads over to the round takes more of the straight then.
        assertThat(page.raw().locator(".mend")).containsText("sits on a bend");
        page.raw().locator(".mend").getByText("mend it").click();
        assertThat(page.raw().locator(".mend")).hasCount(0);
        page.saved();
        assertThat(BuildFile.read(page.file()).option("B").runs())
                .filteredOn(r -> r.of().equals("cold pipe"))
                .singleElement()
                .satisfies(r -> {
                    Oval oval = r.ovals().get(0);
                    assertThat(oval.height()).isCloseTo(0.038, within(1e-6));
                    assertThat(oval.pressed()).isTrue();
                });
        page.option("A");
        find("cold pipe");
        assertThat(two).hasCount(1, new LocatorAssertions.HasCountOptions().setTimeout(LOOKS_MS));
        two.getByText("lay it so").click();
        assertThat(page.raw().locator(".says.first")).containsText("Fits.");
        assertThat(page.raw().locator(".pipes tbody")).containsText("left cold pipe");
        page.saved();
        BuildOption option = BuildFile.read(page.file()).option("A");
        assertThat(option.path())
                .filteredOn(PathElement.Parallel.class::isInstance)
                .hasSize(1);
        assertThat(option.runs())
                .extracting(Run::of)
                .containsExactlyInAnyOrder("hot pipe", "left cold pipe", "right cold pipe");
        page.assertNothingWrong();
    }

    private static JsonNode baffle(String name, int bottom, int top) {
        return BuildFile.parse("""
                {"kind": "box", "name": "%s", "nature": "body", "front_mm": -240, "rear_mm": 700, "left_mm": 302, "right_mm": 306, "bottom_mm": %d, "top_mm": %d}
                """.formatted(name, bottom, top));
    }
}

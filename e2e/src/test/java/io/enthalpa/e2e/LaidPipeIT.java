package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.route.Run;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A pipe is laid from the turbo to the core, its corner moved: gaps, charge line, Pipes, file and command line tell of the same pipe. */
class LaidPipeIT extends OnDemo {
    @TempDir
    Path folder;

    private BuildOption option() {
        return BuildFile.read(page.file()).option("C");
    }

    private double straight() {
        return Pieces.of(PathElement.Pipe.class, option().path()).stream()
                .map(Pieces.Placed::piece)
                .filter(p -> p.name().equals("hot pipe"))
                .findFirst()
                .orElseThrow()
                .spec()
                .length();
    }

    @Test
    void aLaidPipeIsTheSameEverywhere() throws IOException, InterruptedException {
        page.openBuild("Pass Van", "Space", Page::taped).option("C");
        Locator caption = page.raw()
                .locator(".spine g.caption", new com.microsoft.playwright.Page.LocatorOptions().setHasText("hot pipe"));
        assertThat(caption).containsText("3 bends");
        double typed = straight();
        page.raw().getByLabel("Lay hot pipe").click();
        // Square out of both ports at first, and straight from the one to the other: through half the engine bay.
        assertThat(caption).containsText("2 bends");
        assertThat(page.raw().locator(".says.first")).containsText("Does not fit: hot pipe stands");
        page.saved();
        Run run = option().runs().get(0);
        assertThat(run.from()).isEmpty();
        assertThat(run.corners()).hasSize(2);
        double laid = straight();
        assertThat(laid).isNotEqualTo(typed);

        Locator told = page.raw().locator(".pipes tbody tr").first();
        String before = told.innerText();
        page.type("corner 2 up", "-250").saved();
        assertThat(told).not().hasText(before);
        assertThat(option().runs().get(0).corners().get(1).at().getZ()).isEqualTo(-0.25);
        assertThat(straight()).isNotEqualTo(laid);

        // Cut 40 longer before its first bend, that goes 40 on; typed back, it is where it was.
        Vector3D first = option().runs().get(0).corners().get(0).at();
        String straight = page.field("corner 1 straight before").inputValue();
        double longer = Double.parseDouble(straight.replace(" mm", "")) + 40;
        page.type("corner 1 straight before", Double.toString(longer)).saved();
        assertThat(page.field("corner 1 straight before")).not().hasValue(straight);
        assertThat(option().runs().get(0).corners().get(0).at().distance(first)).isCloseTo(0.04, within(2e-5));
        page.type("corner 1 straight before", straight).saved();
        assertThat(page.field("corner 1 straight before")).hasValue(straight);
        assertThat(option().runs().get(0).corners().get(0).at().distance(first)).isLessThan(3e-5);
        assertThat(option().runs().get(0).corners().get(1).at().getZ()).isCloseTo(-0.25, within(3e-5));

        // The same corner drawn up by hand from the front: 60 points of the sheet, whatever its scale.
        page.raw().locator(".says.first").scrollIntoViewIfNeeded();
        Locator handle = page.raw()
                .locator(".corner")
                .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^\\s*2")))
                .nth(1);
        var box = handle.locator(".reach").boundingBox();
        page.raw().mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.raw().mouse().down();
        Locator cost = page.raw().locator(".corner .cost").nth(1);
        String loss = cost.textContent();
        String least = page.raw().locator(".says.first").innerText();
        String ribbon = page.raw().locator(".ribbon path.edge").getAttribute("d");
        page.raw().mouse().move(box.x + box.width / 2, box.y + box.height / 2 - 60);
        // Still in the hand, gap and loss have changed, and nothing of it is kept.
        assertThat(cost).not().hasText(loss);
        assertThat(page.raw().locator(".says.first")).not().hasText(least);
        assertThat(page.raw().locator(".ribbon path.edge")).not().hasAttribute("d", ribbon);
        assertThat(option().runs().get(0).corners().get(1).at().getZ()).isCloseTo(-0.25, within(3e-5));
        page.raw().mouse().up();
        assertThat(page.field("corner 2 up")).not().hasValue("\u2212250 mm");
        page.saved();
        assertThat(option().runs().get(0).corners().get(1).at().getZ()).isGreaterThan(-0.2);

        // The command line reads the same gaps, Pipes the same length.
        String says = page.raw().locator(".says.first").innerText();
        Path file = Files.writeString(folder.resolve("van.json"), page.file());
        RunningProgram.Outcome fit = RunningProgram.run("fit", file.toString(), "--table");
        assertThat(fit.printed()).contains(says);
        String along = told.locator("td").nth(1).innerText();
        page.surface("Pipes");
        assertThat(page.raw().locator(".laid")).containsText(along + " along its middle with 2 bends");

        // Drawn, cut back, cut longer, typed, laid.
        for (int i = 0; i < 5; i++) {
            page.button("Undo").click();
        }
        page.saved();
        assertThat(page.raw().locator(".laid")).hasCount(0);
        assertThat(straight()).isEqualTo(typed);
        page.assertNothingWrong();
    }

    private static void plenumsNowhere(ObjectNode saltline) {
        ((ArrayNode) saltline.at("/options/0/stands"))
                .removeIf(stand -> !stand.get("of").stringValue().equals("core"));
    }

    /** Two banks: one pipe laid, the other its mirror, how alike they fill in words; a scoop before a filter. */
    @Test
    void theOtherBankIsTheMirrorAndBothAreToldOf() throws IOException {
        page.openBuild("Saltline", "Space", LaidPipeIT::plenumsNowhere).option("A");
        page.raw().getByLabel("Lay left bank pipe").click();
        page.button("a corner more, in the middle of the longest straight").click();
        page.type("corner 1 up", "300").saved();
        page.button("right bank pipe as its mirror on the other side").click();
        assertThat(page.raw().locator(".pipes tbody tr").nth(3)).containsText("63 mm");
        page.saved();
        BuildOption mirrored = BuildFile.read(page.file()).option("A");
        assertThat(mirrored.runs()).extracting(Run::of).containsExactly("left bank pipe", "right bank pipe");
        Vector3D left = mirrored.runs().get(0).corners().get(0).at();
        Vector3D right = mirrored.runs().get(1).corners().get(0).at();
        assertThat(right.distance(new Vector3D(left.getX(), -left.getY(), left.getZ())))
                .isLessThan(1e-6);
        assertThat(left.getZ()).isEqualTo(0.3);

        page.surface("Pipes");
        Locator banks = page.raw().locator(".told").nth(1);
        assertThat(banks).containsText("two banks: both together have 180 % of the area of one of 63 mm bore.");
        page.button("put a balance tube in").click();
        assertThat(banks).containsText("Without the balance tube it would be");
        page.surface("Brief").pick("left filter draws from", "scoop").saved();
        assertThat(page.raw().locator("aside.verdict"))
                .containsText("left filter draws from a scoop that keeps 50 % of what it meets");
        page.assertNothingWrong();
    }
}

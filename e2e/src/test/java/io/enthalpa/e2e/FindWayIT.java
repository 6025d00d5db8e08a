package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import io.enthalpa.core.build.Build;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Ways for a pipe are looked for, laid over the room and taken; where there is none it is told what would open one. */
class FindWayIT extends OnDemo {
    private static final int LOOKS_MS = 60_000;

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

    @Test
    void whereThereIsNoWayItIsToldWhatOpensOne() {
        page.openBuild("Pass Van", "Space").option("C");
        find("hot pipe");
        assertThat(rows()).hasCount(0);
        Locator said = page.raw().locator(".found");
        assertThat(said).containsText("hot pipe cannot come onto its port: washer bottle takes 35.0 mm");
        assertThat(said).containsText("washer bottle out of the way: there is a way.");
        assertThat(said).containsText("battery out of the way: no way either.");
        page.raw().getByText("put away").click();
        assertThat(said).hasCount(0);
        page.assertNothingWrong();
    }
}

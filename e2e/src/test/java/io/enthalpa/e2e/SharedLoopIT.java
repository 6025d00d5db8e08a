package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.chargepath.PathElement.Core;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.formats.BuildFile;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Two cores on one water loop, from the questions of a new build on. */
class SharedLoopIT extends OnDemo {
    private List<Core> cores() {
        return Pieces.cores(BuildFile.read(page.file()).option("A").path());
    }

    private void assertVerdictIsThatOfTheFile() {
        Build build = BuildFile.read(page.file());
        Answer answer = new Answer(build, "A");
        double worst = answer.verdict(answer.soak()).worst() - 273.15;
        assertThat(page.verdict()).containsText("%.0f °C".formatted(worst));
    }

    private Locator row(String core) {
        return page.raw()
                .locator("table")
                .filter(new Locator.FilterOptions().setHasText("Cores on this loop"))
                .locator("tbody tr")
                .filter(new Locator.FilterOptions().setHasText(core));
    }

    @Test
    void aSecondCoreHangsOnTheFirstOnesLoopWhateverHappensToTheFirst() {
        page.open("/new");
        page.type("boost", "80 kPa").pick("how many", "two, side by side");
        page.raw()
                .getByRole(
                        AriaRole.RADIO,
                        new com.microsoft.playwright.Page.GetByRoleOptions().setName("water and radiator"))
                .check();
        assertThat(page.raw().locator(".answer .verdict")).isVisible();
        page.openNew().surface("Pipes").choose("Put a piece in behind core", "core");
        page.saved().surface("Water").button("the core 2").click();
        assertThat(row("core 2")).containsText("L/min");
        page.saved();
        assertThat(cores()).hasSize(2);
        assertThat(cores().get(1).loop()).isEmpty();
        assertVerdictIsThatOfTheFile();

        page.pick("core 2 stands", "behind").saved();
        String leaves = row("first").locator("td").nth(3).textContent();
        assertThat(row("core 2").locator("td").nth(2)).hasText(leaves);
        assertVerdictIsThatOfTheFile();

        page.surface("Core").button("core").first().click();
        page.type("core called", "front core").saved();
        assertVerdictIsThatOfTheFile();
        page.surface("Water");
        assertThat(row("front core")).containsText("first");

        page.surface("Pipes").button("Take out front core").click();
        page.saved();
        assertThat(cores()).hasSize(1);
        assertThat(cores().get(0).loop()).isPresent();
        assertVerdictIsThatOfTheFile();
        page.button("Undo").click();
        page.saved();
        assertThat(cores().get(1).loop()).isEmpty();

        page.surface("Water").button("Give core 2 a loop of its own").click();
        assertThat(page.button("the core 2")).isVisible();
        page.saved();
        assertThat(cores()).allMatch(core -> core.loop().isPresent());
        assertVerdictIsThatOfTheFile();
        page.assertNothingWrong();
    }
}

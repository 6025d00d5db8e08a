package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.PortSeat;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** From a new build: an outlet elsewhere than the inlet, turned with its core; a housing clocked away from what it strikes. */
class PortsAndClockingIT extends OnDemo {
    private EndTankSpec tanks() {
        Build build = BuildFile.read(page.file());
        return Pieces.cores(build.option("A").path()).get(0).spec().tanks();
    }

    private static PortSeat seat(EndTankSpec.PortPlace place, PortSide towards) {
        return new PortSeat(place, Optional.of(towards));
    }

    @Test
    void outletStandsElsewhereAndTurnsWithItsCore() {
        page.newBuild().surface("Core");
        page.pick("core outlet port", "tank end").saved();
        assertThat(tanks().inlet()).isEqualTo(PortSeat.usual(EndTankSpec.PortPlace.MIDDLE));
        page.pick("core outlet on the end", "up").saved();
        assertThat(tanks().outlet()).isEqualTo(seat(EndTankSpec.PortPlace.END, PortSide.UP));
        page.pick("core outlet elbow", "turned rearwards").saved();
        // An elbow that looks the way its port does cannot be: it goes with the move, and comes back with Undo.
        page.pick("core outlet elbow", "turned left").saved();
        page.pick("core outlet port", "middle").saved();
        assertThat(tanks().outletElbow()).isEmpty();
        page.button("Undo").click();
        page.saved();
        assertThat(tanks().outletElbow()).isPresent();
        page.button("turn it").click();
        page.saved();
        assertThat(tanks().outlet()).isEqualTo(seat(EndTankSpec.PortPlace.END, PortSide.RIGHT));
        page.assertNothingWrong();
    }

    @Test
    void housingIsClockedAwayFromWhatItStrikes() throws IOException, InterruptedException {
        page.newBuild().surface("Space");
        page.button("measure a room").click();
        page.saved().type("room datum", "crank nose").saved();
        fromMenu("give one a place", "turbo");
        page.button("say how it is clocked").click();
        page.saved();
        Locator dial = page.raw().locator(".clocking");
        assertThat(dial).containsText("Clear at any angle.");
        fromMenu("put one in", "a box by its six sides");
        page.type("box underside", "115").saved();
        page.type("box left side", "-400").saved().type("box right side", "400").saved();
        page.type("box front face", "-300").saved().type("box rear face", "300").saved();
        // A usual housing of 200: its rim 15 under the box, its outlet 40 beyond the rim.
        Locator says = page.raw().locator(".says.first");
        assertThat(says).containsText("Does not fit: the outlet ");
        page.button("turbo").click();
        assertThat(dial).containsText("Clear from ");
        dial.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(java.util.regex.Pattern.compile("^Clock it to ")))
                .click();
        page.saved();
        assertThat(says).containsText("Fits. Least to spare is 7.0 mm: the housing of turbo to box.");
        Path file = Files.writeString(folder.resolve("clocked.json"), page.file());
        RunningProgram.Outcome told = RunningProgram.run("fit", file.toString(), "--table");
        assertThat(told.status()).isZero();
        assertThat(told.printed()).contains("Fits. Least to spare is 7.0 mm: the housing of turbo to box.");
        page.assertNothingWrong();
    }
}

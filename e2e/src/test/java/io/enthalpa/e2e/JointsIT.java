package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.JointsSpec.End;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The joints of the launch do not bear that its engine moves: told beside the verdict, mended on Pipes, a pipe braced on Space, the same in file and command. */
class JointsIT extends OnDemo {
    @TempDir
    Path folder;

    private BuildOption option() {
        return BuildFile.read(page.file()).option("A");
    }

    @Test
    void whatDoesNotBearIsToldAndMended() throws IOException, InterruptedException {
        page.openBuild("Pilot Launch", "Space");
        Locator verdict = page.raw().locator(".verdict");
        assertThat(verdict).containsText("turbo to hot pipe: the ends move");
        verdict.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("and 3 more, on Pipes"))
                .click();
        Locator joints = page.raw().locator("#joints");
        assertThat(joints).containsText("4 of 4 joints do not bear what comes on them.");

        joints.getByLabel("turbo to hot pipe: hump hoses at both ends of the pipe")
                .click();
        assertThat(joints).containsText("2 of 4 joints do not bear what comes on them.");
        assertThat(verdict).containsText("core to cold pipe: the ends move");
        page.saved();
        assertThat(option().joints().at("hot pipe", End.START).coupling()).isEqualTo(Coupling.HUMP);
        assertThat(option().joints().at("hot pipe", End.END).coupling()).isEqualTo(Coupling.HUMP);
        assertThat(option().joints().at("cold pipe", End.END).coupling()).isEqualTo(Coupling.HOSE);

        // The core hung on the engine, hoses bear it all; and back.
        joints.getByLabel("core hangs on: engine").click();
        assertThat(joints).containsText("All 4 joints bear what comes on them");
        assertThat(verdict).not().containsText("the ends move");
        page.saved();
        assertThat(option().stands().get(0).carrier()).isEqualTo("engine");
        page.button("Undo").click();
        assertThat(joints).containsText("2 of 4 joints");

        // The command line tells the same two.
        page.saved();
        Path file = Files.writeString(folder.resolve("launch.json"), page.file());
        RunningProgram.Outcome told = RunningProgram.run("joints", file.toString(), "--table");
        assertThat(told.printed())
                .contains("cold pipe to plenum: the ends move", "core to cold pipe: the ends move")
                .doesNotContain("turbo to hot pipe: the ends move");

        page.surface("Space");
        page.raw()
                .locator(".pipes")
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("cold pipe").setExact(true))
                .click();
        page.button("brace it on rubber in the middle of that").click();
        assertThat(page.field("brace 1 brace at")).isVisible();
        page.saved();
        Brace brace = option().runs().get(1).braces().get(0);
        assertThat(brace.rubber()).isTrue();
        page.raw()
                .locator(".braces")
                .getByText("on rubber", new Locator.GetByTextOptions().setExact(true))
                .click();
        page.saved();
        assertThat(option().runs().get(1).heldBy()).contains("body");

        // A relief valve that looks to the lid is in its way; put into the joint it is told so, and moved by one press.
        page.pick("cold pipe what to put in its wall", "relief valve");
        page.button("put it in, in the middle of the longest straight that is free")
                .click();
        page.type("fitting 2 fitting at", "30").saved();
        Locator fault = page.raw().locator(".study .mend");
        assertThat(fault)
                .containsText(
                        "the relief valve of cold pipe is 0 mm from where its pipe begins: the joint there wants 50 mm.");
        fault.getByText("mend it").click();
        assertThat(fault).hasCount(0);
        page.type("fitting 2 stands out", "200").saved();
        assertThat(page.raw().locator(".says.first")).containsText("the relief valve of cold pipe");
        Fitting valve = option().runs().get(1).fittings().get(1);
        // The first straight is too short for joint and valve: it sits on the next.
        assertThat(valve.along()).isGreaterThan(0.2);
        assertThat(valve.out()).isCloseTo(0.2, within(1e-9));
        page.assertNothingWrong();
    }
}

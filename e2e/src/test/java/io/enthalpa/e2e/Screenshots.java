package io.enthalpa.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Consumer;

/**
 * Takes the pictures of docs/screenshots from the demo builds, by hand after a view has changed:
 * {@code mvn -P screenshots -DskipTests verify}.
 */
public final class Screenshots {
    private static final double LONG = 60_000;
    private final Chromium chromium;
    private final RunningProgram program;
    private final Path folder;

    private Screenshots(Chromium chromium, RunningProgram program, Path folder) {
        this.chromium = chromium;
        this.program = program;
        this.folder = folder;
    }

    /** @param args the folder to write to */
    public static void main(String[] args) throws IOException {
        try (Chromium chromium = new Chromium();
                RunningProgram program = RunningProgram.demo(Files.createTempDirectory("shots"), 0)) {
            new Screenshots(chromium, program, Path.of(args[0])).takeAll();
        }
    }

    private void takeAll() {
        long van = 2;
        long juniper = 1;
        take(
                "home",
                1280,
                800,
                "light",
                page -> page.open("/")
                        .raw()
                        .locator(".says .one")
                        .nth(9)
                        .waitFor(new Locator.WaitForOptions().setTimeout(LONG)));
        take("endurance", 1280, 800, "light", page -> {
            page.openBuild(van).button("Run 200 of what they may be").click();
            page.raw().locator("aside .measure").waitFor(new Locator.WaitForOptions().setTimeout(LONG));
        });
        take("methods", 1280, 800, "light", page -> {
            page.openBuild(juniper).option("A");
            page.raw()
                    .getByRole(AriaRole.TAB, new com.microsoft.playwright.Page.GetByRoleOptions().setName("Methods"))
                    .click();
            // Before its first line there may be no progress to wait out yet.
            page.raw().locator(".methods tbody tr").first().waitFor(new Locator.WaitForOptions().setTimeout(LONG));
            page.raw()
                    .locator(".methods progress")
                    .waitFor(new Locator.WaitForOptions()
                            .setState(WaitForSelectorState.DETACHED)
                            .setTimeout(LONG));
        });
        take("core", 1280, 800, "light", page -> page.openBuild(van).surface("Core"));
        take(
                "water",
                1280,
                800,
                "light",
                page -> page.openBuild(juniper).option("A").surface("Water"));
        take("room", 1280, 800, "light", page -> {
            page.openBuild(van).option("B").surface("Space");
            page.button("hot pipe and left headlamp back").click();
            page.raw().locator("svg[aria-label='The room in three views']").scrollIntoViewIfNeeded();
        });
        take(
                "space",
                1280,
                800,
                "light",
                page -> page.openBuild(van).option("A").surface("Space").coolingAir());
        take("ways", 1280, 800, "light", page -> {
            page.openBuild("Pilot Launch", "Space");
            page.raw().getByLabel("Find a way for cold pipe").click();
            page.raw().locator(".found tbody tr").first().waitFor(new Locator.WaitForOptions().setTimeout(LONG));
            page.raw().locator(".trials").evaluate("bar => bar.scrollIntoView({ block: 'start' })");
        });
        take("prove", 1280, 800, "light", page -> {
            page.openBuild(juniper).option("A").surface("Prove");
            page.raw()
                    .getByText("hill runs, Saturday (simulated)")
                    .first()
                    .click(new Locator.ClickOptions().setTimeout(LONG));
            page.raw().getByText("The band does not hold").waitFor(new Locator.WaitForOptions().setTimeout(LONG));
        });
        take("brief", 1280, 800, "light", page -> page.openBuild(van).surface("Brief"));
        take("side-by-side", 1280, 800, "dark", page -> {
            page.openBuild(van);
            page.raw()
                    .getByRole(
                            AriaRole.TAB, new com.microsoft.playwright.Page.GetByRoleOptions().setName("Side by side"))
                    .click();
            page.raw().keyboard().press("u");
        });
        take(
                "reasons",
                1280,
                800,
                "light",
                page -> page.openBuild(van)
                        .surface("Core")
                        .button("How do you know? core")
                        .click());
        take("map", 1280, 800, "dark", page -> {
            page.openBuild(van).surface("Brief");
            page.raw().locator(".panel").evaluate("panel => panel.scrollIntoView({ block: 'start' })");
        });
        take("catalogue", 1280, 800, "light", page -> page.open("/catalogue"));
        take("room-turned", 1024, 768, "dark", page -> {
            page.openBuild(van).option("B").surface("Space");
            page.button("core").click();
            page.button("turn it by hand").click();
            page.raw().locator(".turned .gap").waitFor();
            page.raw().locator(".trials").evaluate("bar => bar.scrollIntoView({ block: 'start' })");
        });
        // Last, for they change the build.
        take("endurance-ramp", 1280, 800, "dark", page -> {
            page.openBuild(juniper).option("B").lapsOnLittleWater();
            page.alsoShow("water behind the core");
        });
        take("duty", 1280, 800, "dark", page -> {
            page.newBuild().raw().locator("#duty").evaluate("duty => duty.scrollIntoView({ block: 'start' })");
        });
        take(
                "pipes",
                1280,
                800,
                "light",
                page -> page.openBuild(van)
                        .surface("Pipes")
                        .type("hot pipe outside diameter", "2 1/2 in")
                        .saved());
        take("new", 1280, 800, "light", page -> {
            page.open("/new");
            page.raw()
                    .locator("label")
                    .filter(new Locator.FilterOptions().setHasText("injection alone"))
                    .locator("b:not(:empty)")
                    .waitFor(new Locator.WaitForOptions().setTimeout(LONG));
        });
    }

    private void take(String name, int width, int height, String theme, Consumer<Page> steps) {
        Page page = Page.alone(chromium.browser(), program.address(), width, height);
        page.raw().addInitScript("localStorage.setItem('enthalpa.theme', '" + theme + "')");
        steps.accept(page);
        page.raw().mouse().move(1, 1);
        // The changes worth trying come last.
        page.raw().waitForTimeout(4000);
        page.raw()
                .screenshot(
                        new com.microsoft.playwright.Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
        page.raw().context().close();
    }
}

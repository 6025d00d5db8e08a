package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.formats.BuildFile;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Water and Space in a real browser: what is typed and swapped there is what the core answers. */
class ColdSideIT extends OnDemo {

    private SteadyResult solved(String letter) {
        return new Answer(BuildFile.read(page.file()), letter).steady();
    }

    private static String decimal(double value, int digits) {
        return String.format(Locale.ROOT, "%." + digits + "f", value);
    }

    private static com.microsoft.playwright.Page.GetByRoleOptions named(String pattern) {
        return new com.microsoft.playwright.Page.GetByRoleOptions().setName(Pattern.compile(pattern));
    }

    /** A piece of the drawn loop. */
    private Locator piece(String name) {
        return page.raw().getByRole(AriaRole.BUTTON, named("^" + name + ": "));
    }

    private Locator row(String name) {
        return page.raw().getByRole(AriaRole.ROW, named("^" + name));
    }

    private Locator main() {
        return page.raw().locator("main");
    }

    @Test
    void widerSpigotMovesMoreWater() {
        page.openBuild("Juniper", "Water").option("A");
        double before = solved("A").loops().get(0).flow().flow();
        piece("radiator spigot").click();
        page.type("radiator spigot bore", "17 mm").saved();
        piece("radiator outlet").click();
        page.type("radiator outlet bore", "17 mm").saved();
        SteadyResult after = solved("A");
        assertThat(after.loops().get(0).flow().flow()).isGreaterThan(1.3 * before);
        assertThat(main()).containsText(decimal(after.loops().get(0).flow().flow() * 60e3, 1) + " L/min");
        assertThat(page.station(4)).containsText(decimal(after.core().out() - 273.15, 1) + "°");
        assertThat(piece("radiator outlet"))
                .hasAttribute(
                        "aria-label",
                        Pattern.compile(decimal(
                                        after.loops()
                                                        .get(0)
                                                        .flow()
                                                        .pieces()
                                                        .get(10)
                                                        .loss()
                                                / 1000,
                                        2) + " kPa lost"));
        page.assertNothingWrong();
    }

    @Test
    void stranglingSpigotsAreNamedAndTriedAsAnOption() {
        page.openBuild("Juniper", "Water").option("A");
        assertThat(page.raw()
                        .getByText(
                                Pattern.compile("radiator spigot: it alone takes \\d+\u00a0% of what the pump gives")))
                .isVisible();
        assertThat(page.raw().getByText(Pattern.compile("core: fed from the top it never fills")))
                .isVisible();
        Locator row = row("Radiator spigot and radiator outlet, 8 →");
        String flow = row.getByRole(AriaRole.CELL).first().textContent();
        row.getByRole(AriaRole.BUTTON).click();
        assertThat(page.raw()).hasURL(Pattern.compile("option=D"));
        page.saved();
        assertThat(decimal(solved("D").loops().get(0).flow().flow() * 60e3, 1) + " L/min")
                .isEqualTo(flow.strip());
        assertThat(solved("D").path().intakeTemperature())
                .isLessThan(solved("A").path().intakeTemperature());
        page.assertNothingWrong();
    }

    @Test
    void orderOfTheStackIsComparedAndSwapped() {
        page.openBuild("Pass Van", "Space").coolingAir().option("B");
        double before = solved("B").path().intakeTemperature();
        page.button("compare all orders").click();
        Locator row = row("core, condenser, engine radiator");
        String promise = row.getByRole(AriaRole.CELL).first().textContent();
        page.button("Use the order core, condenser, engine radiator").click();
        page.saved();
        SteadyResult after = solved("B");
        assertThat(after.ways().get(0).spec().layers().get(0).name()).isEqualTo("core");
        assertThat(after.path().intakeTemperature()).isLessThan(before - 3);
        assertThat(promise).contains(decimal(after.path().intakeTemperature() - 273.15, 1) + " °C");
        assertThat(page.station(6)).containsText(decimal(after.path().intakeTemperature() - 273.15, 1) + "°");
        assertThat(row("core").first())
                .containsText(decimal(after.ways().get(0).layers().get(0).airIn() - 273.15, 1) + " °C");
        page.button("Undo").click();
        page.saved();
        assertThat(solved("B").path().intakeTemperature()).isEqualTo(before);
        page.assertNothingWrong();
    }

    @Test
    void sealAndWallsChangeTheAir() {
        page.openBuild("Pass Van", "Space").coolingAir().option("A");
        double before = solved("A").core().faceSpeed();
        page.type("seal round the stack", "97").saved();
        double sealed = solved("A").core().faceSpeed();
        assertThat(sealed).isGreaterThan(1.1 * before);
        assertThat(main()).containsText(decimal(sealed, 1) + " m/s");
        page.button("Take out winch plate").click();
        page.saved();
        assertThat(solved("A").core().faceSpeed()).isGreaterThan(1.05 * sealed);
        page.assertNothingWrong();
    }

    @Test
    void badWaterAndAirAreRefusedOrExplainedAndNothingIsLost() {
        page.mayBeRefused(422, "/api/");
        page.openBuild("Juniper", "Water").option("A");
        piece("brushless pump").click();
        page.type("brushless pump point 2 curve pressure", "60 kPa");
        assertThat(page.raw().getByRole(AriaRole.ALERT).first())
                .containsText("less than at the smaller flow, 42.00 kPa");
        page.field("brushless pump point 2 curve pressure").press("Escape");
        page.button("Take out brushless pump").click();
        assertThat(page.raw().getByRole(AriaRole.STATUS))
                .containsText("water loop is without a pump; it must be driven by at least one.");
        assertThat(page.file()).contains("brushless pump");

        page.openBuild("Saltline", "Water").option("A");
        page.type("ice", "60 kg");
        assertThat(page.raw().getByRole(AriaRole.ALERT).first())
                .containsText("no more than the tank of 45.0 L holds, 41.3 kg");

        page.openBuild("Pass Van", "Space").coolingAir().option("B");
        page.button("condenser").click();
        page.type("condenser width", "900 mm");
        assertThat(page.verdict()).containsText("No answer for this");
        assertThat(page.raw().locator("aside").getByRole(AriaRole.ALERT))
                .containsText("condenser, width is 900 mm; it must be at most the space of the way \"front\", 780 mm");
        assertThat(page.raw().getByText("last good answer")).isVisible();
        page.type("condenser width", "600 mm").saved();
        assertThat(page.station(6)).containsText(decimal(solved("B").path().intakeTemperature() - 273.15, 1) + "°");
        page.raw().getByRole(AriaRole.COMBOBOX, named("fan blows")).click();
        page.raw().getByRole(AriaRole.OPTION, named("against it")).click();
        assertThat(page.raw().getByText(Pattern.compile("the fan blows against the road wind")))
                .isVisible();
        page.assertNothingWrong();
    }

    @Test
    void loopIsWalkedByKeyboardAndOpensToItsFormulas() {
        page.openBuild("Pilot Launch", "Water");
        piece("sea cock").focus();
        page.raw().keyboard().press("ArrowRight");
        assertThat(page.field("sea cock to strainer bore")).hasValue("38 mm");
        page.button("How do you know? sea cock to strainer").click();
        Locator dialog = page.raw().getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Colebrook (1939)");
        assertThat(dialog).containsText("of all losses");
        page.raw().keyboard().press("Escape");
        page.surface("Space").coolingAir();
        assertThat(page.raw().getByText("Nothing of this option is cooled by outside air."))
                .isVisible();
        page.assertNothingWrong();
    }
}

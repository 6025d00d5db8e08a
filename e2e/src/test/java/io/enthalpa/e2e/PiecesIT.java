package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The whole path on screen: pieces put in, cores by geometry, maps, reasons, the catalogue. */
class PiecesIT extends OnDemo {
    private void putIn(String behind, String what) {
        page.choose("Put a piece in behind " + behind, what);
        assertThat(page.button("Take out " + what)).isVisible();
        page.saved();
    }

    private SteadyResult solved(String option) {
        return new Answer(BuildFile.read(page.file()), option).steady();
    }

    private static String decimal(double value, int digits) {
        return String.format(Locale.ROOT, "%." + digits + "f", value);
    }

    /** The piece at a place of the main way, counted from 0. */
    private Locator section(int place) {
        return page.raw().locator("[data-place]:not(.leg)").nth(place);
    }

    @Test
    void jointAndPairArePutInPricedAndTakenOut() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        putIn("hot pipe", "joint");
        assertThat(section(3))
                .containsText(decimal(solved("C").path().pieces().get(3).loss() / 1000, 2) + " kPa");
        putIn("core", "two pipes side by side");
        page.type("left pipe outside diameter", "38 mm").saved();
        double share = 100 * solved("C").path().pieces().get(5).legs().get(0).share();
        assertThat(section(5)).containsText(decimal(share, 1) + " %");
        assertThat(share).isLessThan(45);
        assertThat(page.raw().getByText(Pattern.compile("the legs carry unequal flow")))
                .isVisible();
        page.button("Take out two pipes side by side").click();
        assertThat(page.field("left pipe outside diameter")).hasCount(0);
        page.assertNothingWrong();
    }

    @Test
    void bendIsMitredAndCostsMore() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        double smooth = solved("C").path().pieces().get(4).loss();
        page.button("Bend 1 of cold pipe is smooth; change it").click();
        assertThat(page.button("Bend 1 of cold pipe is a mitre; change it")).isVisible();
        page.saved();
        double mitred = solved("C").path().pieces().get(4).loss();
        assertThat(mitred).isGreaterThan(1.5 * smooth);
        assertThat(section(4)).containsText(decimal(mitred / 1000, 2) + " kPa");
        page.assertNothingWrong();
    }

    @Test
    void coreByGeometryAnswersTurnsAndRefuses() {
        page.mayBeRefused(422, "/api/");
        page.openBuild("Pass Van", "Core");
        double before = solved("C").core().out() - 273.15;
        page.type("Charge fin fin pitch", "3 mm").saved();
        double after = solved("C").core().out() - 273.15;
        assertThat(after).as("denser fins cool further").isLessThan(before);
        assertThat(page.raw().locator("main")).containsText(decimal(after, 1) + " °C");
        page.button("turn it").click();
        assertThat(page.raw().getByLabel(Pattern.compile("^core to scale.*inlet to the down$")))
                .isVisible();
        page.type("Charge fin fin thickness", "2 mm");
        assertThat(page.raw().getByRole(AriaRole.ALERT).first()).containsText("charge fin thickness is 2.00 mm");
        page.field("Charge fin fin thickness").press("Escape");
        page.type("core port bore", "140 mm");
        assertThat(page.raw().getByRole(AriaRole.ALERT).first()).containsText("on a tank for a core");
        page.assertNothingWrong();
    }

    @Test
    void oneMoreRowIsTriedAsAnOption() {
        page.openBuild("Pass Van", "Core");
        Locator row = page.raw()
                .getByRole(
                        AriaRole.ROW,
                        new com.microsoft.playwright.Page.GetByRoleOptions().setName(Pattern.compile("^16 mm deeper")));
        String promise = row.getByRole(AriaRole.CELL)
                .first()
                .textContent()
                .replace('−', '-')
                .replaceAll("[^0-9.+-]", "");
        double before = solved("C").path().intakeTemperature();
        page.button("Try: 16 mm deeper").click();
        assertThat(page.raw()).hasURL(Pattern.compile("option=D"));
        page.saved();
        assertThat(decimal(solved("D").path().intakeTemperature() - before, 2)).isEqualTo(promise);
        page.assertNothingWrong();
    }

    @Test
    void everyPieceSaysHowItIsKnown() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        page.button("How do you know? hot pipe").click();
        Locator dialog = page.raw().getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("loss of the straight pipe");
        assertThat(dialog).containsText("Colebrook (1939)");
        assertThat(dialog).containsText("Rennels & Hudson (2012)");
        assertThat(dialog).containsText("Reynolds number");
        page.raw().keyboard().press("Escape");
        assertThat(dialog).hasCount(0);
        page.assertNothingWrong();
    }

    @Test
    void mapIsReadDrawnAndABadOneRefused() throws IOException {
        page.mayBeRefused(422, "/api/");
        page.openBuild("Pass Van", "Brief");
        assertThat(page.raw().getByLabel(Pattern.compile("^Compressor map of 5 speed lines; full load at")))
                .isVisible();
        String rows =
                "speed [rpm],flow [lb/min],pressure ratio,efficiency [%]\n60000,3,1.5,65\n60000,9,1.3,70\n160000,8,3.9,66\n160000,26,3.2,70\n";
        page.raw().setInputFiles("input[type=file]", Files.writeString(folder.resolve("map.csv"), rows));
        assertThat(page.raw().getByLabel(Pattern.compile("^Compressor map of 2 speed lines")))
                .isVisible();
        page.saved();
        String kept = page.file();
        assertThat(kept).contains("\"flow_kg_s\" : 0.0226796185");
        page.raw()
                .setInputFiles(
                        "input[type=file]", Files.writeString(folder.resolve("cross.csv"), rows.replace("3.9", "1.2")));
        assertThat(page.raw().getByRole(AriaRole.ALERT).first()).containsText("map file");
        assertThat(page.file()).isEqualTo(kept);
        page.button("take it off").click();
        assertThat(page.field("blower efficiency")).isVisible();
        page.assertNothingWrong();
    }

    @Test
    void twoAirDemandsThatDisagreeAreNamed() {
        page.openBuild("Pass Van", "Brief");
        page.type("power", "300 hp").saved();
        assertThat(page.raw().getByText(Pattern.compile("The power asked for wants \\d+\u00a0% more air")))
                .isVisible();
        page.assertNothingWrong();
    }

    @Test
    void catalogueIsSearchedChangedAndTakenFrom() {
        page.open("/catalogue");
        page.raw().getByLabel("Find in the catalogue").fill("bar-and-plate 550");
        Locator price = page.field("Price of bar-and-plate 550 x 230 x 65");
        price.fill("261");
        price.press("Tab");
        assertThat(page.raw().getByText("bar-and-plate 550 x 230 x 65 changed."))
                .isVisible();
        page.raw().reload();
        assertThat(page.field("Price of bar-and-plate 550 x 230 x 65")).hasValue("261");
        page.openBuild("Pass Van", "Core");
        page.button("from the catalogue").click();
        page.button("Take bar-and-plate 550 x 230 x 65").click();
        assertThat(page.field("core width")).hasValue("550 mm");
        page.saved();
        assertThat(page.station(4)).containsText(decimal(solved("C").core().out() - 273.15, 1) + "°");
        page.assertNothingWrong();
    }

    /** From nothing: a blower of another type is called so everywhere, and is renamed like any piece. */
    @Test
    void blowerIsCalledWhatItIs() {
        page.newBuild();
        page.raw()
                .getByRole(
                        AriaRole.COMBOBOX,
                        new com.microsoft.playwright.Page.GetByRoleOptions()
                                .setName("blower")
                                .setExact(true))
                .click();
        page.raw()
                .getByRole(AriaRole.OPTION, new com.microsoft.playwright.Page.GetByRoleOptions().setName("roots-type"))
                .click();
        page.saved();
        assertThat(page.field("blower efficiency")).hasValue("55 %");
        assertThat(page.raw()
                        .locator(".station")
                        .filter(new Locator.FilterOptions().setHasText("roots-type blower out")))
                .isVisible();
        page.type("blower called", "green one").saved();
        assertThat(page.raw().locator(".station").filter(new Locator.FilterOptions().setHasText("green one out")))
                .isVisible();
        page.surface("Pipes").type("hot pipe called", "riser").saved();
        assertThat(page.field("riser outside diameter")).isVisible();
        page.assertNothingWrong();
    }

    /** The stack that a core stands in knows it by its name. */
    @Test
    void renamedCoreStaysInItsStack() {
        page.openBuild("Pass Van");
        double before = solved("C").path().intakeTemperature();
        page.surface("Core").type("core called", "big core").saved();
        assertThat(BuildFile.read(page.file()).option("C").airWays().toString()).contains("name=big core");
        assertThat(solved("C").path().intakeTemperature()).isEqualTo(before);
        page.assertNothingWrong();
    }
}

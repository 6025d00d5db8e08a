package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The screen in a real browser, its numbers against the core's own answer for the file that the screen saves. */
class ScreenIT extends OnDemo {
    @Test
    void typedBoreChangesTheLineItsGhostAndTheChange() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        Expected before = Expected.of(page.file(), "C");
        assertThat(page.station(2)).containsText(before.figure(2));
        page.type("hot pipe outside diameter", "2 1/2 in").saved();
        Expected after = Expected.of(page.file(), "C");
        assertThat(page.field("hot pipe outside diameter")).hasValue("63.5 mm");
        assertThat(page.station(2)).containsText(after.figure(2));
        assertThat(page.station(2)).containsText(Expected.change(after.celsius(2) - before.celsius(2)));
        assertThat(page.station(2)).containsText(after.pressure(2));
        assertThat(page.raw().getByText("before: hot pipe outside diameter 51 mm → 63.5 mm"))
                .isVisible();
        assertThat(page.raw().locator("path.ghost")).isVisible();
        assertThat(after.loss(2)).isLessThan(before.loss(2));
        page.assertNothingWrong();
    }

    @Test
    void boostChangesPressureTemperatureAndTime() {
        page.openBuild("Pass Van", "Brief");
        double before = Expected.of(page.file(), "C").worst();
        page.type("boost", "1.7 bar").saved();
        Expected after = Expected.of(page.file(), "C");
        assertThat(page.field("boost")).hasValue("170 kPa");
        assertThat(page.station(6)).containsText(after.pressure(6));
        assertThat(page.station(2)).containsText(after.figure(2));
        assertThat(after.worst()).isGreaterThan(before);
        assertThat(page.verdict()).containsText(String.format("%.0f °C", after.worst()));
        page.assertNothingWrong();
    }

    @Test
    void coreSizeChangesTheAnswerOfAWaterCooledBuildToo() {
        page.openBuild("Juniper", "Core").option("B");
        double before = Expected.of(page.file(), "B").celsius(4);
        page.type("core depth", "5 1/4\"").saved();
        Expected after = Expected.of(page.file(), "B");
        assertThat(page.field("core depth")).hasValue("133.35 mm");
        assertThat(page.station(4)).containsText(after.figure(4));
        assertThat(page.station(4)).containsText(Expected.change(after.celsius(4) - before));
        page.assertNothingWrong();
    }

    @Test
    void staleEditFromASecondWindowIsNotLost() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        Page second = Page.in(page.raw().context(), program.address())
                .mayBeRefused(409, "/api/builds/")
                .open(page.raw().url().replace(program.address(), ""));
        assertThat(second.field("cold pipe outside diameter")).hasValue("57 mm");
        page.type("cold pipe outside diameter", "63").saved();
        second.type("hot pipe outside diameter", "57 mm");
        assertThat(second.raw().getByText("This build was changed in another window"))
                .isVisible();
        assertThat(second.raw()
                        .getByText("cold pipe outside diameter 57 mm → 63 mm")
                        .first())
                .isVisible();
        second.button("Go on with mine").click();
        second.saved();
        assertThat(second.field("hot pipe outside diameter")).hasValue("57 mm");
        second.button("Undo").click();
        assertThat(second.field("cold pipe outside diameter")).hasValue("63 mm");
        assertThat(second.field("hot pipe outside diameter")).hasValue("51 mm");
        String history = page.raw()
                .request()
                .get(program.address() + "/api/builds/" + page.build() + "/revisions")
                .text();
        assertThat(history)
                .contains("cold pipe outside diameter 57 mm → 63 mm")
                .contains("hot pipe outside diameter 51 mm → 57 mm");
        page.assertNothingWrong();
        second.assertNothingWrong();
    }

    @Test
    void theirsCanBeTakenAndMineBroughtBack() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        Page second = Page.in(page.raw().context(), program.address())
                .mayBeRefused(409, "/api/builds/")
                .open(page.raw().url().replace(program.address(), ""));
        assertThat(second.field("cold pipe outside diameter")).hasValue("57 mm");
        page.type("cold pipe outside diameter", "63").saved();
        second.type("cold pipe outside diameter", "70");
        second.button("Go on with theirs").click();
        assertThat(second.field("cold pipe outside diameter")).hasValue("63 mm");
        second.button("Redo").click();
        assertThat(second.field("cold pipe outside diameter")).hasValue("70 mm");
        second.assertNothingWrong();
    }

    /** One after the other in the same field. */
    @Test
    void badNumbersAreRefusedWhereTheyStandAndNothingIsHarmed() {
        page.mayBeRefused(422, "/api/");
        page.openBuild("Pass Van", "Pipes", Page::taped).saved();
        String before = page.file();
        String line = page.station(2).textContent();
        String[][] refused = {
            {"12 psi", "\"psi\" does not measure outside diameter. Use mm, cm, m, in, ft."},
            {"", "Outside diameter is empty. Give a value from 10 mm to 440 mm."},
            {"-63", "Outside diameter is −63 mm; it must lie between 10 mm and 440 mm."},
            {"1e30", "it must lie between 10 mm and 440 mm."},
            {"wide", "\"wide\" is not a number."},
            {"12", "at least 13.2 mm with a wall of 1.6 mm"}
        };
        for (String[] each : refused) {
            page.type("cold pipe outside diameter", each[0]);
            assertThat(page.raw().getByRole(AriaRole.ALERT).first()).containsText(each[1]);
            assertThat(page.field("cold pipe outside diameter")).hasValue(each[0]);
            assertThat(page.station(2)).hasText(line);
            assertThat(page.file()).isEqualTo(before);
            page.field("cold pipe outside diameter").press("Escape");
            assertThat(page.field("cold pipe outside diameter")).hasValue("57 mm");
        }
        page.assertNothingWrong();
    }

    @Test
    void strangledPathSaysSoAndTheLastGoodAnswerStaysMarkedAsOld() {
        page.openBuild("Juniper", "Pipes", Page::taped);
        page.button("Take out bend 1 of transfer pipe").click();
        assertThat(page.raw().getByText("no bends")).isVisible();
        page.type("transfer pipe outside diameter", "14 mm");
        assertThat(page.raw().getByText("No answer for this.")).isVisible();
        assertThat(page.raw().getByRole(AriaRole.ALERT).first()).containsText("transfer pipe");
        assertThat(page.raw().getByText("last good answer")).isVisible();
        page.button("Undo").click();
        assertThat(page.raw().getByText("last good answer")).not().isVisible();
        page.assertNothingWrong();
    }

    @Test
    void optionsStandSideBySideOnTheSameDuty() {
        page.openBuild("Pass Van");
        page.raw()
                .getByRole(AriaRole.TAB, new com.microsoft.playwright.Page.GetByRoleOptions().setName("Side by side"))
                .click();
        Locator worst = page.raw()
                .getByRole(
                        AriaRole.ROW,
                        new com.microsoft.playwright.Page.GetByRoleOptions().setName(Pattern.compile("worst intake")));
        for (String option : new String[] {"A", "B", "C"}) {
            assertThat(worst)
                    .containsText(
                            Expected.decimal(Expected.of(page.file(), option).worst()));
        }
        page.option("A");
        assertThat(page.verdict()).containsText("The ECU pulls timing");
        assertThat(page.station(6)).containsText(Expected.of(page.file(), "A").figure(6));
        page.assertNothingWrong();
    }

    @Test
    void tryMakesAnOptionThatKeepsItsPromise() {
        page.openBuild("Pass Van");
        double before = Expected.of(page.file(), "C").worst();
        Locator first = page.raw().locator("aside tbody tr").first();
        assertThat(first).isVisible();
        String promise =
                first.locator("td").nth(1).textContent().replace('−', '-').replaceAll("[^0-9.+-]", "");
        first.getByRole(AriaRole.BUTTON).click();
        assertThat(page.raw()
                        .getByRole(
                                AriaRole.NAVIGATION,
                                new com.microsoft.playwright.Page.GetByRoleOptions().setName("Options"))
                        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^D"))))
                .isVisible();
        page.saved();
        assertThat(Expected.decimal(Expected.of(page.file(), "D").worst() - before))
                .isEqualTo(promise);
        page.assertNothingWrong();
    }

    @Test
    void unitsAndThemeSwitchAtOnceAndStay() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        page.raw().keyboard().press("u");
        assertThat(page.field("cold pipe outside diameter")).hasValue("2.244 in");
        assertThat(page.station(2)).containsText(Expected.of(page.file(), "C").fahrenheit(2));
        page.type("cold pipe outside diameter", "2.5").saved();
        assertThat(page.file()).contains("\"outside_mm\" : 63.5");
        page.raw().keyboard().press("Escape");
        page.raw().locator("body").press("d");
        assertThat(page.raw().locator("html")).hasAttribute("data-theme", "dark");
        page.raw().reload();
        assertThat(page.field("cold pipe outside diameter")).hasValue("2.5 in");
        assertThat(page.raw().locator("html")).hasAttribute("data-theme", "dark");
        page.assertNothingWrong();
    }

    @Test
    void everythingIsReachedByKeyboard() {
        page.openBuild("Pass Van");
        page.raw().keyboard().press("3");
        assertThat(page.field("core width")).isVisible();
        page.raw().keyboard().press("2");
        assertThat(page.field("core back")).isVisible();
        page.raw().keyboard().press("1");
        assertThat(page.field("displacement")).isVisible();
        page.raw().locator("[data-piece='0']").focus();
        for (int i = 0; i < 4; i++) {
            page.raw().keyboard().press("ArrowRight");
        }
        page.raw().keyboard().press("Enter");
        assertThat(page.field("cold pipe outside diameter")).isVisible();
        page.raw().locator("body").press("?");
        assertThat(page.raw().getByRole(AriaRole.DIALOG)).containsText("undo, also from earlier days");
        page.raw().keyboard().press("Escape");
        page.raw().locator("body").press("6");
        Locator cursor = page.raw().getByRole(AriaRole.SLIDER);
        String at = cursor.getAttribute("aria-valuenow");
        cursor.press("ArrowRight");
        assertThat(cursor).not().hasAttribute("aria-valuenow", at);
        page.raw().locator("body").press("Shift+A");
        assertThat(page.raw()).hasURL(Pattern.compile("option=A"));
        page.assertNothingWrong();
    }

    @Test
    void dutyIsEditedAsATable() {
        page.mayBeRefused(422, "/api/");
        page.openBuild("Pass Van", "Brief");
        page.type("duty row 3 boost", "20 psi").saved();
        assertThat(page.file()).contains("\"boost_kPa\" : 137.895");
        page.type("duty row 3 time", "300 s");
        assertThat(page.raw().getByRole(AriaRole.ALERT).first()).containsText("later than the row above");
        page.field("duty row 3 time").press("Escape");
        page.button("Add a row after row 1").click();
        assertThat(page.field("duty row 2 time")).hasValue("3 s");
        page.button("Take out row 2").click();
        assertThat(page.field("duty row 2 time")).hasValue("6 s");
        page.assertNothingWrong();
    }

    @Test
    void everythingThatShipsShowsItsLicence() {
        page.open("/");
        page.link("Licences of what ships with this").click();
        assertThat(page.raw().locator("details")).not().hasCount(0);
        assertThat(page.raw().locator("details:not(:has(pre))")).hasCount(0);
        Locator first = page.raw().locator("details").first();
        first.locator("summary").click();
        assertThat(first.locator("pre").first()).isVisible();
        assertThat(page.raw().locator("summary b").allTextContents()).contains("vue-router", "h2", "Archivo, font");
        assertThat(page.raw().locator("details", named("Archivo"))).containsText("SIL OPEN FONT LICENSE");
        page.assertNothingWrong();
    }

    private static com.microsoft.playwright.Page.LocatorOptions named(String part) {
        return new com.microsoft.playwright.Page.LocatorOptions().setHasText(part);
    }

    @Test
    void buildFileGoesOutAndComesIn() throws IOException {
        page.mayBeRefused(422, "/api/");
        page.openBuild("Juniper");
        Path file = Files.writeString(
                folder.resolve("juniper-copy.json"), page.file().replace("\"Juniper\"", "\"Juniper copy\""));
        page.open("/");
        page.raw().setInputFiles("input[type=file]", file);
        assertThat(page.raw()
                        .getByText("Juniper copy", new com.microsoft.playwright.Page.GetByTextOptions().setExact(true))
                        .first())
                .isVisible();
        page.open("/");
        page.raw()
                .setInputFiles(
                        "input[type=file]",
                        Files.writeString(
                                folder.resolve("cut.json"),
                                Files.readString(file).substring(0, 400)));
        assertThat(page.raw().getByRole(AriaRole.ALERT)).containsText("it ends in the middle");
        page.link("New build").click();
        assertThat(page.field("displacement")).hasValue("2 L");
        page.assertNothingWrong();
    }

    @Test
    void commandLineAnswersTheFileAsTheScreenDoes() throws Exception {
        page.openBuild("Pass Van")
                .surface("Space")
                .coolingAir()
                .type("seal round the stack", "60")
                .saved();
        Path file = Files.writeString(folder.resolve("van.json"), page.file());
        RunningProgram.Outcome solved = RunningProgram.run("solve", file.toString(), "--option", "C", "--table");
        assertThat(solved.status()).isZero();
        String figure = page.station(6).locator(".big").textContent().replace("°", "");
        assertThat(solved.printed()).containsPattern("plenum\\s+" + figure.replace(".", "\\."));
        assertThat(page.raw().locator("aside.verdict li").allTextContents())
                .as("what is worth knowing, in the same sentences")
                .isNotEmpty()
                .allSatisfy(says -> assertThat(solved.printed()).contains("  " + says.replace('\u00a0', ' ') + "\n"));
        RunningProgram.Outcome soaked = RunningProgram.run("soak", file.toString(), "--option", "C", "--table");
        assertThat(soaked.printed())
                .contains(Expected.decimal(Expected.of(page.file(), "C").worst()));
        String column = page.raw().locator("aside.verdict").innerText().replace('\u00a0', ' ');
        assertThat(soaked.printed()
                        .lines()
                        .filter(line -> line.startsWith("  "))
                        .map(String::strip))
                .as("the same sentences")
                .hasSizeGreaterThan(4)
                .allSatisfy(says -> assertThat(column).contains(says));
        RunningProgram.Outcome second = RunningProgram.run(
                "serve", "--data", folder.resolve("none").toString(), "--port", String.valueOf(program.port()));
        assertThat(second.status()).isEqualTo(2);
        assertThat(second.printed()).contains("port " + program.port() + " is taken");
    }

    @ParameterizedTest
    @CsvSource({"light,1280,800", "dark,1024,768"})
    void viewsHaveNoAccessibilityFaultAndNoSidewaysScroll(String theme, int width, int height) throws IOException {
        page = Page.alone(chromium.browser(), program.address(), width, height);
        page.raw().addInitScript("localStorage.setItem('enthalpa.theme', '" + theme + "')");
        String axe = Files.readString(Path.of("../web/node_modules/axe-core/axe.min.js"));
        page.openBuild("Juniper");
        String base = page.raw().url().replace(program.address(), "").replaceAll("/endurance.*", "");
        for (String view : new String[] {
            "/",
            base + "/brief",
            base + "/space",
            base + "/core",
            base + "/water",
            base + "/pipes",
            base + "/endurance",
            "/catalogue"
        }) {
            page.open(view);
            assertThat(page.raw()
                            .locator(view.equals("/") ? ".says i" : view.equals("/catalogue") ? "tbody tr" : "aside h1")
                            .first())
                    .isVisible();
            page.raw().evaluate("script => { const tag = (0, eval)(script); return tag === undefined }", axe);
            Object faults = page.raw().evaluate("""
                    async () => (await axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag22aa'] })).violations
                      .map(v => v.id + ': ' + v.nodes.map(n => n.target + ' ' + n.failureSummary).slice(0, 3).join(' | '))""");
            assertThat((java.util.List<?>) faults).as(view).isEmpty();
            Object sideways = page.raw()
                    .evaluate("() => document.documentElement.scrollWidth - document.documentElement.clientWidth");
            assertThat(sideways).as(view).isEqualTo(0);
        }
    }
}

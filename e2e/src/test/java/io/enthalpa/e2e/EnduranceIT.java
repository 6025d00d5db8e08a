package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.duty.DutyPiece;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.verdict.RunShape;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Duties, odds, methods and traces in a real browser: what is dragged, typed and read in is what the core runs. */
class EnduranceIT extends OnDemo {
    private static final double LONG = 60_000;

    private Build build() {
        return BuildFile.read(page.file());
    }

    private static com.microsoft.playwright.Page.GetByRoleOptions named(String pattern) {
        return new com.microsoft.playwright.Page.GetByRoleOptions().setName(Pattern.compile(pattern));
    }

    private Locator tab(String name) {
        return page.raw()
                .getByRole(
                        AriaRole.TAB,
                        new com.microsoft.playwright.Page.GetByRoleOptions()
                                .setName(name)
                                .setExact(true));
    }

    private Locator piece(String name) {
        return page.raw().getByRole(AriaRole.BUTTON, named("^Piece \\d+: " + name));
    }

    private void starter() {
        page.newBuild();
    }

    @Test
    void dutyIsBuiltFromPiecesByTypingDraggingAndMoving() {
        starter();
        piece("pull to 130").click();
        page.type("duty piece 2 for", "18 s").saved();
        assertThat(((DutyPiece.Pull) build().duty().pieces().get(1)).seconds()).isEqualTo(18);
        page.button("Put in: wait, standing, idling or switched off").click();
        page.saved();
        assertThat(build().duty().pieces()).hasSize(5).element(2).isInstanceOf(DutyPiece.Wait.class);
        piece("wait idling, 2:00").press("Alt+ArrowLeft");
        page.saved();
        assertThat(build().duty().pieces().get(1)).isEqualTo(new DutyPiece.Wait(120, true));
        double before = build().duty().runLength();
        Locator handle = page.raw().locator(".curves .handle rect").first();
        handle.scrollIntoViewIfNeeded();
        BoundingBox box = handle.boundingBox();
        page.raw().mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.raw().mouse().down();
        page.raw().mouse().move(box.x + box.width / 2 + 60, box.y + box.height / 2);
        page.raw().mouse().up();
        page.saved();
        assertThat(build().duty().runLength()).isGreaterThan(before + 10);
        BoundingBox from = piece("brake to 75").boundingBox();
        BoundingBox to = piece("wait idling, \\d+ s").first().boundingBox();
        page.raw().mouse().move(from.x + 12, from.y + 12);
        page.raw().mouse().down();
        page.raw().mouse().move(to.x + 12, to.y + 12, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(5));
        page.raw().mouse().up();
        page.saved();
        assertThat(build().duty().pieces().get(0)).isInstanceOf(DutyPiece.Brake.class);
        page.button("Undo").click();
        page.saved();
        assertThat(build().duty().pieces().get(0)).isInstanceOf(DutyPiece.Wait.class);
        page.assertNothingWrong();
    }

    @Test
    void libraryAndLapsBecomeTheDutyAndTheVerdictFollows() {
        page.openBuild("Pass Van", "Brief");
        page.button("from the library").click();
        page.button("Take: limiter, standing").click();
        assertThat(page.button("Take: limiter, standing")).hasCount(0);
        page.saved();
        Answer standing = new Answer(build(), "C");
        double worst = standing.verdict(standing.soak()).worst() - 273.15;
        assertThat(page.verdict()).containsText(String.format(Locale.ROOT, "%.0f", worst));
        page.button("build laps").click();
        page.field("lap time").fill("70 s");
        page.field("end of the straights").fill("70 mph");
        page.button("Build the laps").click();
        assertThat(page.button("Build the laps")).hasCount(0);
        page.saved();
        assertThat(build().duty().name()).isEqualTo("12 laps of 70 s");
        assertThat(build().duty().runLength()).isCloseTo(20 + 12 * 70 + 1.3 * 70, within(1e-6));
        page.assertNothingWrong();
    }

    @Test
    void pieceWithoutEngineSpeedIsRefusedUntilThereIsGearing() {
        page.mayBeRefused(422, "/api/");
        page.openBuild("Pilot Launch", "Brief");
        page.button("from the library").click();
        page.button("Take: motorway").click();
        assertThat(page.button("Take: motorway")).hasCount(0);
        page.saved();
        page.field("duty piece 1 to engine speed").fill("");
        page.field("duty piece 1 to engine speed").press("Enter");
        assertThat(page.raw().getByRole(AriaRole.ALERT).first()).containsText("the gearing is not known");
        page.field("duty piece 1 to engine speed").press("Escape");
        page.button("give it").click();
        page.saved();
        assertThat(build().gearing()).isPresent();
        page.field("gears, first to top").fill("3 2 four");
        page.field("gears, first to top").press("Enter");
        assertThat(page.raw().getByRole(AriaRole.ALERT).first()).containsText("\"four\" is not a number");
        page.assertNothingWrong();
    }

    @Test
    void logOfAnyMakeBecomesTheDuty() throws IOException {
        StringBuilder log = new StringBuilder("Time [s],Engine RPM,MAP [kPa],GPS Speed (mph)\n");
        for (int i = 0; i < 4000; i++) {
            log.append(String.format(
                    Locale.ROOT,
                    "%.1f,%d,%.1f,%d%n",
                    i * 0.1 + (i > 2000 ? 40 : 0),
                    2000 + i % 1500,
                    90 + 80 * Math.sin(i / 300.0),
                    30));
        }
        Path file = Files.writeString(folder.resolve("session 3.csv"), log);
        page.mayBeRefused(422, "/api/");
        page.openBuild("Pass Van", "Brief").button("from a log").click();
        page.raw().setInputFiles("input[aria-label='Log as CSV']", file);
        assertThat(page.raw().locator(".log")).containsText("Line 2003: a gap of 40.1 s");
        page.button("Take it as the duty").click();
        page.saved();
        assertThat(build().duty().name()).isEqualTo("session 3");
        assertThat(build().duty().length()).isCloseTo(439.9, within(0.01));
        page.button("from a log").click();
        page.raw()
                .setInputFiles(
                        "input[aria-label='Log as CSV']",
                        Files.writeString(folder.resolve("bad.csv"), "t,rpm,boost\n0,3000,0\n5,3000,0\n3,3000,0\n"));
        assertThat(page.raw().locator(".log [role=alert]")).containsText("line 4, t is 3.00 s");
        page.assertNothingWrong();
    }

    @Test
    void oddsNameWhatToMeasureAndDrawABand() {
        page.openBuild("Pass Van");
        page.button("Run 200 of what they may be").click();
        assertThat(page.raw().locator("aside .measure"))
                .not()
                .isEmpty(new LocatorAssertions.IsEmptyOptions().setTimeout(LONG));
        assertThat(page.raw().locator("aside")).containsText("200 runs of what is not known exactly");
        assertThat(page.raw().locator(".chart .band")).hasCount(1);
        page.surface("Core").type("core depth", "70 mm").saved();
        assertThat(page.raw().locator("aside .measure")).hasCount(0);
        page.button("Run 200 of what they may be").click();
        page.raw()
                .locator("aside")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Cancel"))
                .click();
        assertThat(page.button("Run 200 of what they may be")).isVisible();
        page.assertNothingWrong();
    }

    /** TF-04, common practice: a ramp that settles only when the water is hot is too little water, and the page says so. */
    @Test
    void tooLittleWaterIsARampAndTheWaterIsBlamed() {
        page.openBuild("Juniper").option("B").lapsOnLittleWater();
        page.field("sensor").waitFor();
        page.alsoShow("water behind the core");
        assertThat(page.raw().locator("aside .shape"))
                .containsText("too little water flow. The radiator is not to blame.");
        assertThat(page.raw().locator("aside .why")).containsText("Too little water flows");
        Answer answer = new Answer(build(), "B");
        Trace trace = answer.soak();
        assertThat(answer.figures(trace).shape()).isEqualTo(RunShape.RAMP);
        assertThat(java.util.Arrays.stream(trace.core().cold().out()).max().orElseThrow() - 273.15)
                .as("water behind the core")
                .isBetween(60.0, 70.0);
        page.assertNothingWrong();
    }

    /** From nothing: without a cooler the verdict blames what there is, and the first thing offered is a core, which is then there. */
    @Test
    void aBuildWithoutACoolerIsOfferedACore() {
        starter();
        page.surface("Pipes").button("Take out core").click();
        page.saved();
        assertThat(page.verdict()).containsText("The ECU pulls timing");
        assertThat(page.raw().locator("aside .shape")).not().containsText("heat soak");
        Locator offer = page.raw().getByRole(AriaRole.BUTTON, named("^Try: An air-to-air core"));
        offer.click(new Locator.ClickOptions().setTimeout(LONG));
        page.saved();
        assertThat(page.verdict()).containsText("Holds");
        assertThat(build().options()).hasSize(2);
        assertThat(BuildFile.tree(build().option("B")).at("/path").findValuesAsString("kind"))
                .contains("core");
        page.assertNothingWrong();
    }

    /** From nothing: whatever soaked in before the start, the core is judged by what it holds under load. */
    @Test
    void aHotStartIsToldBesideTheVerdict() {
        starter();
        page.surface("Brief")
                .type("intake target", "62 °C")
                .type("duty start above outside air", "40 °C")
                .saved();
        page.surface("Endurance");
        assertThat(page.verdict()).containsText("Holds");
        assertThat(page.raw().locator("aside")).containsText("not counted");
        Answer answer = new Answer(build(), "A");
        Trace trace = answer.soak();
        assertThat(answer.verdict(trace).worst())
                .isLessThan(java.util.Arrays.stream(trace.intake()).max().orElseThrow() - 3);
        page.assertNothingWrong();
    }

    @Test
    void pumpAndFanAreSeenAndStoppedWithTheEngine() {
        page.openBuild("Juniper").option("B");
        assertThat(page.raw().locator(".rail text")).hasText("pump");
        assertThat(page.raw().locator(".rail rect")).hasCount(1);
        assertThat(page.raw().locator(".moment"))
                .containsText(
                        "water " + Expected.decimal(60e3 * atWorst(new Answer(build(), "B").soak())) + "\u00a0L/min");
        page.surface("Water");
        page.raw().getByRole(AriaRole.COMBOBOX, named("pumps while engine off")).click();
        page.raw()
                .getByRole(
                        AriaRole.OPTION,
                        new com.microsoft.playwright.Page.GetByRoleOptions()
                                .setName("no")
                                .setExact(true))
                .click();
        page.saved().surface("Endurance");
        assertThat(page.raw().locator(".rail rect")).hasCount(4);
        page.openBuild("Pass Van");
        assertThat(page.raw().locator(".rail text")).hasText(new String[] {"fan 1", "fan 2"});
        page.assertNothingWrong();
    }

    /** m3/s of water at the worst moment. */
    private static double atWorst(Trace trace) {
        int worst = 0;
        for (int i = 0; i < trace.length(); i++) {
            worst = trace.flow()[i] > 0 && trace.intake()[i] > trace.intake()[worst] ? i : worst;
        }
        return trace.core().cold().water()[worst];
    }

    @Test
    void methodIsTakenAsItWasCompared() {
        page.openBuild("Juniper");
        tab("Methods").click();
        Locator ice = page.raw().getByRole(AriaRole.ROW, named("^ice tank"));
        assertThat(page.raw().locator(".methods progress"))
                .hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(LONG));
        String worst = ice.locator("td").first().textContent();
        ice.getByRole(AriaRole.BUTTON).click();
        assertThat(page.raw()).hasURL(Pattern.compile("option=D"));
        page.saved();
        assertThat(Expected.decimal(Expected.of(page.file(), "D").worst())).isEqualTo(worst);
        page.assertNothingWrong();
    }

    @Test
    void traceIsSavedWithEveryStepAndPlays() throws IOException {
        page.openBuild("Saltline");
        tab("Run by run").click();
        assertThat(page.raw().locator(".runs tbody tr")).hasCount(2);
        tab("Figures").click();
        Download download =
                page.raw().waitForDownload(() -> page.button("save as CSV").click());
        String[] lines = Files.readString(download.path()).strip().split("\n");
        Trace trace = new Answer(build(), "C").soak();
        assertThat(lines).hasSize(trace.length() + 1);
        int intake = java.util.List.of(lines[0].split(",")).indexOf("intake_C");
        assertThat(Double.parseDouble(lines[trace.length()].split(",")[intake]))
                .isCloseTo(trace.intake()[trace.length() - 1] - 273.15, within(0.001));
        tab("Trace").click();
        page.field("sensor").check();
        page.field("bay").check();
        page.alsoShow("core in");
        assertThat(page.raw().locator(".chart .extra")).hasCount(3);
        Locator cursor = page.raw().getByRole(AriaRole.SLIDER, named("Time in the duty"));
        cursor.press("Home");
        assertThat(cursor).hasAttribute("aria-valuenow", "0");
        page.button("Play the duty").click();
        assertThat(cursor).not().hasAttribute("aria-valuenow", "0");
        page.button("Stop playing the duty").click();
        page.assertNothingWrong();
    }

    @Test
    void bayAndHotNeighbourWarmThePipe() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        double before = new Answer(build(), "C").steady().path().intakeTemperature();
        page.raw()
                .getByRole(AriaRole.BUTTON, named("something hot beside it"))
                .last()
                .click();
        page.saved();
        assertThat(new Answer(build(), "C").steady().path().intakeTemperature()).isGreaterThan(before + 0.02);
        page.surface("Brief");
        page.raw()
                .locator("section")
                .filter(new Locator.FilterOptions()
                        .setHas(page.raw().getByRole(AriaRole.HEADING, named("^Engine bay"))))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("leave it out"))
                .click();
        page.saved();
        assertThat(build().bay()).isEmpty();
        assertThat(page.station(6)).containsText(Expected.of(page.file(), "C").figure(6));
        page.assertNothingWrong();
    }

    /** Looked at closely, a stretch is told step by step; it follows the cursor, and the whole comes back. */
    @Test
    void aPartOfTheDutyIsLookedAtClosely() {
        page.openBuild("Pass Van");
        Locator chart = page.raw().locator(".chart svg");
        BoundingBox box = chart.boundingBox();
        double axis = page.raw().locator(".axis-hold").boundingBox().y + 8;
        page.raw().mouse().move(box.x + 300, axis);
        page.raw().mouse().down();
        page.raw().mouse().move(box.x + 400, axis);
        Response near = page.raw()
                .waitForResponse(
                        "**/api/preview/stretch", () -> page.raw().mouse().up());
        assertThat(near.status()).isEqualTo(200);
        Locator ticks = chart.locator(".grid text");
        assertThat(ticks.filter(new Locator.FilterOptions().setHasText(Pattern.compile("^\\d+:\\d\\d$")))
                        .first())
                .isVisible();
        assertThat(page.button("the whole")).isVisible();
        Locator slider = page.raw().getByRole(AriaRole.SLIDER, named("Time in the duty"));
        slider.press("End");
        assertThat(ticks.filter(new Locator.FilterOptions().setHasText("22:00")))
                .isVisible();
        slider.press("0");
        assertThat(page.button("the whole")).hasCount(0);
        assertThat(ticks.filter(new Locator.FilterOptions().setHasText("minutes")))
                .isVisible();
        slider.press("+");
        assertThat(page.button("wider")).isVisible();
        page.assertNothingWrong();
    }
}

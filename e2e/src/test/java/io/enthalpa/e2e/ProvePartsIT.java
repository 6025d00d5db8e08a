package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is done with a build that stands: tried for leaks, filled, driven for the first time, recorded, and learned from. */
class ProvePartsIT extends OnDemo {
    private static final double LONG = 60_000;

    @TempDir
    Path folder;

    private Locator prove() {
        return page.raw().locator(".prove");
    }

    private static LocatorAssertions.ContainsTextOptions patient() {
        return new LocatorAssertions.ContainsTextOptions().setTimeout(LONG);
    }

    private String pdf(String button) throws IOException {
        Download download = page.raw().waitForDownload(() -> page.button(button).click());
        Path file = folder.resolve("sheet.pdf");
        download.saveAs(file);
        return Files.readString(file, StandardCharsets.ISO_8859_1);
    }

    /** What is stored comes before any reading; the readings are judged, and are there after a reload. */
    @Test
    void aLeakTestOfANewBuild() throws IOException {
        page.newBuild().surface("Prove");
        page.button("Leak test").click();
        assertThat(prove()).containsText("No leak test yet");
        page.button("Try the boosted side").click();
        assertThat(prove()).containsText("a cap that lets go strikes like a 1 kg hammer", patient());
        assertThat(prove()).containsText("Nothing says what the parts are rated to");
        assertThat(page.button("Add a reading")).hasCount(0);
        page.type("leak test weakest part rated to", "40 kPa");
        assertThat(prove()).containsText("Never above 40 kPa", patient());
        page.button("Every cap is strapped: take readings").click();
        page.button("Add a reading").click();
        page.button("Add a reading").click();
        page.type("reading 1 gauge", "38");
        page.type("reading 2 gauge", "37.9");
        page.type("reading 2 clock", "60");
        Locator result = page.raw().locator(".result");
        assertThat(result).containsText("Tight: under 0.01 %", patient());
        page.type("reading 2 gauge", "5");
        page.type("reading 2 clock", "10");
        assertThat(result).containsText("of the engine's air gets out when driven", patient());
        assertThat(result).not().containsText("under 0.01 %");
        page.type("reading 1 gauge", "60");
        assertThat(result).containsText("above what it may be pumped to", patient());
        page.saved();
        page.raw().reload();
        assertThat(result).containsText("above what it may be pumped to", patient());
        assertThat(page.raw().getByLabel("reading 2 gauge")).hasValue("5 kPa");
        assertThat(pdf("On paper, to sign")).startsWith("%PDF");
        page.raw()
                .setInputFiles(
                        ".leaks input[type=file]",
                        Files.writeString(
                                folder.resolve("gauge.csv"), "time_s,gauge_kPa,air_C\n0,35,20\n30,34,20\n60,33,20\n"));
        assertThat(page.raw().locator(".readings tbody tr")).hasCount(3);
        page.button("Take this test out").click();
        assertThat(prove()).containsText("No leak test yet");
        page.assertNothingWrong();
    }

    /** The simulated gauge goes on over a reload; what it said is readings of the test, and called simulated. */
    @Test
    void theGaugeOfALeakTestIsReadByItself() {
        page.newBuild().surface("Prove");
        page.button("Leak test").click();
        page.button("Try the boosted side").click();
        page.button("Every cap is strapped: take readings").click();
        page.pick("How fast the simulated gauge goes", "20");
        page.button("Read it").click();
        Locator gauge = page.raw().locator(".gauge");
        assertThat(gauge).containsText(Pattern.compile("kPa, air .* simulated"), patient());
        page.saved();
        page.raw().reload();
        page.button("Every cap is strapped: take readings").click();
        assertThat(gauge).containsText(Pattern.compile("0:[345]\\d"), patient());
        page.button("End it and take the readings").click();
        assertThat(page.button("Read it")).isVisible();
        assertThat(page.raw().locator(".leaks")).containsText("Readings, gauge with thermometer (simulated)");
        assertThat(page.raw().locator(".readings tbody tr").nth(20)).isVisible();
        assertThat(page.raw().locator(".result")).containsText("of the engine's air", patient());
        page.raw().reload();
        assertThat(page.raw().locator(".leaks")).containsText("Readings, gauge with thermometer (simulated)");
        page.assertNothingWrong();
    }

    @Test
    void listsOfTheDemoAndItsChange() throws IOException {
        page.openBuild("Juniper").option("A").surface("Prove");
        page.button("Fill and bleed").click();
        assertThat(prove()).containsText("Core is fed from above: it never fills", patient());
        page.button("First drive").click();
        assertThat(prove()).containsText("Torque all 8 clamps", patient());
        assertThat(pdf("On paper, to tick and sign")).startsWith("%PDF");
        page.button("Joints and force").click();
        assertThat(prove()).containsText("is where it pops off first", patient());
        page.button("Changes made").click();
        assertThat(prove()).containsText("2.3 °C colder under load, give or take 1.6 °C, as predicted", patient());
        page.button("Leak test").click();
        assertThat(prove()).containsText("Tight:", patient());
        page.assertNothingWrong();
    }

    /** Simulated devices of a new build, seen again after a reload, ended into a log that says what it is. */
    @Test
    void aRecordingBecomesALog() {
        page.newBuild().surface("Prove");
        page.button("Record").click();
        page.pick("How fast simulated devices go", "60");
        page.button("Start recording").click();
        assertThat(prove()).containsText("rows on the disk", patient());
        assertThat(prove().locator(".values")).containsText("simulated");
        page.raw().reload();
        assertThat(prove()).containsText(Pattern.compile("[\\d,]{3,} rows on the disk"), patient());
        page.button("End it and look at it").click();
        assertThat(page.raw().locator(".logs button"))
                .containsText(Pattern.compile("drive .*\\(simulated\\)"), patient());
        assertThat(page.raw().locator(".answer")).containsText(Pattern.compile("Predicted|nothing|load"), patient());
        assertThat(page.raw().locator(".answer")).containsText("The band holds the", patient());
        page.assertNothingWrong();
    }

    @Test
    void aCaseOfTheTraceSchool() {
        page.openBuild("Pass Van").surface("Prove");
        page.button("Trace school").click();
        Locator school = page.raw().locator(".school");
        assertThat(school).containsText("Simulated:", patient());
        assertThat(page.button("That is it")).isDisabled();
        page.raw().getByLabel("nothing is wrong").check();
        page.button("That is it").click();
        assertThat(school.locator(".grade")).containsText(Pattern.compile("Right|No:|It was another"), patient());
        assertThat(school.locator(".levels")).containsText(Pattern.compile("of \\d"));
        page.button("Next case").click();
        assertThat(page.button("That is it")).isDisabled();
        assertThat(school.locator(".grade")).hasCount(0);
        page.button("Hard").click();
        assertThat(school).containsText("the intake and the weather alone");
        page.assertNothingWrong();
    }
}

package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.formats.BuildFile;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A whole new job: five answers, a finished answer, and any cooling changed to any other. */
class NewBuildIT extends OnDemo {
    private void cooled(String method) {
        page.raw()
                .getByRole(
                        AriaRole.RADIO,
                        new com.microsoft.playwright.Page.GetByRoleOptions().setName(Pattern.compile("^" + method)))
                .check();
    }

    private Build build() {
        return BuildFile.read(page.file());
    }

    /** The verdict on the page is the one that the kept file comes to. */
    private void assertVerdictIsThatOfTheFile() {
        Answer answer = new Answer(build(), "A");
        double worst = answer.verdict(answer.soak()).worst() - 273.15;
        assertThat(page.verdict()).containsText("%.0f °C".formatted(worst));
    }

    @ParameterizedTest
    @CsvSource({
        "no cooler, one, turbo",
        "air to air, 'two, side by side', turbo",
        "water and radiator, one, screw blower",
        "ice tank, 'two, side by side', turbo",
        "chilled water, one, roots-type blower",
        "raw water, one, turbo",
        "injection alone, one, centrifugal blower",
    })
    void everyCoolingGoesFromTheQuestionsToItsVerdict(String method, String blowers, String blower) {
        page.open("/new");
        page.type("boost", "70 kPa");
        page.pick("how many", blowers);
        page.pick("blower", blower);
        cooled(method);
        Locator says = page.raw().locator(".answer .verdict");
        assertThat(says).isVisible();
        page.openNew();
        assertThat(page.raw().locator(".options .on")).containsText(method);
        assertThat(Pieces.of(PathElement.Blower.class, build().option("A").path()))
                .hasSize(blowers.equals("one") ? 1 : 2)
                .allMatch(b -> b.piece().name().endsWith(blower));
        assertThat(history()).containsExactly("new build");
        assertVerdictIsThatOfTheFile();
        page.assertNothingWrong();
    }

    @Test
    void whatTheQuestionsPromiseIsWhatOpens() {
        page.open("/new");
        page.type("displacement", "3.2 L").type("revs to", "4800 rpm");
        page.pick("duty", "hill with a trailer");
        Locator says = page.raw().locator(".answer .verdict");
        assertThat(says).isVisible();
        Locator air = page.raw().locator("label").filter(new Locator.FilterOptions().setHasText("air to air"));
        assertThat(air.locator("b")).containsText("°C");
        String promised = says.textContent();
        assertThat(promised)
                .as("what the list says of a way of cooling is what comes of it")
                .contains(air.locator("b").textContent().trim());
        page.openNew();
        assertThat(page.verdict()).hasText(promised);
        assertThat(page.field("displacement")).hasValue("3.2 L");
        assertThat(build().duty().name()).isEqualTo("hill with a trailer");
        page.assertNothingWrong();
    }

    @Test
    void whatCannotBeIsRefusedWhereItStandsAndNothingIsKept() {
        page.open("/");
        Locator rows = page.raw().locator("ol > li");
        assertThat(rows.first()).isVisible();
        int before = rows.count();
        page.link("New build").click();
        page.type("boost", "900 kPa");
        assertThat(page.raw().getByRole(AriaRole.ALERT).first()).containsText("between 0 kPa and 500 kPa");
        page.type("boost", "480 kPa");
        assertThat(page.raw().locator(".answer .worse")).containsText("it cannot make");
        page.link("All builds").click();
        assertThat(rows).hasCount(before);
    }

    @Test
    void pressedTwiceWithLateAnswersItIsKeptOnce() {
        page.open("/");
        Locator rows = page.raw().locator("ol > li");
        assertThat(rows.first()).isVisible();
        int before = rows.count();
        page.link("New build").click();
        assertThat(page.raw().locator(".answer .verdict")).isVisible();
        page.late("/api/builds", 1000);
        page.button("Open this build").dblclick();
        assertThat(page.raw().locator("[data-station]").first()).isVisible();
        page.saved().link("All builds").click();
        assertThat(rows).hasCount(before + 1);
        page.assertNothingWrong();
    }

    @Test
    void coolingIsChangedOnCoreAndOnWaterAndBack() {
        page.newBuild().surface("Water");
        assertThat(page.raw().getByText("Cool it with water instead")).isVisible();
        page.button("chilled water").click();
        assertThat(page.field("chiller capacity")).hasValue("4.5 kW");
        page.saved();
        assertVerdictIsThatOfTheFile();
        assertThat(page.raw().locator(".options .on")).containsText("chilled water");
        page.surface("Core").choose("cool it another way", "air to air");
        assertThat(page.raw().locator(".options .on")).containsText("air to air");
        page.saved();
        assertVerdictIsThatOfTheFile();
        page.choose("cool it another way", "ice tank");
        assertThat(page.raw().locator(".options .on")).containsText("ice tank");
        page.saved();
        assertVerdictIsThatOfTheFile();
        page.choose("cool it another way", "no cooler");
        assertThat(page.raw().getByText("This option has no core.")).isVisible();
        page.saved();
        page.button("water and radiator").click();
        assertThat(page.raw().locator(".options .on")).containsText("water and radiator");
        page.saved();
        assertVerdictIsThatOfTheFile();
        assertThat(history())
                .containsExactly(
                        "option A cooled by water and radiator",
                        "option A cooled by no cooler",
                        "option A cooled by ice tank",
                        "option A cooled by air to air",
                        "option A cooled by chilled water",
                        "new build");
        for (int i = 0; i < 5; i++) {
            page.button("Undo").click();
            page.saved();
        }
        assertThat(page.raw().locator(".options .on")).containsText("air to air");
        assertVerdictIsThatOfTheFile();
        page.assertNothingWrong();
    }

    /** Turned on Core it stands on end on Space, its tanks count, and what refuses it speaks of its height. */
    @Test
    void coreOnEndIsOnEndEverywhere() {
        page.newBuild().surface("Core");
        page.button("turn it").click();
        page.saved()
                .surface("Space")
                .coolingAir()
                .button("describe the opening, the stack and the exit")
                .click();
        page.saved();
        assertThat(page.raw().getByText("outside its space")).hasCount(0);
        page.type("space height", "600 mm").saved();
        assertThat(page.raw().getByText("outside its space, tanks and port stubs counted"))
                .isVisible();
        page.type("space height", "400 mm");
        assertThat(page.verdict()).hasText("No answer for this.");
        assertThat(page.raw().getByText(Pattern.compile("core, height is \\d+ mm")))
                .isVisible();
        page.surface("Core").button("turn it").click();
        assertThat(page.raw().getByText(Pattern.compile("core, height is"))).hasCount(0);
        page.assertNothingWrong();
    }
}

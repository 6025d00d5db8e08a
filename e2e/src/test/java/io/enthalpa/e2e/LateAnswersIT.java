package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The surfaces with lists and choices of their own, pressed and typed in quick succession while every answer comes late. */
class LateAnswersIT extends OnDemo {
    private static final int LATE_MS = 600;

    private JsonNode document() {
        return JsonMapper.shared().readTree(page.file());
    }

    @Test
    void piecesOfADuty() {
        page.newBuild();
        page.type("Build", "Bench car").saved().late("/api/", LATE_MS);
        int before = document().at("/duty/pieces").size();
        page.raw()
                .getByRole(
                        AriaRole.BUTTON,
                        new com.microsoft.playwright.Page.GetByRoleOptions().setName(Pattern.compile("^Piece 2: pull")))
                .first()
                .click();
        page.button("Put in: wait, standing, idling or switched off").click();
        page.type("duty piece 3 for", "77 s");
        page.button("Put in: brake, throttle shut, down to a speed").click();
        page.type("duty piece 4 for", "9 s");
        page.button("repeat it").click();
        page.button("Put in: hold, one speed and boost, held").click();
        page.button("take it out").click();
        page.saved();
        JsonNode pieces = document().at("/duty/pieces");
        assertThat(pieces).hasSize(before + 2);
        assertThat(pieces.get(2).get("time_s").intValue()).isEqualTo(77);
        assertThat(pieces.get(3).get("kind").asString()).isEqualTo("repeat");
        assertThat(pieces.get(3).at("/pieces/0/time_s").intValue()).isEqualTo(9);
        page.assertNothingWrong();
    }

    @Test
    void twoBlowersTwoBanksAndWhatIsTypedMeanwhile() {
        page.openBuild("Pass Van", "Brief").late("/api/", LATE_MS);
        page.pick("blowers", "two");
        page.type("boost", "120 kPa");
        page.pick("banks", "two");
        page.type("left turbo most pressure ratio", "2.7");
        page.type("outside air", "30 C").saved();
        JsonNode option = document().at("/options/2");
        assertThat(option.get("boost_kPa").intValue()).isEqualTo(120);
        assertThat(option.at("/path/0/legs/0/path/1/maxPressureRatio").doubleValue())
                .isEqualTo(2.7);
        assertThat(option.get("path")
                        .get(option.get("path").size() - 1)
                        .get("kind")
                        .asString())
                .isEqualTo("pair");
        assertThat(document().at("/climate/airTemperature_C").intValue()).isEqualTo(30);
        page.assertNothingWrong();
    }

    @Test
    void orderOfTheStackAndLayersThatMoveMeanwhile() {
        page.openBuild("Pass Van")
                .option("B")
                .surface("Space")
                .coolingAir()
                .button("compare all orders")
                .click();
        page.button("Use the order core, condenser, engine radiator").waitFor();
        page.late("/api/", LATE_MS);
        page.button("Use the order core, condenser, engine radiator").click();
        page.button("Move core to the back").click();
        page.type("engine radiator free before it", "33");
        page.button("Move core to the back").click();
        page.saved();
        JsonNode layers = document().at("/options/1/airWays/0/layers");
        assertThat(layers.valueStream().map(l -> l.get("name").asString()))
                .containsExactly("condenser", "engine radiator", "core");
        page.assertNothingWrong();
    }

    @Test
    void sinksOfTheWater() {
        page.openBuild("Saltline", "Water").option("A").late("/api/", LATE_MS);
        page.type("ice", "24 kg");
        page.pick("ice stirred", "still");
        page.type("water in all", "55 L");
        page.pick("tank baffled", "yes");
        page.saved();
        JsonNode water = document().at("/options/0").findValue("water");
        assertThat(water.at("/tank/ice_kg").intValue()).isEqualTo(24);
        assertThat(water.at("/tank/stirred").asString()).isEqualTo("still");
        assertThat(water.get("volume_L").intValue()).isEqualTo(55);
        assertThat(water.at("/tank/baffled").booleanValue()).isTrue();
        page.assertNothingWrong();
    }

    @Test
    void aMethodIsTakenWhileTheBuildGoesOn() {
        page.openBuild("Pass Van");
        page.raw()
                .getByRole(AriaRole.TAB, new com.microsoft.playwright.Page.GetByRoleOptions().setName("Methods"))
                .click();
        Locator take = page.raw()
                .getByRole(
                        AriaRole.BUTTON,
                        new com.microsoft.playwright.Page.GetByRoleOptions().setName("Take ice tank as an option"));
        take.waitFor(new Locator.WaitForOptions().setTimeout(60_000));
        page.late("/api/", LATE_MS);
        take.click();
        page.saved();
        assertThat(document()
                        .get("options")
                        .valueStream()
                        .map(o ->
                                o.get("letter").asString() + " " + o.get("name").asString()))
                .hasSize(4)
                .last()
                .isEqualTo("D ice tank");
        page.assertNothingWrong();
    }

    @Test
    void catalogueItemsOfTwoWindows() {
        page.open("/catalogue");
        page.raw().getByLabel("Find in the catalogue").fill("coupler 63");
        Locator price = page.raw().locator("input[aria-label^='Price of']").first();
        String label = price.getAttribute("aria-label");
        Page second = Page.in(page.raw().context(), program.address()).open("/catalogue");
        second.raw().getByLabel("Find in the catalogue").fill("coupler 63");
        second.field(label).waitFor();
        page.late("/api/", LATE_MS);
        price.fill("31");
        price.press("Tab");
        Locator note = page.raw().getByLabel(label.replace("Price of", "Note on"));
        note.fill("as bought");
        note.press("Tab");
        page.raw().getByText("changed.").waitFor();
        page.raw().waitForTimeout(3 * LATE_MS);
        second.field(label).fill("99");
        second.field(label).press("Tab");
        assertThat(second.raw().getByRole(AriaRole.ALERT)).containsText("changed in another window");
        page.open("/catalogue");
        page.raw().getByLabel("Find in the catalogue").fill("coupler 63");
        assertThat(page.field(label)).hasValue("31");
        assertThat(page.field(label.replace("Price of", "Note on"))).hasValue("as bought");
        page.assertNothingWrong();
    }
}

package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Answers that come late, get lost or fail: every edit ends up in its own build, in its own row, once, as a step of its own. */
class NothingLostIT extends OnDemo {
    private static final int LATE_MS = 700;

    private JsonNode document() {
        return JsonMapper.shared().readTree(page.file());
    }

    private void late(String words) {
        page.late(words, LATE_MS);
    }

    private void slowly() {
        late("/api/");
    }

    private JsonNode piece(String option, String name) {
        for (JsonNode each : document().get("options")) {
            if (each.get("letter").asString().equals(option)) {
                for (JsonNode piece : each.get("path")) {
                    if (piece.get("name").asString().equals(name)) {
                        return piece;
                    }
                }
            }
        }
        throw new AssertionError("no " + name);
    }

    @Test
    void fourPressesAddFourBendsAndTypedValuesStayInTheirRows() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        slowly();
        page.type("hot pipe outside diameter", "57 mm");
        for (int i = 0; i < 4; i++) {
            page.button("Add a bend to cold pipe").click();
        }
        page.button("Take out bend 1 of cold pipe").click();
        page.type("cold pipe bend 2 bend angle", "33");
        page.choose("Put a piece in behind hot pipe", "joint");
        page.type("cold pipe straight length", "777 mm");
        page.saved();
        assertThat(piece("C", "hot pipe").get("outside_mm").intValue()).isEqualTo(57);
        assertThat(piece("C", "cold pipe").get("bends")).hasSize(6);
        assertThat(piece("C", "cold pipe").at("/bends/1/angle_deg").intValue()).isEqualTo(33);
        assertThat(piece("C", "cold pipe").get("length_mm").intValue()).isEqualTo(777);
        assertThat(piece("C", "joint").get("kind").asString()).isEqualTo("joint");
        assertThat(history()).hasSize(10);
        page.assertNothingWrong();
    }

    @Test
    void dutyRowsAndPiecesKeepWhatIsTypedWhileRowsComeAndGo() {
        page.openBuild("Pass Van", "Brief");
        int rows = document().at("/duty/rows").size();
        slowly();
        page.button("Add a row after row 2").click();
        page.button("Add a row after row 1").click();
        page.type("duty row 5 engine speed", "2222");
        page.button("Take out row 2").click();
        page.button("Add a row after row 1").click();
        page.type("boost", "150 kPa").saved();
        JsonNode duty = document().at("/duty/rows");
        assertThat(duty).hasSize(rows + 2);
        assertThat(duty.get(4).get("engineSpeed_rpm").intValue()).isEqualTo(2222);
        assertThat(history()).hasSize(7);
        page.assertNothingWrong();
    }

    @Test
    void layersWallsAndLoopPiecesToo() {
        page.openBuild("Pass Van", "Space").coolingAir();
        int walls = document().at("/options/2/airWays/0/opening/walls").size();
        slowly();
        page.button("a plate or bar").click();
        page.button("a plate or bar").click();
        page.raw()
                .getByLabel("number plate width", new com.microsoft.playwright.Page.GetByLabelOptions().setExact(true))
                .last()
                .fill("444");
        page.raw().keyboard().press("Enter");
        page.raw()
                .getByRole(
                        AriaRole.BUTTON,
                        new com.microsoft.playwright.Page.GetByRoleOptions()
                                .setName("Take out number plate")
                                .setExact(true))
                .first()
                .click();
        page.type("seal round the stack", "61").saved();
        JsonNode after = document().at("/options/2/airWays/0");
        assertThat(after.at("/opening/walls")).hasSize(walls + 1);
        assertThat(after.at("/opening/walls").get(walls).get("width_mm").intValue())
                .isEqualTo(444);
        assertThat(after.get("seal_pct").intValue()).isEqualTo(61);
        page.openBuild("Juniper", "Water").option("A");
        int pieces =
                document().at("/options/0/path").findValues("pieces").get(0).size();
        slowly();
        Locator name = page.raw().locator(".chosen-piece h2").first();
        String chosen = name.textContent();
        page.button("Move this piece back").click();
        page.choose("Put a piece in behind " + chosen, "hose");
        page.button("Add a bend to hose").click();
        page.button("Add a bend to hose").click();
        page.type("hose length", "321").saved();
        JsonNode loop = document().at("/options/0/path").findValues("pieces").get(0);
        assertThat(loop).hasSize(pieces + 1);
        JsonNode hose = loop.valueStream()
                .filter(p -> p.get("name").asString().equals("hose"))
                .findFirst()
                .orElseThrow();
        assertThat(hose.get("length_mm").intValue()).isEqualTo(321);
        assertThat(hose.get("bends")).hasSize(3);
        page.assertNothingWrong();
    }

    @Test
    void cardPointsFinsChoicesAndTheCatalogueOfACore() {
        page.openBuild("Pass Van", "Core").option("A");
        slowly();
        page.button("rating card").click();
        page.button("add a point").click();
        page.button("add a point").click();
        page.type("point 2 card: charge flow", "0.1");
        page.button("Take point 3 off the card").click();
        page.button("turn it").click();
        page.type("passages blocked", "7").saved();
        JsonNode core = piece("A", "core");
        assertThat(core.at("/card/morePoints")).hasSize(1);
        assertThat(core.at("/card/morePoints/0/chargeFlow_kg_s").doubleValue()).isEqualTo(0.1);
        assertThat(core.get("blocked_pct").intValue()).isEqualTo(7);
        page.assertNothingWrong();
    }

    @Test
    void aLateAnswerIsWrittenIntoNoOtherBuild() {
        long van = page.openBuild("Pass Van").build();
        long juniper = page.openBuild("Juniper").build();
        String vanFile = page.raw()
                .request()
                .get(program.address() + "/api/builds/" + van + "/file")
                .text();
        page.open("/");
        late("/api/builds/" + van);
        // The van is asked for and left before it is answered; the answer comes while Juniper is edited.
        page.raw().locator("a.row[href='/build/" + van + "/endurance']").click();
        page.raw().goBack();
        page.raw().locator("a.row[href='/build/" + juniper + "/endurance']").click();
        page.surface("Brief").type("boost", "77 kPa").saved();
        page.raw().waitForTimeout(2 * LATE_MS);
        assertThat(page.raw().locator(".name strong")).hasText("Juniper");
        assertThat(page.file()).contains("\"name\" : \"Juniper\"").contains("77");
        assertThat(page.raw()
                        .request()
                        .get(program.address() + "/api/builds/" + van + "/file")
                        .text())
                .isEqualTo(vanFile);
        page.assertNothingWrong();
    }

    @Test
    void anEditStillOnItsWayIsSavedInItsOwnBuildWhenAnotherIsOpened() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        long van = page.build();
        late("/api/builds/" + van);
        page.type("cold pipe outside diameter", "63");
        page.type("cold pipe straight length", "888");
        page.link("All builds").click();
        page.raw().getByText("Saltline").first().click();
        assertThat(page.raw().locator(".name strong")).hasText("Saltline");
        page.saved();
        page.openBuild(van).surface("Pipes");
        assertThat(page.field("cold pipe outside diameter")).hasValue("63 mm");
        assertThat(page.field("cold pipe straight length")).hasValue("888 mm");
        page.saved();
        assertThat(history()).hasSize(3).first().asString().contains("888 mm");
        page.assertNothingWrong();
    }

    @Test
    void aLostAnswerAndAFailureAreSentAgainAndKeptOnce() {
        page.letServerBeAway().openBuild("Pass Van", "Pipes", Page::taped);
        long van = page.build();
        AtomicInteger times = new AtomicInteger();
        page.raw().route("**/api/builds/" + van, route -> {
            if (!route.request().method().equals("PUT")) {
                route.resume();
            } else if (times.incrementAndGet() == 1) {
                route.fetch();
                route.abort();
            } else if (times.get() == 3) {
                route.fulfill(new Route.FulfillOptions()
                        .setStatus(500)
                        .setContentType("application/problem+json")
                        .setBody("{\"detail\":\"Something went wrong.\"}"));
            } else {
                route.resume();
            }
        });
        page.type("cold pipe outside diameter", "63");
        page.button("Add a bend to cold pipe").click();
        assertThat(page.raw().locator(".strip")).containsText("kept in this browser");
        page.saved();
        assertThat(history())
                .containsExactly(
                        "cold pipe: bend added", "cold pipe outside diameter 57 mm → 63 mm", "opened from a file");
        assertThat(piece("C", "cold pipe").get("bends")).hasSize(4);
    }

    @Test
    void aReloadInTheMiddleOfASaveIsNoQuarrelWithOneself() {
        page.letServerBeAway().openBuild("Pass Van", "Pipes", Page::taped);
        long van = page.build();
        page.raw().route("**/api/builds/" + van, route -> {
            if (route.request().method().equals("PUT")) {
                // Kept by the server; the answer never comes.
                route.fetch();
            } else {
                route.resume();
            }
        });
        page.type("cold pipe outside diameter", "63");
        page.button("Add a bend to cold pipe").click();
        assertThat(page.raw().locator("[data-settled='false']")).isVisible();
        page.raw().waitForTimeout(500);
        page.raw().unroute("**/api/builds/" + van);
        page.raw().reload();
        page.saved();
        assertThat(page.raw().getByRole(AriaRole.DIALOG)).hasCount(0);
        assertThat(page.field("cold pipe outside diameter")).hasValue("63 mm");
        assertThat(history())
                .containsExactly(
                        "cold pipe: bend added", "cold pipe outside diameter 57 mm → 63 mm", "opened from a file");
        page.assertNothingWrong();
    }

    @Test
    void editsMadeOfflineAreStepsOfTheirOwnAndTheLastCanBeTakenBack() {
        page.letServerBeAway().openBuild("Pass Van", "Pipes", Page::taped);
        page.raw().context().setOffline(true);
        page.type("cold pipe outside diameter", "63");
        assertThat(page.raw().locator(".strip")).containsText("The server does not answer");
        page.type("cold pipe straight length", "888");
        page.button("Add a bend to cold pipe").click();
        assertThat(page.raw().getByLabel("Take out bend 4 of cold pipe")).isVisible();
        page.button("Undo").click();
        assertThat(page.raw().getByLabel("Take out bend 4 of cold pipe")).hasCount(0);
        page.button("Redo").click();
        assertThat(page.raw().getByLabel("Take out bend 4 of cold pipe")).isVisible();
        page.raw().context().setOffline(false);
        page.saved();
        assertThat(history()).hasSize(4).startsWith("cold pipe: bend added");
        page.button("Undo").click();
        assertThat(page.raw().getByLabel("Take out bend 4 of cold pipe")).hasCount(0);
        assertThat(page.field("cold pipe straight length")).hasValue("888 mm");
    }

    @Test
    void aValueThatOnlyTheServerRefusesHoldsBackNothingElse() {
        page.letServerBeAway().openBuild("Pass Van", "Core");
        page.raw().context().setOffline(true);
        page.type("core port bore", "140 mm");
        assertThat(page.raw().locator(".strip")).containsText("The server does not answer");
        page.type("core depth", "90 mm");
        page.raw().context().setOffline(false);
        page.saved();
        assertThat(page.raw().locator(".strip")).containsText("Not kept: core port bore");
        assertThat(page.field("core depth")).hasValue("90 mm");
        assertThat(history()).hasSize(2).first().asString().contains("depth");
    }

    @Test
    void typingDuringAConflictIsKept() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        Page second = Page.in(page.raw().context(), program.address())
                .mayBeRefused(409, "/api/builds/")
                .open(page.raw().url().replace(program.address(), ""));
        assertThat(second.field("cold pipe outside diameter")).hasValue("57 mm");
        page.type("cold pipe outside diameter", "63").saved();
        second.type("hot pipe outside diameter", "57 mm");
        second.button("Go on with mine").waitFor();
        second.raw().evaluate("() => document.querySelector('[aria-label=\"hot pipe straight length\"]').focus()");
        second.field("hot pipe straight length").fill("999", new Locator.FillOptions().setForce(true));
        second.field("hot pipe straight length").press("Enter");
        assertThat(second.raw().getByText("and 1 more, not saved yet")).isVisible();
        second.button("Go on with mine").click();
        second.saved();
        assertThat(second.field("hot pipe straight length")).hasValue("999 mm");
        assertThat(second.field("hot pipe outside diameter")).hasValue("57 mm");
        // Theirs stays where mine says nothing.
        assertThat(second.field("cold pipe outside diameter")).hasValue("63 mm");
        assertThat(history()).hasSize(4);
        second.assertNothingWrong();
    }
}

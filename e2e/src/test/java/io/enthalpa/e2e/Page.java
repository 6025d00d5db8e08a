package io.enthalpa.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIRequestContext;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.ConsoleMessage;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A window on the program that remembers every console error and every request that leaves the program. */
final class Page {
    private static final Path DEMO = Path.of("../server/src/main/resources/demo");
    private final com.microsoft.playwright.Page page;
    private final String address;
    private final List<String> wrong = new CopyOnWriteArrayList<>();
    private final List<Refusal> refusals = new CopyOnWriteArrayList<>();
    private boolean serverMayBeAway;

    private Page(com.microsoft.playwright.Page page, String address) {
        this.page = page;
        this.address = address;
        page.onConsoleMessage(message -> {
            boolean expected = refused(message) || serverMayBeAway && away(message);
            if (message.type().equals("error") && !expected) {
                wrong.add("console: " + message.text() + " " + message.location());
            }
        });
        page.onPageError(error -> wrong.add("error: " + error));
        page.onRequest(request -> {
            if (!request.url().startsWith(address) && !request.url().startsWith("data:")) {
                wrong.add("outside request: " + request.url());
            }
        });
    }

    /** What the test said it would have refused: by status and where. */
    private boolean refused(ConsoleMessage message) {
        return refusals.stream()
                .anyMatch(r -> message.text().contains("status of " + r.status())
                        && message.location().contains(r.path()));
    }

    private static boolean away(ConsoleMessage message) {
        return message.text().contains("ERR_") || message.text().contains("status of 50");
    }

    private record Refusal(int status, String path) {}

    /** From now on the server may refuse so. @param path that the request's address contains */
    Page mayBeRefused(int status, String path) {
        refusals.add(new Refusal(status, path));
        return this;
    }

    static Page in(BrowserContext context, String address) {
        return new Page(context.newPage(), address);
    }

    static Page alone(Browser browser, String address, int width, int height) {
        return in(browser.newContext(new Browser.NewContextOptions().setViewportSize(width, height)), address);
    }

    com.microsoft.playwright.Page raw() {
        return page;
    }

    Page open(String path) {
        page.navigate(address + path);
        return this;
    }

    /** Opens a fresh copy of a demo build on Endurance, so that tests do not meet in one. */
    Page openBuild(String name) {
        return openBuild(name, "Endurance");
    }

    /** Opens a fresh copy of a demo build; the copy is made beside the page, which need not show all builds for it. */
    Page openBuild(String name, String surface) {
        return openBuild(name, surface, document -> {});
    }

    /** As it was taped, before a pipe was laid: by the demo's own file, for the server's document has lengths and bends of the runs. */
    static void taped(ObjectNode document) {
        String file =
                document.get("name").stringValue().toLowerCase(Locale.ROOT).replace(' ', '-') + ".json";
        JsonNode taped = JsonMapper.shared().readTree(DEMO.resolve(file));
        for (int i = 0; i < document.get("options").size(); i++) {
            ObjectNode option = (ObjectNode) document.at("/options/" + i);
            option.set("path", taped.at("/options/" + i + "/path"));
            option.remove("runs");
        }
    }

    /** @param change of its document before it is there */
    Page openBuild(String name, String surface, Consumer<ObjectNode> change) {
        APIRequestContext request = page.request();
        JsonNode all = JsonMapper.shared()
                .readTree(request.get(address + "/api/builds").text());
        long first = all.valueStream()
                .filter(build -> build.get("name").stringValue().equals(name))
                .mapToLong(build -> build.get("id").longValue())
                .min()
                .orElseThrow();
        JsonNode original = JsonMapper.shared()
                .readTree(request.get(address + "/api/builds/" + first).text());
        ObjectNode document = (ObjectNode) original.get("document");
        change.accept(document);
        String token = page.context().cookies().stream()
                .filter(cookie -> cookie.name.equals("XSRF-TOKEN"))
                .map(cookie -> cookie.value)
                .findFirst()
                .orElseThrow();
        APIResponse made = request.post(
                address + "/api/builds",
                RequestOptions.create()
                        .setHeader("Content-Type", "application/json")
                        .setHeader("X-XSRF-TOKEN", token)
                        .setData(document.toString()));
        return openBuild(JsonMapper.shared().readTree(made.text()).get("id").longValue(), surface);
    }

    /** A new build of the usual answers; ends on its Brief, kept. */
    Page newBuild() {
        open("/").link("New build").click();
        return openNew();
    }

    /** Opens what the questions of a new build come to. */
    Page openNew() {
        button("Open this build").click();
        PlaywrightAssertions.assertThat(page.locator("[data-station]").first()).isVisible();
        return saved();
    }

    Page openBuild(long id) {
        return openBuild(id, "Endurance");
    }

    private Page openBuild(long id, String surface) {
        open("/build/" + id + "/" + surface.toLowerCase(Locale.ROOT));
        PlaywrightAssertions.assertThat(page.locator("[data-station]").first()).isVisible();
        return this;
    }

    Page surface(String name) {
        Locator link = page.getByRole(
                        AriaRole.NAVIGATION, new com.microsoft.playwright.Page.GetByRoleOptions().setName("Surfaces"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(name));
        link.click();
        PlaywrightAssertions.assertThat(link).hasAttribute("aria-current", "page");
        return this;
    }

    /** Of Space: the ways of the cooling air. */
    Page coolingAir() {
        button("cooling air").click();
        return this;
    }

    /** The headline of the verdict. */
    Locator verdict() {
        return page.locator("aside h1");
    }

    Page option(String letter) {
        page.getByRole(AriaRole.NAVIGATION, new com.microsoft.playwright.Page.GetByRoleOptions().setName("Options"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + letter)))
                .click();
        return this;
    }

    /** Twelve laps on three litres a minute, as a kinked hose leaves them; ends on Endurance. */
    Page lapsOnLittleWater() {
        surface("Brief").button("from the library").click();
        button("Take: laps").click();
        PlaywrightAssertions.assertThat(button("Take: laps")).hasCount(0);
        return saved().surface("Water")
                .type("water flow given", "3 L/min")
                .saved()
                .surface("Endurance")
                .saved();
    }

    Locator field(String name) {
        return page.getByLabel(name, new com.microsoft.playwright.Page.GetByLabelOptions().setExact(true));
    }

    Page type(String field, String text) {
        field(field).fill(text);
        field(field).press("Enter");
        return this;
    }

    /** Another of a few words. */
    Page pick(String field, String choice) {
        page.getByRole(
                        AriaRole.COMBOBOX,
                        new com.microsoft.playwright.Page.GetByRoleOptions()
                                .setName(field)
                                .setExact(true))
                .click();
        page.getByRole(
                        AriaRole.OPTION,
                        new com.microsoft.playwright.Page.GetByRoleOptions()
                                .setName(choice)
                                .setExact(true))
                .click();
        return this;
    }

    /** Draws another place's temperature beside the intake's. */
    Page alsoShow(String place) {
        page.locator(".also .p-multiselect").click();
        page.getByRole(
                        AriaRole.OPTION,
                        new com.microsoft.playwright.Page.GetByRoleOptions()
                                .setName(place)
                                .setExact(true))
                .click();
        page.keyboard().press("Escape");
        return this;
    }

    /** The text under the plumb line of a station: figure, change, name, pressure. */
    Locator station(int index) {
        return page.locator("[data-station='" + index + "']");
    }

    Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON,
                new com.microsoft.playwright.Page.GetByRoleOptions()
                        .setName(name)
                        .setExact(true));
    }

    /** Picks from the menu of a button. A menu closes when what is under it scrolls, as it does when an answer comes in: then it is opened again, as a person would. */
    Page choose(String button, String item) {
        Locator entry = page.getByRole(
                AriaRole.MENUITEM,
                new com.microsoft.playwright.Page.GetByRoleOptions()
                        .setName(item)
                        .setExact(true));
        for (int opened = 1; ; opened++) {
            button(button).click();
            try {
                entry.click(new Locator.ClickOptions().setTimeout(4000));
                return this;
            } catch (TimeoutError closed) {
                if (opened == 3 || entry.isVisible()) {
                    throw closed;
                }
            }
        }
    }

    /** Every answer to an address with these words comes late from now on, while the page goes on. */
    Page late(String words, int milliseconds) {
        page.evaluate("""
                ([words, ms]) => {
                  const real = window.fetch
                  window.fetch = async (...asked) => {
                    const answer = await real(...asked)
                    if (String(asked[0]).includes(words)) await new Promise(done => setTimeout(done, ms))
                    return answer
                  }
                }""", List.of(words, milliseconds));
        return this;
    }

    /** Waits until everything is computed and kept by the server. */
    Page saved() {
        PlaywrightAssertions.assertThat(page.locator("[data-settled='true']")).isVisible();
        return this;
    }

    Page letServerBeAway() {
        serverMayBeAway = true;
        return this;
    }

    Locator link(String name) {
        return page.getByRole(
                AriaRole.LINK,
                new com.microsoft.playwright.Page.GetByRoleOptions()
                        .setName(name)
                        .setExact(true));
    }

    /** The build number in the address; a new build has one once it is kept. */
    long build() {
        page.waitForURL(Pattern.compile("/build/\\d+/"));
        return Long.parseLong(page.url().replaceAll(".*/build/(\\d+)/.*", "$1"));
    }

    /** The build file that the page would save. */
    String file() {
        return page.request().get(address + "/api/builds/" + build() + "/file").text();
    }

    void assertNothingWrong() {
        assertThat(wrong).isEmpty();
    }
}

package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What happens when the program stops and starts again under an open page. */
class RestartIT {
    private static Chromium chromium;

    @TempDir
    Path store;

    @BeforeAll
    static void launch() {
        chromium = new Chromium();
    }

    @AfterAll
    static void quit() {
        chromium.close();
    }

    @Test
    void editsSurviveReloadAndRestartAndUndoReachesBack() throws Exception {
        long build;
        try (RunningProgram first = RunningProgram.demo(store, 0)) {
            Page page = Page.alone(chromium.browser(), first.address(), 1280, 800)
                    .openBuild("Juniper")
                    .surface("Water");
            page.type("water in all", "6 L").saved();
            page.raw().reload();
            assertThat(page.field("water in all")).hasValue("6 L");
            build = page.build();
            page.assertNothingWrong();
        }
        try (RunningProgram second = RunningProgram.demo(store, 0)) {
            Page page = Page.alone(chromium.browser(), second.address(), 1280, 800)
                    .openBuild(build)
                    .surface("Water");
            assertThat(page.field("water in all")).hasValue("6 L");
            page.button("Undo").click();
            assertThat(page.field("water in all")).hasValue("4 L");
            page.button("Redo").click();
            assertThat(page.field("water in all")).hasValue("6 L");
            page.assertNothingWrong();
            RunningProgram.Outcome third = RunningProgram.run("serve", "--data", store.toString(), "--port", "0");
            assertThat(third.status()).isEqualTo(2);
            assertThat(third.printed())
                    .contains("open in another running Enthalpa")
                    .hasLineCount(1);
        }
    }

    @Test
    void editMadeWhileTheServerIsAwayIsKeptAndSavedLater() throws IOException {
        Page page;
        int port;
        try (RunningProgram first = RunningProgram.demo(store, 0)) {
            port = first.port();
            page = Page.alone(chromium.browser(), first.address(), 1280, 800)
                    .openBuild("Pass Van")
                    .surface("Pipes")
                    .letServerBeAway();
            assertThat(page.field("cold pipe outside diameter")).hasValue("57 mm");
        }
        page.type("cold pipe outside diameter", "63");
        assertThat(page.raw().getByText("Your edits are kept in this browser")).isVisible();
        assertThat(page.field("cold pipe outside diameter")).hasValue("63 mm");
        try (RunningProgram again = RunningProgram.demo(store, port)) {
            assertThat(again.port()).isEqualTo(port);
            page.saved();
            assertThat(page.file()).contains("\"outside_mm\" : 63");
            page.raw().reload();
            assertThat(page.field("cold pipe outside diameter")).hasValue("63 mm");
            page.assertNothingWrong();
        }
    }
}

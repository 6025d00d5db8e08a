package io.enthalpa.e2e;

import com.microsoft.playwright.options.AriaRole;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

/**
 * The started program with the demo builds, and a fresh window for every test. One program serves all classes of a process one after the
 * other: to start it and warm it up costs more than most tests.
 */
abstract class OnDemo {
    static Chromium chromium;
    static RunningProgram program;

    @TempDir
    static Path folder;

    Page page;

    @BeforeAll
    static void start() throws IOException {
        if (program == null) {
            Path store = Files.createTempDirectory("store");
            program = RunningProgram.demo(store, 0);
            Runtime.getRuntime().addShutdownHook(new Thread(() -> end(store), "end"));
        }
        // Playwright hangs on the thread that began it.
        chromium = new Chromium();
    }

    @AfterAll
    static void stop() {
        chromium.close();
    }

    private static void end(Path store) {
        program.close();
        try (Stream<Path> files = Files.walk(store)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        } catch (IOException leftToTheSystem) {
            // Temporary files are the system's to sweep.
        }
    }

    @BeforeEach
    void open() {
        page = Page.alone(chromium.browser(), program.address(), 1280, 800);
    }

    @AfterEach
    void close() {
        page.raw().context().close();
    }

    List<String> history() {
        String text = page.raw()
                .request()
                .get(program.address() + "/api/builds/" + page.build() + "/revisions")
                .text();
        return JsonMapper.shared().readTree(text).findValuesAsString("change");
    }

    void fromMenu(String button, String item) {
        page.button(button).click();
        page.raw()
                .getByRole(AriaRole.MENUITEM, new com.microsoft.playwright.Page.GetByRoleOptions().setName(item))
                .click();
        page.saved();
    }
}

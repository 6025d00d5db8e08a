package io.enthalpa.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

/** The started program with the demo builds, and a fresh window for every test. */
abstract class OnDemo {
    static Chromium chromium;
    static RunningProgram program;

    @TempDir
    static Path folder;

    Page page;

    @BeforeAll
    static void start() throws IOException {
        chromium = new Chromium();
        program = RunningProgram.demo(Files.createTempDirectory(folder, "store"), 0);
    }

    @AfterAll
    static void stop() {
        program.close();
        chromium.close();
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
}

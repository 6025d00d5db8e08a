package io.enthalpa.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** Debian's Chromium, headless. */
final class Chromium implements AutoCloseable {
    private static final double PATIENCE_MS = 20_000;
    /** The shell has no window to keep up, which takes time of its own; an older Debian has only the whole browser. */
    private static final Path SHELL = Path.of("/usr/bin/chromium-headless-shell");

    private final Playwright playwright =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private final Browser browser = playwright
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Files.isExecutable(SHELL) ? SHELL : Path.of("/usr/bin/chromium"))
                    .setArgs(List.of(
                            "--no-sandbox",
                            "--disable-dev-shm-usage",
                            "--disable-quic",
                            // Letters stand where the face has them, not on whole points: words would run into one
                            // another.
                            "--font-render-hinting=none",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));

    Chromium() {
        // A slow machine may take its time; what must stand on the screen in the end stays the same.
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    }

    Browser browser() {
        return browser;
    }

    @Override
    public void close() {
        browser.close();
        playwright.close();
    }
}

package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** A whole job in the room without a hand on the mouse: everything is come to with Tab, opened with Enter, chosen with the arrows. */
class RoomByKeyboardIT extends OnDemo {
    private static final int MOST_STOPS = 400;
    private static final int MOST_CHOICES = 30;

    private void press(String key) {
        page.raw().keyboard().press(key);
    }

    private String focused() {
        return (String) page.raw().evaluate("""
                () => {
                  const e = document.activeElement
                  return (e.getAttribute('aria-label') || e.labels?.[0]?.innerText || e.innerText || '').trim()
                }""");
    }

    /** On with Tab until it is there; round the page once at most. */
    private void to(String name) {
        to(name, "Tab");
    }

    private void to(String name, String key) {
        for (int i = 0; i < MOST_STOPS; i++) {
            if (focused().equals(name)) {
                return;
            }
            press(key);
        }
        throw new AssertionError(key + " never comes to " + name);
    }

    private void push(String name) {
        to(name);
        press("Enter");
    }

    private void type(String field, String text) {
        to(field);
        press("Control+a");
        page.raw().keyboard().type(text);
        press("Enter");
    }

    /** What an open list or menu has the arrows on. */
    private String pointedAt() {
        return (String) page.raw().evaluate("""
                () => {
                  const id = document.activeElement.getAttribute('aria-activedescendant')
                  return (id && document.getElementById(id)?.innerText || '').trim()
                }""");
    }

    private void choose(String opener, String item) {
        push(opener);
        for (int i = 0; i < MOST_CHOICES; i++) {
            String before = pointedAt();
            if (before.equals(item)) {
                press("Enter");
                return;
            }
            press("ArrowDown");
            moved(before);
        }
        throw new AssertionError("the arrows never come to " + item + " under " + opener);
    }

    /** A list that is still opening hears no arrow: the next is pressed once this one has done something, or had time to. */
    private void moved(String before) {
        for (int i = 0; i < 20 && pointedAt().equals(before); i++) {
            page.raw().waitForTimeout(30);
        }
    }

    @Test
    void frontByTheTapeADrawingAndACoreRefusedAndMended() throws IOException {
        Path file = Files.write(folder.resolve("plate.stl"), RoomIT.plate());
        Locator says = page.raw().locator(".says.first");
        page.open("/");
        push("New build");
        push("Open this build");
        assertThat(page.raw().locator("[data-station]").first()).isVisible();
        page.saved();
        press("2");
        push("measure a usual place by the tape");
        for (String[] measure : RoomIT.FRONT) {
            type(measure[0], measure[1]);
        }
        push("put it into the room");
        page.saved();
        assertThat(page.raw().locator(".obstacles tbody tr")).hasCount(9);
        choose("give one a place", "core");
        page.saved();
        type("core back", "128");
        type("core up", "-340");
        page.saved();
        assertThat(says).containsText("Fits. Least to spare is ");

        // The browser hands its choosers over from here on: asked for only as the key is pressed, it may come too late.
        page.raw().onFileChooser(chosen -> {});
        choose("put one in", "a scan or drawing from a file");
        to("File of triangles");
        FileChooser chooser = page.raw().waitForFileChooser(() -> press("Enter"));
        chooser.setFiles(file);
        choose("file its numbers are in", "in");
        push("put it into the room");
        assertThat(page.raw().locator(".told")).hasText("12 triangles: closed, and full inside.");
        page.saved();
        type("plate back", "100");
        type("plate up", "-340");
        page.saved();
        assertThat(says).containsText("Does not fit: ");
        // Back to it: round by the drawing something else would be picked.
        to("plate back", "Shift+Tab");
        type("plate back", "-900");
        page.saved();
        assertThat(says).containsText("Fits. Least to spare is ");
        assertThat(page.file()).contains("\"back_mm\" : 128").contains("\"back_mm\" : -900");
        page.assertNothingWrong();
    }
}

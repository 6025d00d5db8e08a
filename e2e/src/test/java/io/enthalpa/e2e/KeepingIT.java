package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Versions, duplicates, what is put away, and everything out and back in, in a real browser. */
class KeepingIT extends OnDemo {

    @Test
    void everyVersionCanBeLookedAtNamedAndBroughtBack() {
        page.openBuild("Pass Van", "Pipes", Page::taped);
        page.type("cold pipe outside diameter", "63")
                .saved()
                .type("cold pipe outside diameter", "70")
                .saved();
        page.button("History").click();
        page.raw().getByLabel("Name of version 2").fill("as welded");
        page.raw().keyboard().press("Enter");
        page.button("Look at version 2").click();
        assertThat(page.field("cold pipe outside diameter")).hasValue("63 mm");
        page.type("cold pipe outside diameter", "51");
        assertThat(page.raw().getByRole(AriaRole.ALERT).first()).containsText("to look at");
        page.field("cold pipe outside diameter").press("Escape");
        page.button("Back to the newest").click();
        assertThat(page.field("cold pipe outside diameter")).hasValue("70 mm");
        page.button("History").click();
        assertThat(page.raw().getByLabel("Name of version 2")).hasValue("as welded");
        page.button("Look at version 1").click();
        page.button("Bring it back").click();
        page.saved();
        assertThat(page.field("cold pipe outside diameter")).hasValue("57 mm");
        assertThat(history()).startsWith("version 1 brought back").hasSize(4);
        page.button("Undo").click();
        assertThat(page.field("cold pipe outside diameter")).hasValue("70 mm");
        page.assertNothingWrong();
    }

    @Test
    void buildsArePutAwayDuplicatedAndDeletedAfterAQuestion() {
        page.openBuild("Pilot Launch")
                .surface("Brief")
                .type("Build", "Spare launch")
                .saved();
        page.open("/");
        choose("Spare launch", "Duplicate");
        assertThat(page.raw().getByText("Copy of Spare launch")).isVisible();
        choose("Copy of Spare launch", "Put away");
        assertThat(page.raw().getByText("Copy of Spare launch is put away")).isVisible();
        page.raw()
                .getByRole(
                        AriaRole.BUTTON,
                        new com.microsoft.playwright.Page.GetByRoleOptions()
                                .setName(Pattern.compile("^Show \\d+ put away")))
                .click();
        choose("Copy of Spare launch", "Bring back");
        choose("Copy of Spare launch", "Delete for good");
        page.button("Keep it").click();
        assertThat(page.button("More about Copy of Spare launch")).isVisible();
        choose("Copy of Spare launch", "Delete for good");
        page.button("Delete for good").click();
        assertThat(page.button("More about Copy of Spare launch")).hasCount(0);
        assertThat(page.button("More about Spare launch")).isVisible();
        page.assertNothingWrong();
    }

    private void choose(String build, String what) {
        page.choose("More about " + build, what);
    }

    @Test
    void everythingGoesOutAndComesBack() throws Exception {
        page.openBuild("Saltline", "Brief").type("Build", "Gone soon").saved();
        page.open("/");
        page.button("Backup").click();
        Path backup = page.raw()
                .waitForDownload(() -> page.link("Save a backup").click())
                .path();
        Path archive = page.raw()
                .waitForDownload(() -> page.link("Export all").click())
                .path();
        Path backupFile = Files.copy(backup, folder.resolve("kept.zip"));
        Path archiveFile = Files.copy(archive, folder.resolve("all.zip"));
        page.raw().keyboard().press("Escape");
        choose("Gone soon", "Delete for good");
        page.button("Delete for good").click();
        assertThat(page.button("More about Gone soon")).hasCount(0);
        page.button("Backup").click();
        page.raw().getByLabel("Archive file").setInputFiles(archiveFile);
        assertThat(page.raw().getByText("New from all.zip: 1 build, 2 versions"))
                .isVisible();
        page.raw().getByLabel("Archive file").setInputFiles(archiveFile);
        assertThat(page.raw().getByText("All of all.zip was here already.")).isVisible();
        page.raw().keyboard().press("Escape");
        assertThat(page.button("More about Gone soon")).isVisible();
        choose("Gone soon", "Delete for good");
        page.button("Delete for good").click();
        page.button("Backup").click();
        page.raw().getByLabel("Backup file").setInputFiles(backupFile);
        page.button("Put it back").click();
        assertThat(page.raw().getByText("The builds of kept.zip are back.")).isVisible();
        page.raw().keyboard().press("Escape");
        assertThat(page.button("More about Gone soon")).isVisible();
        page.assertNothingWrong();
    }
}

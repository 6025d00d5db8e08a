package io.enthalpa.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.room.Stand;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** The room: measured from nothing, a core put in, refused, mended by typing, by hand and by keyboard. */
class RoomIT extends OnDemo {
    private Locator says() {
        return page.raw().locator(".says.first");
    }

    private Build build() {
        return BuildFile.read(page.file());
    }

    private Stand core() {
        return build().option("A").stands().get(0);
    }

    /** A box from 300 to 360 behind the datum, over the whole width: the face of a core of depth d at 300 - 8 - d / 2 just keeps what is asked. */
    @Test
    void roomFromNothingRefusesACoreAndIsMended() throws IOException, InterruptedException {
        page.newBuild().surface("Space");
        page.button("measure a room").click();
        page.saved().type("room datum", "middle of the latch panel, top edge").saved();
        assertThat(says()).hasText("Nothing of this option has a place in the room yet.");
        fromMenu("put one in", "a box by its six sides");
        page.type("box front face", "300").saved();
        // A face typed beyond the other pushes it on.
        assertThat(page.field("box rear face")).hasValue("400 mm");
        page.type("box rear face", "360 mm").saved();
        page.type("box left side", "-600").saved().type("box right side", "600").saved();
        page.type("box underside", "-20 in").saved().type("box top", "200").saved();
        fromMenu("give one a place", "core");
        assertThat(says()).hasText("Fits: nothing of the room comes near.");
        page.type("core back", "330").saved();
        assertThat(says()).containsText("Does not fit: ");
        assertThat(says()).containsText(" of core stands ");
        assertThat(page.raw().locator("aside.verdict p.worse").first()).containsText("Does not fit");
        page.button("Undo").click();
        page.saved();
        assertThat(page.field("core back")).hasValue("0 mm");
        page.type("core back", "200").saved();
        String fits = "Fits. Least to spare is %.1f mm: the block of core to box.".formatted(spare(200));
        assertThat(says()).hasText(fits);
        page.raw().reload();
        assertThat(says()).hasText(fits);
        Path file = Files.writeString(folder.resolve("room.json"), page.file());
        RunningProgram.Outcome told = RunningProgram.run("fit", file.toString(), "--table");
        assertThat(told.status()).isZero();
        assertThat(told.printed()).contains("  " + fits);
        assertThat(build().room().orElseThrow().datum()).isEqualTo("middle of the latch panel, top edge");
        page.assertNothingWrong();
    }

    /** Before the box with 12 left, of which 8 are asked: 4 to spare, and rearwards it comes no farther than those 12. */
    @Test
    void coreIsPutAgainstABoxDrawnOutAndGrown() throws IOException {
        page.newBuild().surface("Space");
        page.button("measure a room").click();
        page.saved().type("room datum", "bumper").saved();
        fromMenu("put one in", "a box by its six sides");
        page.type("box front face", "300").saved().type("box rear face", "360").saved();
        page.type("box left side", "-600").saved().type("box right side", "600").saved();
        page.type("box underside", "-500").saved().type("box top", "200").saved();
        fromMenu("give one a place", "core");
        page.pick("core side", "before");
        page.type("core gap left", "12");
        page.button("put it there").click();
        assertThat(says()).hasText("Fits. Least to spare is 4.0 mm: the block of core to box.");
        // The screen has its answer before the disk has the edit.
        page.saved();
        assertThat(spare(core().middle().getX() * 1000)).isCloseTo(4, within(0.02));
        assertThat(core().middle().getZ()).isCloseTo(-0.15, within(1e-9));
        Locator out = page.raw().locator(".out");
        assertThat(out).containsText("rearwards: box after 12 mm");
        assertThat(out).containsText("Comes out straight");
        page.pick("core side", "on");
        page.button("put it there").click();
        assertThat(page.field("core back")).hasValue("330 mm");
        page.saved();
        page.button("Undo").click();
        // On the box it has 4.0 mm to spare as well: what it says does not tell that it is back before it.
        assertThat(page.field("core back")).not().hasValue("330 mm");
        assertThat(says()).hasText("Fits. Least to spare is 4.0 mm: the block of core to box.");
        // With 50 behind its middle it never faces the front and has 75 free behind.
        page.button("look for it").click();
        Locator grown = page.raw().locator(".largest tbody tr").first();
        assertThat(grown).containsText("lying flat");
        page.raw().getByLabel("free air behind it").uncheck();
        page.button("look again").click();
        assertThat(grown).containsText("face to the front");
        grown.getByRole(AriaRole.BUTTON).click();
        assertThat(page.raw().locator("h2.title")).hasText("Space, option B");
        page.saved();
        assertThat(says()).containsText("Fits.");
        Build build = build();
        assertThat(build.options()).hasSize(2);
        assertThat(volume(build, 1)).isGreaterThan(1.2 * volume(build, 0));
        page.assertNothingWrong();
    }

    /** A plate of 2 by 24 by 16 inches about the datum's own line, as binary STL. */
    static byte[] plate() {
        float[][] at = new float[8][];
        for (int i = 0; i < 8; i++) {
            at[i] = new float[] {(i & 1) * 2, (i & 2) * 12 - 12, (i & 4) * 4 - 8};
        }
        int[] sides = {
            0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6, 1, 3, 5, 3, 7, 5
        };
        ByteBuffer file = ByteBuffer.allocate(84 + 50 * 12).order(ByteOrder.LITTLE_ENDIAN);
        file.putInt(80, 12).position(84);
        for (int t = 0; t < sides.length; t += 3) {
            file.position(file.position() + 12);
            for (int k = 0; k < 3; k++) {
                for (float x : at[sides[t + k]]) {
                    file.putFloat(x);
                }
            }
            file.putShort((short) 0);
        }
        return file.array();
    }

    private void threePoints(String of, String[]... places) {
        String[] axes = {"back", "right", "up"};
        for (int i = 0; i < 3; i++) {
            for (int k = 0; k < 3; k++) {
                page.type("point %d %s %s".formatted(i + 1, of, axes[k]), places[i][k]);
            }
        }
    }

    /** Drawn in inches and never told so: asked for, a file cut short refused, brought 200 behind the datum by three corners; a core held before it. */
    @Test
    void aDrawingIsTakenInPlacedByThreePointsAndACoreHeldBeforeIt() throws IOException, InterruptedException {
        page.newBuild().surface("Space");
        page.button("measure a room").click();
        page.saved().type("room datum", "latch panel").saved();
        fromMenu("give one a place", "core");
        fromMenu("put one in", "a scan or drawing from a file");
        Locator put = page.raw().locator(".mesh").getByText("put it into the room");
        Path file = folder.resolve("plate.stl");
        Files.write(file, Arrays.copyOf(plate(), 400));
        page.mayBeRefused(422, "/api/room/mesh");
        page.raw().getByLabel("File of triangles").setInputFiles(file);
        assertThat(put).isDisabled();
        page.pick("file its numbers are in", "in");
        put.click();
        assertThat(page.raw().locator(".mesh")).containsText("it ends after 6 of 12 triangles");
        Files.write(file, plate());
        page.raw().getByLabel("File of triangles").setInputFiles(file);
        put.click();
        assertThat(page.raw().locator(".told")).hasText("12 triangles: closed, and full inside.");
        page.saved();
        assertThat(says()).containsText("Does not fit: ");
        threePoints("on it", new String[] {"0", "-12 in", "-8 in"}, new String[] {"0", "12 in", "-8 in"}, new String[] {
            "0", "-12 in", "8 in"
        });
        threePoints(
                "belongs",
                new String[] {"200", "-12 in", "-8 in"},
                new String[] {"200", "12 in", "-8 in"},
                new String[] {"200", "-12 in", "201"});
        page.button("bring it there").click();
        page.saved();
        assertThat(page.raw().locator(".three"))
                .containsText("The second ends 0.0 mm off its place, the third 2.2 mm.");
        assertThat(page.field("plate back")).hasValue("225.4 mm");
        String fits = "Fits. Least to spare is %.1f mm: the block of core to plate.".formatted(spare(100));
        assertThat(says()).hasText(fits);

        page.button("core").click();
        fromMenu("a point more", "a strap");
        assertThat(page.raw().locator(".paper")).containsText("On its 1 points core can still swing");
        fromMenu("a point more", "a strap");
        fromMenu("a point more", "a rubber bobbin");
        Locator held = page.raw().locator(".mounts");
        assertThat(held).containsText("0 of 3 bolts are there already");
        assertThat(held.locator("tbody tr").first()).containsText("60 mm");
        assertThat(page.raw().locator(".paper")).not().containsText("can still swing");
        page.type("core upper left up", "3000").saved();
        assertThat(page.raw().locator(".paper")).containsText("Too weak: the upper left of core bends");
        page.button("Undo").click();
        page.saved();
        page.raw().reload();
        assertThat(says()).hasText(fits);
        assertThat(core().mounts()).hasSize(3);
        Path saved = Files.writeString(folder.resolve("plate.json"), page.file());
        RunningProgram.Outcome told = RunningProgram.run("fit", saved.toString(), "--table");
        assertThat(told.printed()).contains("  " + fits);
        page.assertNothingWrong();
    }

    private static void coreBetweenFrameLegs(ObjectNode van) {
        io.enthalpa.e2e.Page.taped(van);
        ((ObjectNode) van.at("/options/1/stands/0")).put("up_mm", -400);
    }

    /** The van's room turned, cut and measured with the keyboard and the hand; a file of it for another program. */
    @Test
    void roomIsTurnedCutMeasuredAndTakenAlong() throws IOException {
        page.openBuild("Pass Van", "Space", RoomIT::coreBetweenFrameLegs).option("B");
        page.button("turn it by hand").click();
        Locator canvas = page.raw().locator(".turned canvas");
        Locator gap = page.raw().locator(".turned .gap");
        // The gap that is short stands at its place in the drawing, and comes along when that is turned by a key.
        assertThat(gap).hasText("\u22121.5 mm");
        double before = gap.boundingBox().x;
        canvas.focus();
        for (int i = 0; i < 6; i++) {
            canvas.press("ArrowRight");
        }
        assertThat(page.raw().locator(".turned .readout")).containsText("Drag turns it");
        page.raw().waitForCondition(() -> Math.abs(gap.boundingBox().x - before) > 5);
        page.button("from the front").click();
        page.raw()
                .getByText("measure", new com.microsoft.playwright.Page.GetByTextOptions().setExact(true))
                .click();
        double middle = canvas.boundingBox().width / 2;
        Locator readout = page.raw().locator(".turned .readout");
        assertThat(readout).hasText("Press two points of what is seen.");
        press(canvas, middle - 60);
        assertThat(readout).hasText("Now the other point.");
        press(canvas, middle + 60);
        assertThat(readout).containsText("mm: back ");
        page.button("cut across").click();
        assertThat(page.raw().getByLabel("Where it is cut")).isVisible();
        com.microsoft.playwright.Download saved = page.raw()
                .waitForDownload(() -> page.button("room and bodies as STL").click());
        assertThat(saved.suggestedFilename()).isEqualTo("pass-van-b-room.stl");
        byte[] stl = Files.readAllBytes(saved.path());
        int triangles = java.nio.ByteBuffer.wrap(stl)
                .order(java.nio.ByteOrder.LITTLE_ENDIAN)
                .getInt(80);
        assertThat(stl).hasSize(84 + 50 * triangles);
        assertThat(triangles).isGreaterThan(30 * 12);
        page.assertNothingWrong();
    }

    /** Half way up. */
    private static void press(Locator canvas, double x) {
        canvas.click(new Locator.ClickOptions().setPosition(x, canvas.boundingBox().height / 2));
    }

    private static double volume(Build build, int option) {
        return io.enthalpa.core.chargepath.Pieces.cores(
                        build.options().get(option).path())
                .get(0)
                .spec()
                .size()
                .volume();
    }

    /** mm from the block's rear face to the box, less the 8 that are asked of bare body. */
    private double spare(double back) {
        double depth = build().option("A").path().stream()
                .filter(io.enthalpa.core.chargepath.PathElement.Core.class::isInstance)
                .map(p -> ((io.enthalpa.core.chargepath.PathElement.Core) p)
                        .spec()
                        .size()
                        .depth())
                .findFirst()
                .orElseThrow();
        return 300 - back - 1000 * depth / 2 - 8;
    }

    private Locator drawn(String what) {
        return page.raw()
                .getByRole(
                        AriaRole.BUTTON,
                        new com.microsoft.playwright.Page.GetByRoleOptions()
                                .setName(what)
                                .setExact(true));
    }

    @Test
    void coreIsNudgedByKeyboardAndDraggedByHand() {
        page.openBuild("Pass Van", "Space").option("A");
        assertThat(says()).containsText("Fits.");
        double up = core().middle().getZ();
        double right = core().middle().getY();
        drawn("core, from the front").focus();
        page.raw().keyboard().press("ArrowUp");
        page.raw().keyboard().press("ArrowUp");
        page.raw().keyboard().press("Shift+ArrowLeft");
        assertThat(page.field("core up")).hasValue("−338 mm");
        page.saved();
        assertThat(core().middle().getZ() - up).as("two up").isCloseTo(0.002, within(1e-9));
        // Seen from the front the car's right is to the left.
        assertThat(core().middle().getY() - right).isCloseTo(0.010, within(1e-9));
        var box = drawn("core, from the left").boundingBox();
        page.raw().mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.raw().mouse().down();
        page.raw()
                .mouse()
                .move(
                        box.x + box.width / 2 + 30,
                        box.y + box.height / 2,
                        new com.microsoft.playwright.Mouse.MoveOptions().setSteps(4));
        page.raw().mouse().up();
        page.saved();
        assertThat(core().middle().getX()).as("rearward, into the radiator").isGreaterThan(0.150);
        assertThat(says()).containsText("Does not fit");
        page.button("Undo").click();
        page.saved();
        assertThat(core().middle().getX()).isCloseTo(0.105, within(1e-9));
        page.assertNothingWrong();
    }

    /** A front by the tape, in whatever unit it was read. */
    static final String[][] FRONT = {
        {"crash bar, front face", "-170"},
        {"crash bar, rear face", "-4 1/2 in"},
        {"crash bar, top", "-180"},
        {"crash bar, underside", "-260"},
        {"condenser, front face", "25"},
        {"condenser, rear face", "45"},
        {"radiator, front face", "210"},
        {"fan shroud, rear face", "300"},
        {"between the frame legs", "1.4 m"},
        {"between the headlamp backs", "1.3 m"},
    };

    /** Ten measures typed down the list make a front; a core where it belongs is told what it has to spare. */
    @Test
    void frontByTheTape() {
        page.newBuild().surface("Space");
        page.button("measure a usual place by the tape").click();
        for (String[] measure : FRONT) {
            page.type(measure[0], measure[1]);
        }
        page.button("put it into the room").click();
        page.saved();
        assertThat(page.field("room datum")).hasValue("middle of the latch panel's top edge");
        assertThat(page.raw().locator(".obstacles tbody tr")).hasCount(9);
        fromMenu("give one a place", "core");
        page.type("core back", "128").saved().type("core up", "-340").saved();
        // Condenser's rear at 45, radiator's front at 210: the core's middle between them, half of what it leaves to
        // either side.
        double half = 300 - 8 - 200 - spare(200);
        assertThat(says()).containsText("Fits. Least to spare is %.1f mm: ".formatted(210 - 128 - half - 8));
        page.assertNothingWrong();
    }

    /** A wider core is wider in the room, and one that is turned stands on end there. */
    @Test
    void coreOfTheRoomIsTheOneOfCore() {
        page.openBuild("Pass Van", "Space", RoomIT::coreBetweenFrameLegs).option("B");
        assertThat(says()).hasText("Does not fit: the outlet clamp of core stands 1.5 mm inside right frame leg.");
        assertThat(page.raw().locator(".gaps tr.short")).hasCount(2);
        // Over the frame legs; its ports 7 beside the headlamp backs and 8.5 behind them: hypot 11.0, 8 asked.
        page.type("core up", "-280").saved();
        assertThat(says())
                .containsText("Fits. Least to spare is 3.0 mm: the inlet port of core to left headlamp back.");
        page.surface("Core").type("core width", "720").saved();
        assertThat(page.raw().locator("aside.verdict p.worse").first()).containsText("Does not fit");
        page.surface("Space");
        // Its ports behind the headlamp backs now: the clamp 41.5 about 92 back, the lamp's end at 50.
        assertThat(says())
                .hasText("Does not fit: the outlet clamp of core keeps 0.5 mm from right headlamp back, 8 mm asked.");
        page.button("Undo").click();
        page.saved();
        page.surface("Core").button("turn it").click();
        page.saved().surface("Space");
        assertThat(says()).containsText("Does not fit");
        page.assertNothingWrong();
    }
}

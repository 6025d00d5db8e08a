package io.enthalpa.core.router;

import static io.enthalpa.core.router.Scene.box;
import static io.enthalpa.core.router.Scene.p;
import static io.enthalpa.core.router.Scene.port;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.space.Motion;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class RouterTest {
    private static final Vector3D BACK = Vector3D.PLUS_I;
    private static final Vector3D FRONT = Vector3D.MINUS_I;
    private static final Vector3D LEFT = Vector3D.MINUS_J;
    private static final Vector3D UP = Vector3D.PLUS_K;
    private static final double FAR = 3000;

    private static Scene.Box[] slot(double wide) {
        return new Scene.Box[] {
            box("left wall", 400, 600, -FAR, -wide / 2, -FAR, FAR),
            box("right wall", 400, 600, wide / 2, FAR, -FAR, FAR)
        };
    }

    private static Scene.Box rolling(double roll) {
        Motion motion = new Motion(p(500, 0, -400), BACK, roll, p(4, 0, 5));
        Scene.Box still = box("engine", 300, 700, -200, 200, -300, -45);
        return new Scene.Box("engine", still.least(), still.most(), motion);
    }

    static List<Scene> passable() {
        Port near = port(0, 0, 0, BACK);
        Port opposite = port(1000, 0, 0, FRONT);
        List<Scene> all = new ArrayList<>();
        all.add(Scene.of("straight", near, opposite));
        all.add(Scene.of("right angle", near, port(500, 500, 0, LEFT)));
        all.add(Scene.of("U-turn", near, port(0, 400, 0, BACK)));
        all.add(Scene.of("U-turn narrower than its bends", near, port(0, 120, 0, BACK)));
        all.add(Scene.of("aside", near, port(800, 150, 60, FRONT)));
        all.add(Scene.of("port facing away", port(0, 0, 0, FRONT), port(500, 0, 0, FRONT)));
        all.add(Scene.of("both facing away", port(0, 0, 0, FRONT), port(400, 0, 0, BACK)));
        all.add(Scene.of("up and round", near, port(400, 300, 350, UP)));
        all.add(Scene.of("wall", near, opposite, box("wall", 450, 550, -300, 300, -300, 300)));
        all.add(Scene.of("wall to the ground", near, opposite, box("wall", 450, 550, -300, 500, -900, 150)));
        all.add(Scene.of("slot a millimetre wider", port(0, 200, 100, BACK), port(1000, -200, 0, FRONT), slot(77)));
        all.add(Scene.of("slot just wide enough", port(0, 200, 100, BACK), port(1000, -200, 0, FRONT), slot(76)));
        all.add(Scene.of(
                "hole",
                port(0, 100, 60, BACK),
                opposite,
                box("left", 480, 520, -FAR, -50, -FAR, FAR),
                box("right", 480, 520, 50, FAR, -FAR, FAR),
                box("above", 480, 520, -FAR, FAR, 50, FAR),
                box("below", 480, 520, -FAR, FAR, -FAR, -50)));
        all.add(Scene.of("another pipe across", near, opposite, box("pipe", 470, 530, -600, 600, -30, 30)));
        all.add(Scene.of(
                "two across",
                near,
                opposite,
                box("pipe", 300, 360, -900, 100, -30, 30),
                box("other", 620, 680, -100, 900, -30, 30)));
        all.add(Scene.of("left bank", near, port(500, -350, 120, BACK), box("engine", 250, 900, -250, 250, -400, 200)));
        all.add(Scene.of("right bank", near, port(500, 350, 120, BACK), box("engine", 250, 900, -250, 250, -400, 200)));
        all.add(Scene.of(
                "moving engine", port(0, 150, 0, BACK), port(1000, 150, 0, FRONT), rolling(Math.toRadians(3))));
        all.add(Scene.of("standing engine", port(0, 150, 0, BACK), port(1000, 150, 0, FRONT), rolling(0)));
        all.add(Scene.of(
                "under a low bonnet", near, port(700, 0, 200, UP), box("bonnet", -500, 1500, -900, 900, 420, 500)));
        all.add(Scene.of("a port of no direction", new Port(p(0, 0, 0), Optional.empty()), port(300, 600, 0, LEFT)));
        return all;
    }

    /**
     * Each way by arithmetic that knows nothing of how it was found; the first against all ways of up to three corners, the first and last of
     * them before their ports, the one between on a lattice of 75 mm.
     */
    @ParameterizedTest
    @MethodSource("passable")
    void everyWayCanBeMadeAndKeepsItsGapsAndNoneIsMuchCheaper(Scene scene) {
        List<Router.Way> ways = find(scene.name()).ways();
        assertThat(ways).isNotEmpty();
        for (Router.Way way : ways) {
            assertThat(scene.faults(way.spec()))
                    .as("%s of %s", way, scene.name())
                    .isEmpty();
        }
        assertThat(ways.get(0).cost()).as(scene.name()).isLessThanOrEqualTo(1.03 * BruteForce.cheapest(scene));
    }

    private static final Map<String, Router.Found> FOUND = new ConcurrentHashMap<>();

    private static Router.Found find(String name) {
        return FOUND.computeIfAbsent(name, n -> scene(n).router().find(Taste.LEAST_LOSS));
    }

    private static Scene scene(String name) {
        return passable().stream()
                .filter(s -> s.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** 500 and 500 less twice a bend's 90, and a quarter of a circle of 90 all round. */
    @Test
    void theSimplestWayIsTheSimplestWay() {
        assertThat(find("straight").ways()).singleElement().satisfies(w -> {
            assertThat(w.bends()).isZero();
            assertThat(w.length()).isCloseTo(1, within(1e-9));
        });
        Router.Way angle = find("right angle").ways().get(0);
        assertThat(angle.bends()).isEqualTo(1);
        assertThat(angle.length()).isCloseTo(0.82 + 0.045 * Math.PI, within(1e-9));
    }

    /** Past a plate on all its sides: at least to the left, to the right, over and under it are as far. */
    @Test
    void otherWaysAreReallyOthers() {
        List<Router.Way> ways = find("wall").ways();
        assertThat(ways).hasSizeGreaterThanOrEqualTo(3);
        for (int i = 0; i < ways.size(); i++) {
            for (int k = 0; k < i; k++) {
                assertThat(Math.max(farthest(ways.get(i), ways.get(k)), farthest(ways.get(k), ways.get(i))))
                        .isGreaterThan(0.029);
            }
        }
        assertThat(ways.stream().mapToDouble(Router.Way::cost)).isSorted();
    }

    private static double farthest(Router.Way a, Router.Way b) {
        Centreline one = Centreline.of(a.spec(), "");
        Centreline other = Centreline.of(b.spec(), "");
        double most = 0;
        for (double s = 0; s <= one.length(); s += 0.005) {
            double least = 1;
            for (double t = 0; t <= other.length(); t += 0.005) {
                least = Math.min(least, one.at(s).distance(other.at(t)));
            }
            most = Math.max(most, least);
        }
        return most;
    }

    @Test
    void askedAgainItAnswersTheSame() {
        assertThat(scene("two across").router().find(Taste.LEAST_LOSS)).isEqualTo(find("two across"));
    }

    @Test
    void leftAndRightCostTheSame() {
        double left = find("left bank").ways().get(0).cost();
        assertThat(find("right bank").ways().get(0).cost()).isCloseTo(left, within(0.03 * left));
    }

    /** Pairs of ports that no first look finds a way for. */
    private static final List<Integer> HARD = List.of(50, 72, 106);

    /** Whatever way two ports face, a pipe can be led from one to the other where nothing stands. */
    @Test
    void inFreeAirThereIsAlwaysAWay() {
        Random random = new Random(5);
        Tube hose = new Tube(0.027, 0.017, 0.085, 0.05, 0);
        for (int i = 0; i < 110; i++) {
            Tube tube = i % 2 == 0 ? hose : Scene.TUBE;
            Port start = new Port(
                    anywhere(random, 0.4), Optional.of(anywhere(random, 1).normalize()));
            Port end = new Port(
                    anywhere(random, 0.4), Optional.of(anywhere(random, 1).normalize()));
            if (i < 25 || HARD.contains(i)) {
                assertThat(new Router(tube, start, end, List.of(), () -> false).one(Taste.LEAST_LOSS))
                        .as("%d: %s to %s", i, start, end)
                        .isPresent();
            }
        }
    }

    private static Vector3D anywhere(Random random, double far) {
        return new Vector3D(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()).scalarMultiply(far);
    }

    /** 75 of 76: half a millimetre on both sides. */
    @Test
    void aMillimetreTooNarrowIsToldWhereAndByHowMuch() {
        Scene scene = Scene.of("narrow", port(0, 200, 100, BACK), port(1000, -200, 0, FRONT), slot(75));
        Router.Found found = scene.router().find(Taste.LEAST_LOSS);
        assertThat(found.ways()).isEmpty();
        Router.Narrow narrow = found.narrow().orElseThrow();
        assertThat(narrow.where()).isEqualTo(Router.Where.BETWEEN);
        assertThat(narrow.missing()).isCloseTo(0.0005, within(1e-5));
        assertThat(narrow.keepout()).endsWith("wall");
        assertThat(narrow.at().getX()).isBetween(0.4, 0.6);
    }

    @Test
    void whatStandsAllAcrossIsNamed() {
        Scene scene = Scene.of(
                "closed", port(0, 0, 0, BACK), port(1000, 0, 0, FRONT), box("wall", 450, 550, -FAR, FAR, -FAR, FAR));
        Router.Found found = scene.router().find(Taste.LEAST_LOSS);
        assertThat(found.ways()).isEmpty();
        assertThat(found.narrow().map(Router.Narrow::where)).contains(Router.Where.ACROSS);
        assertThat(found.narrow().map(Router.Narrow::keepout)).contains("wall");
    }

    /** Of 50 of seat the box takes all but 20, and 8 more are asked: 38 are missing. */
    @Test
    void aPortThatIsObstructedIsNamed() {
        Scene scene = Scene.of(
                "blocked", port(0, 0, 0, BACK), port(1000, 0, 0, FRONT), box("tray", 20, 100, -100, 100, -100, 100));
        Router.Narrow narrow = scene.router().find(Taste.LEAST_LOSS).narrow().orElseThrow();
        assertThat(narrow.where()).isEqualTo(Router.Where.START);
        assertThat(narrow.keepout()).isEqualTo("tray");
        assertThat(narrow.missing()).isCloseTo(0.038, within(1e-5));
        Scene other = Scene.of(
                "other", port(1000, 0, 0, FRONT), port(0, 0, 0, BACK), box("tray", 20, 100, -100, 100, -100, 100));
        assertThat(other.router().find(Taste.LEAST_LOSS).narrow().map(Router.Narrow::where))
                .contains(Router.Where.END);
        assertThat(other.router().one(Taste.LEAST_LOSS)).isEmpty();
    }

    /** 15 above the engine the pipe runs straight on; rolling by 3 degrees lifts that by 7.9 mm where the pipe is, travel by 5: 2.1 would be left of 5. */
    @Test
    void whatMovesIsPassedWithMoreRoom() {
        double still = aside("standing engine");
        double moving = aside("moving engine");
        assertThat(still).isZero();
        assertThat(moving).isGreaterThan(0.0025);
    }

    /** m that the middle of it is off its ports. */
    private static double aside(String name) {
        Router.Way way = find(name).ways().get(0);
        Centreline line = Centreline.of(way.spec(), "");
        Vector3D middle = line.at(line.length() / 2);
        return Math.hypot(middle.getY() - 0.15, middle.getZ());
    }

    /** A bend less may cost a little more loss, never a bend more. */
    @Test
    void whatIsLikedDecides() {
        Scene scene = scene("aside");
        Router.Way few = scene.router().find(Taste.FEWEST_JOINTS).ways().get(0);
        assertThat(few.bends()).isEqualTo(2);
        for (Router.Way other : scene.router().find(Taste.LEAST_LOSS).ways()) {
            assertThat(other.bends()).isGreaterThanOrEqualTo(few.bends());
        }
    }

    /** Past the wall, with as much beyond the gap asked as there is: what loses least all but touches that gap, what has most room keeps far off. */
    @Test
    void mostRoomKeepsOff() {
        Scene scene = scene("wall");
        double least = spare(scene, scene.router().find(Taste.LEAST_LOSS).ways().get(0));
        List<Router.Way> roomy = scene.router().find(Taste.MOST_ROOM).ways();
        assertThat(least).isLessThan(0.02);
        assertThat(spare(scene, roomy.get(0))).isGreaterThan(least + 0.04);
        for (Router.Way other : roomy) {
            assertThat(spare(scene, other)).isLessThanOrEqualTo(spare(scene, roomy.get(0)) + 1e-6);
        }
    }

    private static double spare(Scene scene, Router.Way way) {
        Centreline line = Centreline.of(way.spec(), "");
        return Ribbon.of(line, Ribbon.round(line, Scene.TUBE.outside()), scene.keepouts()).stream()
                .mapToDouble(Ribbon.Spot::spare)
                .min()
                .orElseThrow();
    }

    @Test
    void cancelledItEndsWithWhatItHas() {
        Scene scene = scene("wall");
        Router none = new Router(Scene.TUBE, scene.start(), scene.end(), scene.keepouts(), () -> true);
        assertThat(none.find(Taste.LEAST_LOSS).ways()).isEmpty();
    }

    /**
     * A slot 60 high lets no tube of 60 pass, which wants 76; made flat to 40 it does on a straight. Where it is bent, 37.3 beside that and on its ports
     * it is round and keeps what is asked as such.
     */
    @Test
    void whatIsFlatOnItsStraightsIsRoundWhereItIsBent() {
        Scene scene = Scene.of(
                "flat",
                port(0, 200, 100, BACK),
                port(1000, -200, 0, FRONT),
                box("left wall", 490, 510, -FAR, -30, -FAR, FAR),
                box("right wall", 490, 510, 30, FAR, -FAR, FAR));
        assertThat(scene.router().one(Taste.LEAST_LOSS)).isEmpty();
        double taper = 0.0373;
        for (Taste taste : List.of(Taste.LEAST_LOSS, Taste.CHEAPEST, Taste.MOST_ROOM)) {
            Router router =
                    new Router(Scene.TUBE.flat(0.04, taper), scene.start(), scene.end(), scene.keepouts(), () -> false);
            Router.Way way = router.one(taste).orElseThrow();
            Centreline line = Centreline.of(way.spec(), "");
            List<double[]> round = new ArrayList<>();
            double along = 0;
            for (Centreline.Stretch s : line.stretches()) {
                if (s instanceof Centreline.Bend) {
                    round.add(new double[] {along - taper, along + s.length() + taper});
                }
                along += s.length();
            }
            round.add(new double[] {0, 0.05 + taper});
            round.add(new double[] {along - 0.05 - taper, along});
            List<Ribbon.Spot> spots = Ribbon.of(line, Ribbon.round(line, 0.06), scene.keepouts());
            assertThat(spots.stream().filter(s -> round.stream().anyMatch(r -> s.along() > r[0] && s.along() < r[1])))
                    .allSatisfy(s -> assertThat(s.spare()).isGreaterThan(-2e-4));
            assertThat(spots).anySatisfy(s -> assertThat(s.spare()).isLessThan(-0.005));
            assertThat(Ribbon.of(line, Ribbon.round(line, 0.04), scene.keepouts()))
                    .allSatisfy(s -> assertThat(s.spare()).isGreaterThan(-2e-4));
        }
    }

    /** A wall 35 beside the port, along the 50 of its seat and the 37.3 behind that: round it wants 38 there, flat 28 would do. */
    @Test
    void onItsPortItIsRound() {
        Tube flat = Scene.TUBE.flat(0.04, 0.0373);
        for (double far : List.of(60.0, 80.0, 95.0)) {
            Scene scene = Scene.of(
                    "beside",
                    port(0, 0, 0, BACK),
                    port(800, 0, 0, FRONT),
                    box("wall", far, far + 40, 35, 60, -200, 200));
            Router router = new Router(flat, scene.start(), scene.end(), scene.keepouts(), () -> false);
            assertThat(router.one(Taste.LEAST_LOSS).isPresent()).isEqualTo(far > 87.3);
        }
    }
}

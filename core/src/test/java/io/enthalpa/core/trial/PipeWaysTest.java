package io.enthalpa.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.Ovals;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Scroll;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.router.Router;
import io.enthalpa.core.router.Taste;
import io.enthalpa.core.space.Motion;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The core of {@link Rooms} at the datum, its inlet 347 to the left; the hot pipe comes from 700 behind and 500 left of it. */
class PipeWaysTest {
    private static final Obstacle POST = Rooms.box("post", 0.25, 0.35, -0.6, -0.35, -0.3, 0.3);

    private static BuildOption option() {
        Run hot = new Run("hot pipe", Optional.of(new Vector3D(0.7, -0.5, 0)), List.of(), Optional.empty());
        return Rooms.core(Systems.standard(), 0, 0, 0).withRuns(List.of(hot));
    }

    private static PipeWays ways(Obstacle... obstacles) {
        return new PipeWays(
                Rooms.build(Rooms.room(obstacles), option()),
                "A",
                RunName.ofPipe("hot pipe"),
                Taste.LEAST_LOSS,
                () -> false);
    }

    private static Obstacle movable(Obstacle o) {
        return new Obstacle(
                o.name(), o.nature(), o.carrier(), o.gap(), o.shape(), Optional.of(new Obstacle.Moving(1, 0, "")));
    }

    /** Round the post; tube of 57 inside and 1.6 mm of wall weighs pi 58.6 1.6 2.7 = 795 g a metre, and holds 2.552 L. */
    @Test
    void eachWayIsLaidCheckedAndPriced() {
        PipeWays.Found found = ways(POST).find();
        assertThat(found.dropped()).isZero();
        assertThat(found.ways()).hasSizeGreaterThanOrEqualTo(2);
        for (PipeWays.Way way : found.ways()) {
            Fit fit = Fit.of(way.option(), Rooms.room(POST));
            assertThat(fit.pipes().laid()).singleElement().satisfies(l -> {
                assertThat(l.behind().orElseThrow().off()).isLessThan(0.002);
                assertThat(way.mass()).isCloseTo(0.7953 * l.line().length(), within(1e-3));
                assertThat(way.volume()).isCloseTo(2.5518e-3 * l.line().length(), within(1e-6));
            });
            assertThat(fit.fits()).isTrue();
            assertThat(way.tight().orElseThrow().missing()).isLessThan(0);
            assertThat(way.beside()).isNotEmpty();
            assertThat(way.change()).isPresent();
        }
    }

    /**
     * From a core on the body to a plenum on the engine, which lifts by 8: straight on it would pass 10 under a bar of the body, of which 2 are left as
     * it moves and 5 are asked. A way is found that keeps them, and none that the check would not let pass.
     */
    @Test
    void whatGoesAlongWithTheEngineIsKeptClearOfTheBody() {
        BuildOption core = Rooms.core(Systems.standard(), 0, 0, 0);
        Stand plenum = new Stand(
                "plenum", Stand.What.PLENUM, new Vector3D(0, 1.2, 0), -Math.PI / 2, 0, 0, "engine", Optional.empty());
        BuildOption floating = core.withStands(List.of(core.stands().get(0), plenum))
                .withRuns(List.of(new Run("cold pipe", Optional.empty(), List.of(), Optional.empty())));
        double outside =
                Pieces.of(PathElement.Pipe.class, core.path()).get(1).piece().outside();
        double under = outside / 2 + 0.01;
        Motion lift = new Motion(Vector3D.ZERO, Vector3D.PLUS_I, 0, new Vector3D(0, 0, 8e-3));
        RoomSpec room = new RoomSpec(
                "",
                List.of(new Carrier("engine", lift)),
                List.of(Rooms.box("bar", -0.1, 0.1, 0.7, 0.8, under, under + 0.05)));
        assertThat(Fit.of(floating, room).fits()).isFalse();
        PipeWays.Found found = new PipeWays(
                        Rooms.build(room, floating), "A", RunName.ofPipe("cold pipe"), Taste.LEAST_LOSS, () -> false)
                .find();
        assertThat(found.dropped()).isZero();
        assertThat(found.ways())
                .isNotEmpty()
                .allSatisfy(way -> assertThat(Fit.of(way.option(), room).fits()).isTrue());
    }

    /** The straight way, and with it the shorter pipe, is there again without the post: its loss is less. */
    @Test
    void whatAWayCostsIsWhatThePipeCosts() {
        PipeWays.Way round = ways(POST).find().ways().get(0);
        PipeWays.Way free = ways().find().ways().get(0);
        assertThat(free.laid().line().length()).isLessThan(round.laid().line().length() - 0.02);
        assertThat(free.change().orElseThrow().loss())
                .isLessThan(round.change().orElseThrow().loss() - 10);
    }

    /** A box all round the inlet but for its mouth stands too near; with a lid on it that can be taken off there is a way. */
    @Test
    void whereThereIsNoneItIsTriedWhatOpensOne() {
        Obstacle lid = movable(Rooms.box("lid", -0.2, 0.2, -0.9, -0.5, -0.4, 0.4));
        Obstacle back = Rooms.box("back", 0.2, 0.6, -0.9, -0.33, -0.8, 0.8);
        Obstacle front = Rooms.box("front", -0.6, -0.2, -0.9, -0.33, -0.8, 0.8);
        Obstacle over = Rooms.box("over", -0.2, 0.2, -0.9, -0.33, 0.4, 0.8);
        Obstacle under = Rooms.box("under", -0.2, 0.2, -0.9, -0.33, -0.8, -0.4);
        PipeWays ways = ways(lid, back, front, over, under);
        PipeWays.Found found = ways.find();
        assertThat(found.ways()).isEmpty();
        PipeWays.Tried moved = tried(ways, Opening.MOVED).get(0);
        assertThat(moved.opening()).isEqualTo(Opening.MOVED);
        assertThat(moved.opens()).isTrue();
        assertThat(ways.says(moved).to()).isEqualTo("lid");
        assertThat(moved.figure().orElseThrow()).isZero();
        // Laid, it keeps its gaps where the lid is not, and stands in the lid where it is.
        PipeWays.Way way = moved.way().orElseThrow();
        assertThat(way.tight().orElseThrow().missing()).isNegative();
        assertThat(way.change()).isPresent();
        assertThat(Fit.of(way.option(), Rooms.room(back, front, over, under)).fits())
                .isTrue();
        assertThat(Fit.of(way.option(), Rooms.room(lid)).fits()).isFalse();
        PipeWays.Tried smaller = tried(ways, Opening.SMALLER).get(0);
        assertThat(smaller.opening()).isEqualTo(Opening.SMALLER);
        assertThat(smaller.figure().orElseThrow()).isCloseTo(0.057, within(1e-9));
        assertThat(smaller.opens()).isFalse();
        assertThat(ways.says(found).kind()).isIn(Kind.WAY_NARROW, Kind.WAY_ACROSS);
    }

    /** A gate between two posts, 60 wide: the tube and its gaps want 76.2, one of 38 and its gaps 54. */
    @Test
    void aSmallerPipeOpensAGate() {
        double half = 0.03;
        Obstacle[] gate = {
            Rooms.box("left post", 0.3, 0.35, -3, -0.5 - half, -3, 3),
            Rooms.box("right post", 0.3, 0.35, -0.5 + half, 3, -3, 3)
        };
        PipeWays ways = ways(gate);
        PipeWays.Found found = ways.find();
        assertThat(found.ways()).isEmpty();
        Router.Narrow narrow = found.narrow().orElseThrow();
        assertThat(narrow.missing()).isCloseTo((0.0602 + 0.016) / 2 - half, within(2e-4));
        PipeWays.Tried last = tried(ways, Opening.SMALLER).get(2);
        assertThat(last.figure().orElseThrow()).isCloseTo(0.045, within(1e-9));
        assertThat(last.opens()).isFalse();
        Build other = Rooms.build(Rooms.room(gate), option().withPath(small()));
        assertThat(new PipeWays(other, "A", RunName.ofPipe("hot pipe"), Taste.LEAST_LOSS, () -> false)
                        .find()
                        .ways())
                .isNotEmpty();
    }

    private static List<PipeWays.Tried> tried(PipeWays ways, Opening opening) {
        return IntStream.range(0, ways.tries())
                .mapToObj(ways::attempt)
                .filter(t -> t.opening() == opening)
                .toList();
    }

    /**
     * A wall 153 before the inlet: a seat of 50, a bend of 90.3, half the tube and its gap want 178. An elbow on the port lets it pass beside the
     * wall; turned over, the port looks to the other side, where nothing is.
     */
    @Test
    void aPortTurnedOrACoreTurnedOverOpensAWay() {
        Obstacle wall = Rooms.box("wall", -0.3, 0.3, -0.55, -0.5, -0.3, 0.3);
        PipeWays ways = ways(wall);
        assertThat(ways.find().ways()).isEmpty();
        PipeWays.Tried turned = tried(ways, Opening.PORT_TURNED).get(0);
        assertThat(turned.opens()).isTrue();
        assertThat(ways.says(turned).kind()).isEqualTo(Kind.WAY_PORT_TURNED);
        assertThat(ways.says(turned).to()).isEqualTo("core");
        PipeWays.Way way = turned.way().orElseThrow();
        assertThat(Fit.of(way.option(), Rooms.room(wall)).fits()).isTrue();
        // Its elbow loses something, and it is counted.
        assertThat(way.change().orElseThrow().loss()).isGreaterThan(0);
        PipeWays.Tried over = tried(ways, Opening.TURNED_OVER).get(0);
        assertThat(over.opens()).isTrue();
        Stand core = over.way().orElseThrow().option().stands().get(0);
        assertThat(core.leaned()).isCloseTo(Math.PI, within(1e-9));
        assertThat(over.way().orElseThrow().laid().spec().to().getY()).isGreaterThan(0.3);
    }

    /**
     * TF-14, TF-16, common practice, no source: a slot 65 high lets no tube of 60.2 pass, for that wants 76.2 with its gaps; two of 45 side by side want 61 and pass
     * through it. Two of 45 by 1.6 have 2 (41.8 / 57)^2 = 1.0755 times the area of 57 inside.
     */
    @Test
    void twoTubesPassALowSlot() {
        double half = 0.0325;
        Obstacle[] slot = {Rooms.box("floor", 0.3, 0.35, -3, 3, -3, -half), Rooms.box("roof", 0.3, 0.35, -3, 3, half, 3)
        };
        PipeWays ways = ways(slot);
        assertThat(ways.find().ways()).isEmpty();
        PipeWays.Tried two = tried(ways, Opening.TWO_TUBES).get(0);
        assertThat(two.opens()).isTrue();
        assertThat(two.figure().orElseThrow()).isCloseTo(0.045, within(1e-9));
        PipeWays.Way way = two.way().orElseThrow();
        Laid left = way.laid();
        Laid right = way.second().orElseThrow();
        assertThat(Fit.of(way.option(), Rooms.room(slot)).fits()).isTrue();
        assertThat(way.option().path())
                .filteredOn(PathElement.Parallel.class::isInstance)
                .hasSize(1);
        double area = left.pipe().spec().area() + right.pipe().spec().area();
        assertThat(area / (Math.PI / 4 * 0.057 * 0.057)).isCloseTo(1.0755, within(1e-3));
        // A metre of 45 by 1.6 weighs pi 43.4 1.6 2.7 = 589 g.
        assertThat(way.mass())
                .isCloseTo(0.589 * (left.line().length() + right.line().length()), within(2e-3));
        // Both end on one port, 53 apart where the arms of their Y begin.
        assertThat(left.spec().to().distance(right.spec().to())).isCloseTo(0.053, within(1e-9));
        assertThat(left.behind().orElseThrow().fork().orElseThrow().root())
                .isEqualTo(right.behind().orElseThrow().fork().orElseThrow().root());
        assertThat(way.change().orElseThrow().loss()).isNotNaN();
    }

    /**
     * The slot of {@link #twoTubesPassALowSlot}: what is no higher than 65 - 16 passes. Of 60.2 the heights tried are 52, 43, 37 and 31 (0.85, 0.7, 0.6
     * and half of it, rounded up); 43 is the first that does, pi/4 (57^2 - 39.8^2) / 39.8 = 32.85 of flat, 75.85 wide, lying.
     */
    @Test
    void madeFlatATubePassesALowSlot() {
        double half = 0.0325;
        Obstacle[] slot = {Rooms.box("floor", 0.3, 0.35, -3, 3, -3, -half), Rooms.box("roof", 0.3, 0.35, -3, 3, half, 3)
        };
        PipeWays ways = ways(slot);
        PipeWays.Tried flat = tried(ways, Opening.OVAL).get(0);
        assertThat(flat.opens()).isTrue();
        assertThat(flat.figure().orElseThrow()).isCloseTo(0.043, within(1e-9));
        assertThat(ways.says(flat).kind()).isEqualTo(Kind.WAY_OVAL);
        PipeWays.Way way = flat.way().orElseThrow();
        Laid laid = way.laid();
        assertThat(laid.ovals()).hasSize(1);
        Oval oval = laid.ovals().get(0);
        assertThat(Ovals.width(oval, laid.pipe())).isCloseTo(0.07585, within(1e-5));
        assertThat(Fit.of(way.option(), Rooms.room(slot)).fits()).isTrue();
        // (65 - 43) / 2 to floor and roof, less the 8 that is asked.
        assertThat(way.tight().orElseThrow().missing()).isCloseTo(-0.003, within(1e-4));
        // It lies: level across, whichever way the pipe goes there.
        Vector3D looks = laid.line().side(oval.along(), oval.clock());
        assertThat(Math.abs(looks.getZ())).isCloseTo(1, within(1e-3));
        assertThat(way.change().orElseThrow().loss()).isNotNaN();
    }

    /** No flatter than half of it: 31 and 16 pass through no slot of 46. */
    @Test
    void throughALowerSlotItDoesNotPassFlatEither() {
        Obstacle[] slot = {
            Rooms.box("floor", 0.3, 0.35, -3, 3, -3, -0.023), Rooms.box("roof", 0.3, 0.35, -3, 3, 0.023, 3)
        };
        PipeWays ways = ways(slot);
        PipeWays.Tried flat = tried(ways, Opening.OVAL).get(0);
        assertThat(flat.opens()).isFalse();
        assertThat(flat.figure().orElseThrow()).isCloseTo(0.031, within(1e-9));
    }

    /** The housing of a turbo looks at a wall that stands before its outlet; clocked another way it looks past it, and is told to what. */
    @Test
    void aHousingClockedOpensAWay() {
        List<PathElement> path = option().path().stream()
                .map(e -> e instanceof PathElement.Blower b
                        ? new PathElement.Blower(
                                b.name(),
                                new BlowerSpec(
                                        BlowerType.TURBO, 0.7, 3, b.spec().outletBore(), Optional.empty()))
                        : e)
                .toList();
        Stand turbo = new Stand(
                        "blower",
                        Stand.What.BLOWER,
                        new Vector3D(0.9, -0.4, 0),
                        0,
                        0,
                        0,
                        "body",
                        Optional.of(new Stand.Size(0.15, 0.2, 0.2)))
                .scrolled(new Scroll(0, Scroll.Runs.CLOCKWISE));
        BuildOption option = option().withPath(path)
                .withStands(List.of(option().stands().get(0), turbo))
                .withRuns(List.of());
        Vector3D port = Bodies.of(option).get(1).ports().stream()
                .filter(p -> p.role().endsWith("outlet"))
                .findFirst()
                .orElseThrow()
                .at();
        assertThat(port.getZ()).isGreaterThan(0.1);
        Obstacle lid = Rooms.box("lid", 0.4, 1.4, -1, 0.2, port.getZ() + 0.05, port.getZ() + 0.1);
        PipeWays ways = new PipeWays(
                Rooms.build(Rooms.room(lid), option), "A", RunName.ofPipe("hot pipe"), Taste.LEAST_LOSS, () -> false);
        assertThat(ways.find().ways()).isEmpty();
        PipeWays.Tried clocked = tried(ways, Opening.CLOCKED).get(0);
        assertThat(clocked.opens()).isTrue();
        double to = clocked.figure().orElseThrow();
        Stand stand = clocked.way().orElseThrow().option().stands().get(1);
        assertThat(stand.scroll().orElseThrow().clocked()).isEqualTo(to);
        assertThat(to).isGreaterThan(0);
        assertThat(ways.says(clocked).figures())
                .anySatisfy(f -> assertThat(f.value()).isEqualTo(to));
        assertThat(Fit.of(clocked.way().orElseThrow().option(), Rooms.room(lid)).fits())
                .isTrue();
    }

    private static List<PathElement> small() {
        return option().path().stream()
                .map(e -> e instanceof PathElement.Pipe p
                        ? p.withSpec(p.spec().asTube(0.038, p.wall().thickness()))
                        : e)
                .toList();
    }

    @Test
    void whatCannotBeAskedIsRefused() {
        RoomSpec room = Rooms.room(POST);
        assertThatThrownBy(() -> new PipeWays(
                        Rooms.build(room, option()), "A", RunName.ofPipe("cold pipe"), Taste.LEAST_LOSS, () -> false))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("The end of cold pipe is not known");
        assertThatThrownBy(() -> new PipeWays(
                        Rooms.build(room, option()), "A", RunName.ofPipe("no pipe"), Taste.LEAST_LOSS, () -> false))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("no pipe");
        BuildOption open = option().withRuns(List.of());
        assertThatThrownBy(() -> new PipeWays(
                        Rooms.build(room, open), "A", RunName.ofPipe("hot pipe"), Taste.LEAST_LOSS, () -> false))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("The beginning of hot pipe is not known");
    }
}

package io.enthalpa.core.envelope;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.room.AskedGap;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Way;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LargestCoreTest {
    private static final double GAP = 8e-3;

    private static LargestCore best(RoomSpec room, Facing facing, PortSide towards, double deepest) {
        BuildOption option = Rooms.core(Systems.standard(), 0, 0, 0);
        return LargestCore.of(option, room, Fit.of(option, room), 0, new LargestCore.Wanted(Vector3D.ZERO, deepest, 0))
                .stream()
                .filter(c -> c.facing() == facing && c.towards() == towards)
                .findFirst()
                .orElseThrow();
    }

    private static final Obstacle[] TUNNEL = {
        Rooms.box("left wall", -1, 1, -1, -0.4, -1, 1),
        Rooms.box("right wall", -1, 1, 0.5, 1, -1, 1),
        Rooms.box("floor", -1, 1, -1, 1, -1, -0.2),
        Rooms.box("roof", -1, 1, -1, 1, 0.15, 1)
    };

    /** 900 between walls: less 16 for the gaps and 194 for tanks and ports, 690. 350 high less 16. As deep as asked. */
    @Test
    void tunnelIsFilledButForTanksPortsAndGaps() {
        LargestCore core = best(Rooms.room(TUNNEL), Facing.FRONT, PortSide.RIGHT, 0.09);
        assertThat(core.size().width()).isCloseTo(0.690, within(1e-3));
        assertThat(core.size().height()).isCloseTo(0.334, within(1e-3));
        assertThat(core.size().depth()).isCloseTo(0.09, within(1e-9));
        assertThat(core.stand().middle().getY()).isCloseTo(0.05, within(1e-3));
        assertThat(core.stand().middle().getZ()).isCloseTo(-0.025, within(1e-3));
        assertThat(core.stops())
                .extracting(LargestCore.Stop::side, LargestCore.Stop::name)
                .containsExactlyInAnyOrder(
                        org.assertj.core.groups.Tuple.tuple(Way.LEFT, "left wall"),
                        org.assertj.core.groups.Tuple.tuple(Way.RIGHT, "right wall"),
                        org.assertj.core.groups.Tuple.tuple(Way.DOWN, "floor"),
                        org.assertj.core.groups.Tuple.tuple(Way.UP, "roof"));
    }

    private static LargestCore withAir(Obstacle... more) {
        RoomSpec room =
                Rooms.room(Stream.concat(Stream.of(TUNNEL), Stream.of(more)).toArray(Obstacle[]::new));
        BuildOption option = Rooms.core(Systems.standard(), 0, 0, 0);
        Fit fit = Fit.of(option, room);
        return LargestCore.of(
                        option,
                        room,
                        fit,
                        0,
                        new LargestCore.Wanted(Vector3D.ZERO, 0.12, 0.075),
                        Facing.FRONT,
                        PortSide.RIGHT,
                        new LargestCore.Search(0, 800))
                .orElseThrow();
    }

    /**
     * A wall 100 behind the place leaves the core's rear 25 behind it for the 75 of free air, where the gap of 8 would leave 92; one 80 before it
     * its front at -72: 97 deep. What air goes through 65 behind the place keeps its 8 alone.
     */
    @Test
    void freeAirBehindIsAskedOfWhatStopsAir() {
        Obstacle front = Rooms.box("front wall", -1, -0.08, -1, 1, -1, 1);
        LargestCore core = withAir(front, Rooms.box("back wall", 0.1, 1, -1, 1, -1, 1));
        assertThat(core.size().depth()).isCloseTo(0.097, within(1e-3));
        assertThat(core.stand().middle().getX() + core.size().depth() / 2).isCloseTo(0.025, within(1e-3));
        assertThat(core.size().width()).isCloseTo(0.690, within(1e-3));
        assertThat(core.size().height()).isCloseTo(0.334, within(1e-3));
        assertThat(core.stops()).contains(new LargestCore.Stop(Way.REARWARDS, "back wall", 5));
        LargestCore through = withAir(
                front,
                Rooms.of("radiator", Nature.AIR_THROUGH, new ObstacleShape.Box(0.065, 0.09, -1, 1, -1, 1, 0, 0, 0)));
        assertThat(through.size().depth()).isCloseTo(0.12, within(1e-9));
    }

    /** A post 60 wide behind the right end is missed by the block's end or its rear, whichever leaves more: its tanks may stand before it. */
    @Test
    void postInTheAirBehindIsMissedAtTheEndOfTheBlock() {
        LargestCore core = withAir(
                Rooms.box("front wall", -1, -0.06, -1, 1, -1, 1), Rooms.box("post", 0.08, 0.1, 0.30, 0.36, -1, 1));
        // Left of the post: from -0.4 + 0.008 + 0.097 to 0.3 is 595.
        assertThat(core.size().width()).isCloseTo(0.595, within(2e-3));
        assertThat(core.size().depth()).isCloseTo(0.12, within(1e-9));
    }

    /** On end the passages are short: 350 less 16 and 194, by 900 less 16. */
    @Test
    void onEndTheTanksTakeFromTheHeight() {
        LargestCore core = best(Rooms.room(TUNNEL), Facing.FRONT, PortSide.UP, 0.064);
        assertThat(core.size().width()).isCloseTo(0.140, within(1e-3));
        assertThat(core.size().height()).isCloseTo(0.884, within(1e-3));
    }

    /** A wall 60 behind the place and one 60 before it leave 104 for the clamps of 77 and for a block of 104 at most. */
    @Test
    void depthIsWhatTheRoomLeaves() {
        List<Obstacle> all = new ArrayList<>(List.of(TUNNEL));
        all.add(Rooms.box("behind", 0.06, 1, -1, 1, -1, 1));
        all.add(Rooms.box("before", -1, -0.06, -1, 1, -1, 1));
        LargestCore core = best(Rooms.room(all.toArray(Obstacle[]::new)), Facing.FRONT, PortSide.RIGHT, 0.2);
        assertThat(core.size().depth()).isCloseTo(0.104, within(1e-3));
    }

    /** What an engine that rolls may come to counts: the answer fits as the list of gaps sees it. */
    @Test
    void answerFitsStandingAndMoved() {
        Carrier engine = new Carrier(
                "engine",
                new Motion(
                        new Vector3D(0.3, 0, -0.3), Vector3D.PLUS_I, Math.toRadians(3), new Vector3D(4e-3, 0, 5e-3)));
        List<Obstacle> all = new ArrayList<>(List.of(TUNNEL));
        all.add(new Obstacle(
                "pulley",
                io.enthalpa.core.room.Nature.TURNING,
                "engine",
                OptionalDouble.empty(),
                new ObstacleShape.Round(new Vector3D(0.07, 0.1, 0.05), 0.06, new Vector3D(0.2, 0.15, 0.05), 0.06),
                Optional.empty()));
        RoomSpec room = new RoomSpec("", List.of(engine), all);
        BuildOption option = Rooms.core(Systems.standard(), 0, 0, 0);
        List<LargestCore> found =
                LargestCore.of(option, room, Fit.of(option, room), 0, new LargestCore.Wanted(Vector3D.ZERO, 0.09, 0));
        assertThat(found).isNotEmpty().allSatisfy(core -> {
            BuildOption with = option.with(
                            Pieces.of(PathElement.Core.class, option.path()).get(0), c -> c.withSpec(core.of(c.spec())))
                    .withStands(List.of(core.stand()));
            Fit fit = Fit.of(with, room);
            assertThat(fit.fits())
                    .as("%s %s %s", core.facing(), core.towards(), fit.gaps())
                    .isTrue();
        });
    }

    @Test
    void nothingPassesWhereThePlaceItselfIsTaken() {
        BuildOption option = Rooms.core(Systems.standard(), 0, 0, 0);
        RoomSpec room = Rooms.room(Rooms.box("tank", -0.1, 0.1, -0.1, 0.1, -0.1, 0.1));
        assertThat(LargestCore.of(
                        option, room, Fit.of(option, room), 0, new LargestCore.Wanted(Vector3D.ZERO, 0.09, 0)))
                .isEmpty();
    }

    /** Boxes strewn about the place, none nearer to it than 50. */
    private static List<double[]> strewn(int seed) {
        Random random = new Random(seed);
        List<double[]> boxes = new ArrayList<>();
        while (boxes.size() < 7) {
            double[] b = new double[6];
            for (int axis = 0; axis < 3; axis++) {
                double middle = random.nextDouble(-0.5, 0.5);
                double half = random.nextDouble(0.03, 0.3);
                b[2 * axis] = middle - half;
                b[2 * axis + 1] = middle + half;
            }
            if (distance(b, new double[6]) > 0.05) {
                boxes.add(b);
            }
        }
        return boxes;
    }

    private static final double DEEPEST = 0.15;

    private static Optional<Envelope.Found> search(List<Neighbour> neighbours, double behind) {
        return new Envelope(neighbours, new Bounds(-1, -1, -1, 1, 1, 1))
                .search(Pose.ORIGIN, bareBlock(), new LargestCore.Wanted(Vector3D.ZERO, DEEPEST, behind), 0, 3000);
    }

    /** Against every box whose faces lie a gap off some face of theirs, or at the end of what is looked at. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void asLargeAsByBruteForce(int seed) {
        List<double[]> boxes = strewn(seed);
        Envelope.Found found = search(neighbours(boxes), 0).orElseThrow();
        assertThat(found.certain()).as("seed %d", seed).isTrue();
        assertThat(found.box().volume()).as("seed %d", seed).isGreaterThan(0.985 * bruteForce(boxes, DEEPEST));
        double[] faces = own(found.box());
        assertThat(boxes).allSatisfy(b -> assertThat(distance(b, faces)).isGreaterThan(GAP - 2e-5));
    }

    /** What the air behind must miss reaches 75 farther forwards, and asks nothing sideways. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void asLargeAsByBruteForceWithFreeAirBehind(int seed) {
        List<double[]> boxes = strewn(seed);
        List<double[]> and = new ArrayList<>(boxes);
        boxes.forEach(b ->
                and.add(new double[] {b[0] - 0.075 + GAP, b[1] - GAP, b[2] + GAP, b[3] - GAP, b[4] + GAP, b[5] - GAP}));
        double brute = bruteForce(and, DEEPEST);
        List<Neighbour> all = neighbours(boxes);
        all.addAll(all.stream().map(Neighbour::ofAir).toList());
        Optional<Envelope.Found> found = search(all, 0.075);
        assertThat(found.map(f -> f.box().volume()).orElse(0.0))
                .as("seed %d", seed)
                .isGreaterThanOrEqualTo(0.98 * brute);
        found.ifPresent(f -> {
            double[] faces = own(f.box());
            assertThat(boxes).allSatisfy(b -> assertThat(distance(b, faces)).isGreaterThan(GAP - 2e-5));
            double[] air = {faces[1], faces[1] + 0.075, faces[2], faces[3], faces[4], faces[5]};
            assertThat(boxes)
                    .noneMatch(b ->
                            IntStream.of(0, 2, 4).allMatch(k -> b[k] < air[k + 1] - 1e-4 && b[k + 1] > air[k] + 1e-4));
        });
    }

    private static CoreSpec bareBlock() {
        CoreSpec core = Systems.standard().core();
        EndTankSpec none = EndTankSpec.alike(0.057, 0, EndTankSpec.PortPlace.MIDDLE, false, 0, 1);
        return new CoreSpec(core.construction(), core.size(), core.basis(), core.arrangement(), none, PortSide.RIGHT);
    }

    private static List<Neighbour> neighbours(List<double[]> boxes) {
        List<Neighbour> all = new ArrayList<>();
        for (double[] b : boxes) {
            all.add(new Neighbour(
                    "box",
                    new ObstacleShape.Box(b[0], b[1], b[2], b[3], b[4], b[5], 0, 0, 0).solid("box"),
                    new AskedGap(GAP, GAP),
                    Motion.STILL,
                    Motion.STILL,
                    false,
                    0,
                    false));
        }
        return all;
    }

    private static double[] own(Box box) {
        Vector3D m = box.middle();
        CoreSize size = box.size();
        return new double[] {
            m.getX() - size.depth() / 2,
            m.getX() + size.depth() / 2,
            m.getY() - size.width() / 2,
            m.getY() + size.width() / 2,
            m.getZ() - size.height() / 2,
            m.getZ() + size.height() / 2
        };
    }

    private static double distance(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < 6; i += 2) {
            double d = Math.max(0, Math.max(a[i] - b[i + 1], b[i] - a[i + 1]));
            sum += d * d;
        }
        return Math.sqrt(sum);
    }

    private static double bruteForce(List<double[]> boxes, double deepest) {
        List<List<Double>> low = new ArrayList<>();
        List<List<Double>> high = new ArrayList<>();
        for (int axis = 0; axis < 3; axis++) {
            List<Double> l = new ArrayList<>(List.of(-0.8));
            List<Double> h = new ArrayList<>(List.of(0.8));
            for (double[] b : boxes) {
                l.add(b[2 * axis + 1] + GAP);
                h.add(b[2 * axis] - GAP);
            }
            l.removeIf(v -> v > 0);
            h.removeIf(v -> v < 0);
            low.add(l);
            high.add(h);
        }
        double best = 0;
        for (double y0 : low.get(1)) {
            for (double y1 : high.get(1)) {
                for (double z0 : low.get(2)) {
                    for (double z1 : high.get(2)) {
                        best = Math.max(best, (y1 - y0) * (z1 - z0) * depth(boxes, y0, y1, z0, z1, deepest));
                    }
                }
            }
        }
        return best;
    }

    /** The deepest slab round the place that a rectangle leaves, limited. */
    private static double depth(List<double[]> boxes, double y0, double y1, double z0, double z1, double deepest) {
        double front = -0.8;
        double rear = 0.8;
        for (double[] b : boxes) {
            double[] line = {0, 0, y0, y1, z0, z1};
            double[] flat = {0, 0, b[2], b[3], b[4], b[5]};
            if (distance(line, flat) < GAP - 1e-9) {
                if (b[0] - GAP < 0 && b[1] + GAP > 0) {
                    return 0;
                }
                if (b[1] + GAP <= 0) {
                    front = Math.max(front, b[1] + GAP);
                } else {
                    rear = Math.min(rear, b[0] - GAP);
                }
            }
        }
        return Math.min(deepest, rear - front);
    }
}

package io.enthalpa.bench;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.envelope.LargestCore;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Body;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.WayOut;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Mesh;
import io.enthalpa.core.space.Solid;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** All gaps of a room: 40 obstacles, a mesh of 50,000 triangles, 8 bodies. Budget 20 ms. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class FitBenchmark {
    private static final int AROUND = 250;
    private static final int UP = 100;

    private BuildOption van;
    private RoomSpec measured;
    private Fit fit;
    private BuildOption option;
    private RoomSpec room;
    private List<Solid> solids;
    private Solid mesh;
    private boolean moved;
    private List<Solid> bodies;

    /** The van's room, eleven of its obstacles twice, a scan of the bay in it, and all its bodies twice. */
    @Setup
    public void set() throws IOException {
        Build build = BuildFile.read(Files.readString(Path.of("server/src/main/resources/demo/pass-van.json")));
        measured = build.room().orElseThrow();
        List<Obstacle> all = new ArrayList<>(measured.obstacles());
        all.addAll(measured.obstacles().subList(3, 3 + 40 - measured.obstacles().size()));
        all.add(new Obstacle(
                "scan",
                Nature.BODY,
                Carrier.BODY.name(),
                OptionalDouble.empty(),
                new ObstacleShape.Surface(scan(), new Vector3D(0.3, 0, -0.7), 0, 0, 0, false),
                Optional.empty()));
        room = new RoomSpec(measured.datum(), measured.carriers(), all);
        solids = room.obstacles().stream().map(Obstacle::solid).toList();
        BuildOption one = build.option("A");
        van = one;
        fit = Fit.of(van, measured);
        List<Stand> stands = new ArrayList<>(one.stands());
        one.stands().forEach(s -> stands.add(s.shifted(30, 20, 10)));
        option = one.withStands(stands);
        mesh = solids.get(solids.size() - 1);
        bodies = Bodies.of(option).stream().map(Body::solid).toList();
    }

    /** A wavy tub round the bay, of 50,000 triangles. */
    private static Mesh scan() {
        double[] points = new double[3 * AROUND * (UP + 1)];
        int[] triangles = new int[6 * AROUND * UP];
        int p = 0;
        int t = 0;
        for (int j = 0; j <= UP; j++) {
            for (int i = 0; i < AROUND; i++) {
                double angle = 2 * Math.PI * i / AROUND;
                double r = 0.6 + 0.03 * Math.sin(9 * angle) + 0.02 * Math.sin(j * 0.7);
                points[p++] = 1.2 * r * Math.cos(angle);
                points[p++] = r * Math.sin(angle);
                points[p++] = 0.8 * j / UP;
                if (j < UP) {
                    int next = (i + 1) % AROUND;
                    for (int corner : new int[] {i, next, i + AROUND, next, next + AROUND, i + AROUND}) {
                        triangles[t++] = corner + j * AROUND;
                    }
                }
            }
        }
        return Mesh.of(points, triangles);
    }

    @Benchmark
    public Fit room() {
        return Fit.of(option, room, solids);
    }

    /** The same as an edit finds it that moves the scan itself: placed anew, and its tree of boxes built. */
    @Benchmark
    public Fit roomWithTheScanMoved() {
        moved = !moved;
        RoomSpec other = room.with(
                room.obstacles().size() - 1,
                room.obstacles().get(room.obstacles().size() - 1).shifted(moved ? 0.001 : 0, 0, 0));
        return Fit.of(option, other);
    }

    /** Each way to stand it; no budget of its own, asked for by hand. */
    @Benchmark
    public List<LargestCore> largestCore() {
        return LargestCore.of(
                van,
                measured,
                fit,
                0,
                new LargestCore.Wanted(fit.bodies().get(0).stand().middle(), 0.05, 0.075));
    }

    @Benchmark
    public List<WayOut> waysOut() {
        return WayOut.of(fit, 0, measured);
    }

    @Benchmark
    public List<Optional<Gap>> mesh() {
        return bodies.stream().map(body -> Gaps.between(body, mesh, 0.25)).toList();
    }
}

package io.enthalpa.bench;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.envelope.LargestCore;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Body;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.WayOut;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
    private List<Solid> bodies;

    /** The van's room, eleven of its obstacles twice, and all its bodies twice. */
    @Setup
    public void set() throws IOException {
        Build build = BuildFile.read(Files.readString(Path.of("server/src/main/resources/demo/pass-van.json")));
        measured = build.room().orElseThrow();
        List<Obstacle> all = new ArrayList<>(measured.obstacles());
        all.addAll(measured.obstacles().subList(3, 3 + 40 - measured.obstacles().size()));
        room = new RoomSpec(measured.datum(), measured.carriers(), all);
        solids = room.obstacles().stream().map(Obstacle::solid).toList();
        BuildOption one = build.option("A");
        van = one;
        fit = Fit.of(van, measured);
        List<Stand> stands = new ArrayList<>(one.stands());
        one.stands().forEach(s -> stands.add(s.shifted(30, 20, 10)));
        option = one.withStands(stands);
        mesh = Solid.of("scan", triangles());
        bodies = Bodies.of(option).stream().map(Body::solid).toList();
    }

    /** A wavy tub round the bay. */
    private static Convex[] triangles() {
        List<Convex> all = new ArrayList<>();
        for (int i = 0; i < AROUND; i++) {
            for (int j = 0; j < UP; j++) {
                all.add(Hull.of(List.of(at(i, j), at(i + 1, j), at(i, j + 1)), 0));
                all.add(Hull.of(List.of(at(i + 1, j), at(i + 1, j + 1), at(i, j + 1)), 0));
            }
        }
        return all.toArray(Convex[]::new);
    }

    private static Vector3D at(int i, int j) {
        double angle = 2 * Math.PI * i / AROUND;
        double r = 0.6 + 0.03 * Math.sin(9 * angle) + 0.02 * Math.sin(j * 0.7);
        return Pose.at(0.3, 0, -0.7).toRoom(new Vector3D(1.2 * r * Math.cos(angle), r * Math.sin(angle), 0.8 * j / UP));
    }

    @Benchmark
    public Fit room() {
        return Fit.of(option, room, solids);
    }

    /** Each way to stand it; no budget of its own, asked for by hand. */
    @Benchmark
    public List<LargestCore> largestCore() {
        return LargestCore.of(van, measured, fit, 0, new LargestCore.Wanted(fit.bodies().get(0).stand().middle(), 0.05, 0.075));
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

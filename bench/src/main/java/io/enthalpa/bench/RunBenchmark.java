package io.enthalpa.bench;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.Passable;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.router.Ribbon;
import io.enthalpa.core.router.Router;
import io.enthalpa.core.router.Taste;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Solid;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** A pipe in the van's room: all gaps along it, budget 5 ms; ways for it, three or more, budget 2 s. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class RunBenchmark {
    private static final RunName PIPE = RunName.ofPipe("hot pipe");
    /** m, as Fit looks */
    private static final double HORIZON = 0.25;

    private RoomSpec room;
    private List<Solid> solids;
    private BuildOption laid;
    private Passable passable;
    private Centreline line;
    private double outside;
    private Solid tube;
    private Motion motion;

    @Setup
    public void set() throws IOException {
        Build build = BuildFile.read(Files.readString(Path.of("server/src/main/resources/demo/pass-van.json")));
        room = build.room().orElseThrow();
        solids = room.obstacles().stream().map(Obstacle::solid).toList();
        BuildOption option = build.option("C");
        passable = Passable.of(option, room, solids, PIPE);
        List<Router.Way> ways = threeWays();
        if (ways.size() < 3) {
            throw new IllegalStateException("only " + ways.size() + " ways");
        }
        Run run = passable.run(ways.get(0).spec());
        laid = option.withRuns(List.of(run));
        Laid pipe = Pipework.of(laid, Bodies.of(laid)).laid().get(0);
        line = pipe.line();
        outside = pipe.outside();
        tube = line.solid(PIPE.of(), outside);
        motion = room.motion(Carrier.ENGINE);
    }

    /** Of it to everything else, standing and through all that both may do, as an edit finds them. */
    @Benchmark
    public double gapsOfOneRun() {
        double sum = 0;
        for (Solid solid : solids) {
            Optional<Gap> still = Gaps.between(tube, solid, HORIZON);
            // As the fit does: what stands farther off than anyone asks is not moved.
            if (still.isPresent()) {
                sum += still.get().value();
                sum += Gaps.moved(tube, motion, solid, Motion.STILL, 2 * HORIZON)
                        .map(Gap::value)
                        .orElse(0.0);
            }
        }
        return sum;
    }

    /** What is to spare all along it, for its ribbon. */
    @Benchmark
    public List<Ribbon.Spot> gapsAlongOneRun() {
        return Ribbon.of(line, Ribbon.round(line, outside), passable.keepouts());
    }

    /** The same as an edit finds it: every gap of the option, the pipe's among them. */
    @Benchmark
    public Fit roomWithOneRun() {
        return Fit.of(laid, room, solids);
    }

    @Benchmark
    public List<Router.Way> threeWays() {
        return new Router(passable.tube(), passable.start(), passable.end(), passable.keepouts(), () -> false)
                .find(Taste.LEAST_LOSS)
                .ways();
    }
}

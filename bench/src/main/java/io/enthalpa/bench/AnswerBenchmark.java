package io.enthalpa.bench;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The demo builds' charge line and duty: {@code mvn -P bench -pl core,formats,bench -DskipTests verify}. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class AnswerBenchmark {
    @Param({"pass-van C", "juniper B", "juniper C", "pass-van 12"})
    private String which;

    private Answer answer;

    @Setup
    public void read() throws IOException {
        String[] words = which.split(" ");
        Build build = BuildFile.read(Files.readString(Path.of("server/src/main/resources/demo/" + words[0] + ".json")));
        answer = words[1].equals("12") ? new Answer(twelve(build), "C") : new Answer(build, words[1]);
    }

    /** Option C with cones, joints and a throttle put in: twelve pieces with a compressor map and a core by geometry. */
    private static Build twelve(Build build) {
        BuildOption option = build.option("C");
        List<PathElement> path = new ArrayList<>(option.path());
        path.add(3, new PathElement.Reducer("cone", 0.051, 0.057, 0.06));
        path.add(4, new PathElement.Joint("joint", 0.057, 0.061, 0.008));
        path.add(path.size() - 1, new PathElement.Joint("second joint", 0.057, 0.061, 0.008));
        path.add(path.size() - 1, new PathElement.Reducer("second cone", 0.057, 0.060, 0.06));
        path.add(path.size() - 1, new PathElement.Joint("third joint", 0.060, 0.064, 0.008));
        path.add(path.size() - 1, new PathElement.Throttle("throttle", 0.060, 0.009));
        BuildOption longer =
                new BuildOption("C", option.name(), option.boost(), path, option.airWays(), option.stands());
        return build.withOptions(List.of(longer));
    }

    @Benchmark
    public SteadyResult chargeLine() {
        return answer.steady();
    }

    @Benchmark
    public SteadyResult chargeLineWithPrices() {
        return answer.priced();
    }

    @Benchmark
    public Trace duty() {
        return answer.soak();
    }
}

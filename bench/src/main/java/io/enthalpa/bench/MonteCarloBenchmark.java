package io.enthalpa.bench;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.OptionMonteCarlo;
import io.enthalpa.core.sizing.CoolingMethod;
import io.enthalpa.core.sizing.MethodSizing;
import io.enthalpa.core.sizing.Proposal;
import io.enthalpa.core.uncertainty.MonteCarloResult;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
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

/** What the jobs do: a band of 200 samples over the demo duty on all processors, and one method sized by default. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 4)
@Measurement(iterations = 3, time = 4)
@Fork(1)
public class MonteCarloBenchmark {
    @Param({"pass-van C", "juniper B"})
    private String which;

    private Build build;
    private String letter;

    @Setup
    public void read() throws IOException {
        String[] words = which.split(" ");
        build = BuildFile.read(Files.readString(Path.of("server/src/main/resources/demo/" + words[0] + ".json")));
        letter = words[1];
    }

    @Benchmark
    public MonteCarloResult band() {
        OptionMonteCarlo spread = new OptionMonteCarlo(build, letter, OptionMonteCarlo.USUAL_SAMPLES, 1);
        IntStream.range(0, spread.samples()).parallel().forEach(spread::run);
        return spread.result();
    }

    @Benchmark
    public Proposal oneMethod() {
        return new MethodSizing(build, letter).propose(CoolingMethod.WATER_RADIATOR);
    }
}

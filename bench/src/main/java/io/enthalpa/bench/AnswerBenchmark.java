package io.enthalpa.bench;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.endurance.SteadyResult;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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
    @Param({"pass-van C", "juniper B"})
    private String which;
    private Answer answer;

    @Setup
    public void read() throws IOException {
        String[] words = which.split(" ");
        Build build = BuildFile.read(Files.readString(Path.of("server/src/main/resources/demo/" + words[0] + ".json")));
        answer = new Answer(build, words[1]);
    }

    @Benchmark
    public SteadyResult chargeLine() {
        return answer.steady();
    }

    @Benchmark
    public Trace duty() {
        return answer.soak();
    }
}

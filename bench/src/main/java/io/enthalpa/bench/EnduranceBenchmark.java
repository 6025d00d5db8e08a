package io.enthalpa.bench;

import io.enthalpa.core.Systems;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Sensor;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.plant.PlantEquations;
import io.enthalpa.core.steady.ChargeSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Twenty minutes of laps with a water-cooled core: by the run's own steps, by steps of a tenth of a second, and by an adaptive integrator of
 * eighth order on the same equations, which is what a general solver takes for the same answer.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class EnduranceBenchmark {
    private static final double LENGTH = 1200;
    private final Duty laps = laps();
    private final ChargeSystem system = Systems.water().system();

    private static Duty laps() {
        List<DutyPoint> rows = new ArrayList<>();
        for (double t = 0; t < LENGTH; t += 30) {
            rows.add(new DutyPoint(t, 380, 20e3, 20));
            rows.add(new DutyPoint(t + 2, 400, 110e3, 22));
            rows.add(new DutyPoint(t + 18, 560, 110e3, 45));
            rows.add(new DutyPoint(t + 20, 450, 10e3, 35));
        }
        rows.add(new DutyPoint(LENGTH, 380, 20e3, 20));
        return new Duty("laps", true, 8, 1, 0, rows);
    }

    @Benchmark
    public Trace ownSteps() {
        return EnduranceRun.run(system, laps);
    }

    @Benchmark
    public Trace tenHertz() {
        return EnduranceRun.run(system, laps, Sensor.USUAL, 0.1);
    }

    @Benchmark
    public double[] generalSolver() {
        return new PlantEquations(system, laps).intakeAt(LENGTH);
    }
}

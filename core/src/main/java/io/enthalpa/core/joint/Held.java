package io.enthalpa.core.joint;

import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.room.Mount;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;

/**
 * The longest piece of a laid pipe that nothing holds.
 *
 * @param from m along it where it begins
 * @param to   m along it where it ends
 * @param rings Hz
 */
public record Held(double from, double to, double rings) {
    public static final Method METHOD = Method.of(
                    "pipe-rings",
                    "A long pipe that rings with the engine",
                    "Between two holds, joints or braces, tube swings as a beam on two knife edges. Where that is no higher than the engine fires at its top speed, it comes "
                            + "through that as the revs rise, and couplers and welds crack in time: a brace on rubber in the middle of the free length makes it four times as high.")
            .formula("f = (pi / 2) sqrt(E I / m) / L^2; I = pi r^3 t, m = 2 pi r t rho, L along the middle")
            .source(
                    Citation.fromMemory(
                            "Timoshenko", 1937, "Vibration Problems in Engineering, lateral vibration of bars"),
                    Citation.commonPractice(
                            "brace the first pipe off the core on rubber; isolate a long crossover in the middle"))
            .leavesOut("Bends, which make it lower; the firmness of joints, which makes it higher.");

    /** @return empty of hose, which damps itself */
    static Optional<Held> of(Laid laid, Run run) {
        PipeMaterial metal = laid.pipe().spec().material();
        if (!metal.isTube()) {
            return Optional.empty();
        }
        double length = laid.line().length();
        double[] holds = DoubleStream.concat(
                        DoubleStream.of(0, length), run.braces().stream().mapToDouble(b -> Math.min(b.along(), length)))
                .sorted()
                .toArray();
        int longest = 1;
        for (int i = 2; i < holds.length; i++) {
            if (holds[i] - holds[i - 1] > holds[longest] - holds[longest - 1]) {
                longest = i;
            }
        }
        double free = holds[longest] - holds[longest - 1];
        double radius = (laid.pipe().bore() + laid.pipe().wall().thickness()) / 2;
        double speed = Math.sqrt(Mount.Metal.valueOf(metal.name()).modulus() / metal.density() / 2) * radius;
        return Optional.of(new Held(holds[longest - 1], holds[longest], Math.PI / 2 * speed / (free * free)));
    }

    /** @return whether the engine fires as fast */
    public boolean rings(EngineSpec engine) {
        return rings < engine.firing(engine.maxSpeed());
    }

    FitFinding finding(String pipe, EngineSpec engine) {
        return new FitFinding(
                Kind.PIPE_RINGS,
                pipe,
                "",
                List.of(
                        new Figure("free", to - from, Quantity.LENGTH),
                        new Figure("rings", rings, Quantity.FREQUENCY),
                        new Figure(
                                "at",
                                engine.maxSpeed() * rings / engine.firing(engine.maxSpeed()),
                                Quantity.ROTATION)));
    }

    /** @param carrier that it is bolted to @return with a rubber brace in the middle of the free length */
    Run braced(Run run, String carrier) {
        List<Brace> all = new ArrayList<>(run.braces());
        all.add(new Brace((from + to) / 2, carrier, true));
        return run.withBraces(all);
    }
}

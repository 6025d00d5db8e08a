package io.enthalpa.core.sizing;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.duty.DutyLibrary;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.loss.StandardSizes;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.verdict.Targets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A new build from the few things that anybody knows of a job; the rest is filled in as usual, to be corrected.
 *
 * @param displacement m3
 * @param limiter      rad/s
 * @param blower       of which kind
 * @param blowers      1, or 2 side by side
 * @param boost        Pa above outside air
 * @param cooling      of the charge
 * @param duty         name of an entry of the {@link DutyLibrary}
 */
public record NewJob(
        double displacement,
        double limiter,
        BlowerType blower,
        int blowers,
        double boost,
        CoolingMethod cooling,
        String duty) {
    public static final Method METHOD = Method.of(
                    "new-job",
                    "What a new build starts with",
                    "Engine, blower, boost, cooling and duty are asked. Pipes are the tube that is sold nearest to 57 mm on the hot side and 63.5 mm on the cold side for "
                            + "0.2 kg/s of air, as the square root of the flow; the cooling is the smallest generic one that keeps the target over the duty.")
            .formula("d = d_0.2 (m / 0.2 kg/s)^(1/2)")
            .source(Citation.commonPractice("proportions of street builds; every figure is there to be corrected"))
            .leavesOut("Everything about your car.");
    private static final double RPM = Math.PI / 30;
    /** What the questions stand at before anybody answers. */
    public static final NewJob USUAL = new NewJob(
            2.0e-3, 7000 * RPM, BlowerType.TURBO, 1, 100e3, CoolingMethod.AIR, "four hard minutes on a circuit");

    private static final String LETTER = "A";
    private static final double HOT_SIDE = 57e-3;
    private static final double COLD_SIDE = 63.5e-3;
    private static final double INTAKE = 76e-3;
    private static final double BLOWER_OUTLET = 51e-3;
    private static final double PIPE_LENGTH = 0.9;
    /** Of the limiter, where full load is looked at; the change up stands a little higher. */
    private static final double FULL_LOAD = 6.0 / 7;

    private static final double CHANGE_UP = 6.6 / 7;
    /** Limiter that the usual final drive goes with, rad/s: another engine's is geared for the same road speeds. */
    private static final double GEARED_FOR = 7000 * RPM;

    private static final double USUAL_INTAKE = 318.15;
    private static final Build.Climate CLIMATE = new Build.Climate(301.15, 200, 0.45, OptionalDouble.empty());

    /** @return the build, with an option A that has an answer; @throws EnthalpaFault when there is none, or no such duty */
    public Build build() {
        Build bare = bare();
        BuildOption cooled = MethodSizing.inPlace(bare, LETTER).option(cooling);
        return bare.withOptions(List.of(cooled));
    }

    /** @return the same without a cooler: what every way of cooling is sized from, so that none depends on the one chosen */
    public Build bare() {
        EngineSpec engine = new EngineSpec(displacement, cylinders(), 0.92, limiter);
        Gearing gearing = gearing();
        DutyLibrary.Entry entry = duties().stream()
                .filter(e -> e.name().equals(duty))
                .findFirst()
                .orElseThrow(() -> EnthalpaFault.of(
                        FaultKind.MALFORMED,
                        "/duty",
                        "duty",
                        "\"" + duty + "\"",
                        "one of "
                                + String.join(
                                        ", ",
                                        duties().stream()
                                                .map(DutyLibrary.Entry::name)
                                                .toList()),
                        ""));
        return new Build(
                name(),
                "",
                engine,
                CLIMATE,
                new Targets(323.15, 338.15),
                new Build.FullLoad(FULL_LOAD * limiter, 110 / 3.6),
                entry.duty(Optional.of(gearing)),
                Optional.of(gearing),
                Optional.of(new BaySpec(45, 14, 240)),
                List.of(new BuildOption(LETTER, CoolingMethod.NONE.title(), boost, path(engine), List.of())));
    }

    /** @return what the job can be for, fitted to it */
    public List<DutyLibrary.Entry> duties() {
        return new DutyLibrary(limiter, boost, Optional.of(gearing())).entries();
    }

    private Gearing gearing() {
        return new Gearing(
                1.95, 3.9 * limiter / GEARED_FOR, List.of(3.4, 2.1, 1.45, 1.1, 0.9), CHANGE_UP * limiter, idle());
    }

    /** Common practice, no source: what an engine of a size mostly has. */
    private int cylinders() {
        return displacement <= 0.9e-3 ? 3 : displacement <= 2.6e-3 ? 4 : displacement <= 4.2e-3 ? 6 : 8;
    }

    private double idle() {
        return Math.min(850 * RPM, 0.3 * limiter);
    }

    private String name() {
        return "%.1f L, %s%s".formatted(displacement * 1e3, blowers == 2 ? "two " : "", plural());
    }

    private String plural() {
        return blower.usualName() + (blowers == 2 ? "s" : "");
    }

    /** @return kg/s at full load with the charge at a usual intake temperature */
    private double flow(EngineSpec engine) {
        Ambient outside = CLIMATE.ambient();
        HumidAir air = outside.air();
        return engine.airDemand(air, outside.pressure() + boost, USUAL_INTAKE, FULL_LOAD * limiter);
    }

    private List<PathElement> path(EngineSpec engine) {
        double flow = flow(engine);
        double each = flow / blowers;
        List<PathElement> path = new ArrayList<>();
        if (blowers == 2) {
            path.add(new PathElement.Parallel(
                    "two blowers",
                    0,
                    List.of(
                            new PathElement.Leg("left", head("left ", each)),
                            new PathElement.Leg("right", head("right ", each))),
                    Math.toRadians(20),
                    tube("", HOT_SIDE, flow).spec().bore(),
                    Optional.empty()));
        } else {
            path.addAll(head("", each));
        }
        path.add(tube("hot pipe", HOT_SIDE, flow));
        PathElement.Pipe cold = tube("cold pipe", COLD_SIDE, flow);
        path.add(cold);
        path.add(new PathElement.Plenum("plenum", cold.bore(), 1.5 * displacement));
        return path;
    }

    private List<PathElement> head(String side, double flow) {
        double bore = millimetres(INTAKE * root(flow));
        return List.of(
                new PathElement.Filter(side + "filter", bore, 1500, Math.max(round(flow, 0.01), 0.01), 4, 3000, 0),
                new PathElement.Blower(
                        side + blower.usualName(),
                        new BlowerSpec(blower, blower.usualEfficiency(), 3, millimetres(BLOWER_OUTLET * root(flow)))));
    }

    private static PathElement.Pipe tube(String name, double size, double flow) {
        PipeMaterial material = PipeMaterial.ALUMINIUM;
        double outside = StandardSizes.TUBES.nearest(size * root(flow));
        PipeSpec spec = new PipeSpec(
                        material,
                        outside,
                        PIPE_LENGTH,
                        Collections.nCopies(2, PipeSpec.Bend.stock(Math.PI / 2, outside)))
                .asTube(outside, material.usualWall());
        return new PathElement.Pipe(name, spec);
    }

    private static double root(double flow) {
        return Math.sqrt(flow / GenericParts.FLOW);
    }

    private static double millimetres(double size) {
        return Math.max(round(size, 1e-3), 15e-3);
    }

    private static double round(double value, double step) {
        return StandardSizes.round(value, step);
    }
}

package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.coolingair.AirFlow;
import io.enthalpa.core.coolingair.AirWay;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.Working;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.engine.FuelDemand;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/** The cooling air of an option: which way meets which core or radiator, and what it brings there. */
public final class AirSide {
    private static final int NONE = -1;
    /** Road speeds between which the flow of a run is taken straight, m/s. */
    private static final double GRID = 0.5;

    /** K in the manifold. */
    private static final double USUAL_CHARGE = 318;
    /** kg of air for each kg of fuel, boosted petrol (common practice, no source). */
    private static final double USUAL_MIXTURE = 12.5;

    private final List<CooledCore> cores;
    private final Ambient ambient;
    private final EngineSpec engine;
    private final Optional<OperatingPoint> full;
    /** On all air that comes. */
    private final double factor;

    private final List<AirWay> ways = new ArrayList<>();
    /** For each way and layer the core it belongs to; NONE for others. */
    private final List<int[]> owner = new ArrayList<>();

    private final List<Map<Long, AirFlow>> solved = new ArrayList<>();

    /** @param full the point that loads of other exchangers are told for; empty for each point itself */
    public AirSide(
            List<AirWaySpec> specs,
            List<CooledCore> cores,
            Ambient ambient,
            EngineSpec engine,
            Optional<OperatingPoint> full,
            Perturbation perturbation) {
        this.cores = cores;
        this.ambient = ambient;
        this.engine = engine;
        this.full = full;
        this.factor = perturbation.factor(UncertainInput.COOLING_AIR);
        boolean[] taken = new boolean[cores.size()];
        for (int w = 0; w < specs.size(); w++) {
            add(specs.get(w), w, taken);
        }
    }

    private void add(AirWaySpec spec, int way, boolean[] taken) {
        int[] owners = new int[spec.layers().size()];
        List<AirWay.Member> members = new ArrayList<>();
        for (int k = 0; k < owners.length; k++) {
            Layer layer = spec.layers().get(k);
            owners[k] = layer.isOther() ? NONE : owner(layer, new Subject.Layer(way, k));
            if (owners[k] != NONE) {
                if (taken[owners[k]]) {
                    throw EnthalpaFault.of(
                                    FaultKind.CONTRADICTION,
                                    "name",
                                    layer.name(),
                                    "in the air twice",
                                    "there once",
                                    "Take one of them out.")
                            .about(new Subject.Layer(way, k), "name", layer.name());
                }
                taken[owners[k]] = true;
            }
            members.add(owners[k] == NONE ? null : cores.get(owners[k]).airMember());
        }
        try {
            ways.add(new AirWay(spec, members, ambient.temperature(), ambient.pressure(), ambient.air()));
        } catch (EnthalpaFault fault) {
            throw fault.about(new Subject.Way(way), fault.field(), fault.label());
        }
        owner.add(owners);
        solved.add(new HashMap<>());
    }

    private int owner(Layer layer, Subject here) {
        boolean radiator = layer.kind() == Layer.Kind.RADIATOR;
        Predicate<CooledCore> fits = core ->
                core.slot().element().name().equals(layer.name()) && (radiator ? core.hasRadiator() : !core.hasLoop());
        for (int k = 0; k < cores.size(); k++) {
            if (fits.test(cores.get(k))) {
                return k;
            }
        }
        String label = radiator ? "radiator in the stack" : "core in the stack";
        throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        "name",
                        label,
                        "\"" + layer.name() + "\"",
                        radiator
                                ? "the name of a core whose water loop has a radiator"
                                : "the name of a core that air cools",
                        "Choose one of the path's cores, or take the layer out.")
                .about(here, "name", label);
    }

    public List<AirWay> ways() {
        return ways;
    }

    /** What each way carries at a road speed, solved anew. */
    public List<AirFlow> flows(double roadSpeed) {
        return ways.stream().map(way -> way.flow(roadSpeed).times(factor)).toList();
    }

    /** The same between solved road speeds, quick enough for every step of a run; fans may stand while the engine does. */
    public List<AirFlow> flowsNear(double roadSpeed, boolean engineOn) {
        List<AirFlow> near = new ArrayList<>(ways.size());
        for (int w = 0; w < ways.size(); w++) {
            long below = (long) Math.floor(roadSpeed / GRID);
            double share = roadSpeed / GRID - below;
            near.add(between(solvedAt(w, below, engineOn), solvedAt(w, below + 1, engineOn), share));
        }
        return near;
    }

    private AirFlow solvedAt(int way, long step, boolean engineOn) {
        return solved.get(way)
                .computeIfAbsent(
                        engineOn ? step : -1 - step,
                        s -> ways.get(way).flow(step * GRID, engineOn).times(factor));
    }

    private static AirFlow between(AirFlow a, AirFlow b, double share) {
        return new AirFlow(
                a.total() + share * (b.total() - a.total()),
                a.bypass() + share * (b.bypass() - a.bypass()),
                between(a.lanes(), b.lanes(), share),
                between(a.layers(), b.layers(), share),
                between(a.perKelvin(), b.perKelvin(), share),
                a.wind(),
                a.fan(),
                a.buoyancy(),
                a.inLoss(),
                a.stackLoss(),
                a.outLoss(),
                a.against());
    }

    private static double[] between(double[] a, double[] b, double share) {
        double[] mixed = new double[a.length];
        for (int i = 0; i < mixed.length; i++) {
            mixed[i] = a[i] + share * (b[i] - a[i]);
        }
        return mixed;
    }

    /** @return how hard the car works: by speed and pressure, for a charge of {@link #USUAL_CHARGE} */
    private Working working(OperatingPoint point) {
        if (point.speed() <= 0) {
            return Working.STANDING;
        }
        double air = breathed(point);
        double fuel = air / engine.fuel().map(FuelDemand::airFuelRatio).orElse(USUAL_MIXTURE);
        return new Working(fuel, air / breathed(full.orElse(point)));
    }

    private double breathed(OperatingPoint point) {
        return engine.airDemand(ambient.air(), ambient.pressure() + point.boost(), USUAL_CHARGE, point.speed());
    }

    /**
     * The air as it comes to everything.
     *
     * @param inlets of each core, or its radiator
     * @param ways   from layer to layer of each way
     */
    public record Meeting(InletAir[] inlets, AirWay.Warmth[] ways) {}

    /** @param heats W that each core or its radiator gave to the air last */
    public Meeting meet(List<AirFlow> flows, OperatingPoint point, double[] heats) {
        double roadSpeed = point.roadSpeed();
        InletAir[] met = new InletAir[cores.size()];
        AirWay.Warmth[] warmths = new AirWay.Warmth[ways.size()];
        for (int w = 0; w < ways.size(); w++) {
            AirWay.Warmth warmth = warmth(w, flows.get(w), point, heats);
            warmths[w] = warmth;
            for (int k = 0; k < owner.get(w).length; k++) {
                if (owner.get(w)[k] != NONE) {
                    met[owner.get(w)[k]] = new InletAir(
                            ways.get(w).massFlow(flows.get(w), k),
                            warmth.air()[k],
                            ways.get(w).faceSpeed(flows.get(w), k));
                }
            }
        }
        for (int k = 0; k < met.length; k++) {
            met[k] = met[k] == null ? cores.get(k).ownAir(roadSpeed).times(factor) : met[k];
        }
        for (int k = 0; k < met.length; k++) {
            CooledCore core = cores.get(k);
            // What hangs on another core's loop meets the air by that loop's radiator.
            met[k] = core.hasLoop() && !core.leads() ? met[core.loop().members().lead()] : met[k];
        }
        return new Meeting(met, warmths);
    }

    public AirWay.Warmth warmth(int way, AirFlow flow, OperatingPoint point, double[] heats) {
        double[] given = new double[owner.get(way).length];
        for (int k = 0; k < given.length; k++) {
            given[k] = owner.get(way)[k] == NONE ? 0 : heats[owner.get(way)[k]];
        }
        return ways.get(way).warmth(flow, given, point.roadSpeed(), working(point));
    }
}

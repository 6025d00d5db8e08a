package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.CoreSlot;
import io.enthalpa.core.chargepath.LoopCores;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.CoresOnLoop;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopHydraulics;
import io.enthalpa.core.waterloop.LoopSinks;
import io.enthalpa.core.waterloop.Radiator;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;
import java.util.Optional;

/** A water loop ready to compute with: its pump and losses, the cores on it, and what takes its heat. */
public final class CoolingLoop {
    /** The flow is found anew when the water has changed by more than this, K, or the engine's speed by so much of it. */
    private static final double SAME_WATER = 1;

    private static final double SAME_SPEED = 0.01;
    /** W/K of a stream that all but stands, and kg/s of air that rises by itself through a radiator. */
    static final double LEAST_RATE = 1e-3;

    private static final double LEAST_AIR = 1e-4;
    /** m3 of water in a m3 of a water-cooled core's block (common practice, no source). */
    private static final double WATER_SHARE = 0.2;

    private static final RadiatorMetal.Sides NO_RADIATOR = new RadiatorMetal.Sides(0, 0);
    /** m3/s of water that nothing moves. */
    private static final double LEAST_FLOW = 1e-7;

    private final LoopCores members;
    private final WaterLoopSpec spec;
    private final Ambient ambient;
    private final Optional<BaySpec> bay;
    private final Radiator radiator;
    private final CoresOnLoop cores;
    private final LoopHydraulics hydraulics;
    private final double waterInside;
    private final double waterFactor;
    private final double radiatorFactor;
    private final boolean followsEngine;
    private final boolean pumpedOff;
    private double solvedAt = Double.NaN;
    private double solvedSpeed = Double.NaN;
    private double solvedFlow;
    private double[] solvedShares = {1};

    CoolingLoop(
            LoopCores members,
            List<CoreSlot> slots,
            Ambient ambient,
            Optional<BaySpec> bay,
            Perturbation perturbation) {
        this.members = members;
        this.spec = members.spec();
        this.ambient = ambient;
        this.bay = bay;
        this.waterFactor = perturbation.factor(UncertainInput.WATER_FLOW);
        this.radiatorFactor = perturbation.factor(UncertainInput.RADIATOR_CONDUCTANCE);
        this.radiator = spec.radiator().isPresent() ? radiator(slots.get(members.lead()), spec) : null;
        this.followsEngine = spec.followsEngine();
        this.pumpedOff = spec.isPumped(0);
        List<ChargeCooler> coolers =
                members.cores().stream().map(k -> slots.get(k).cooler()).toList();
        this.waterInside = WATER_SHARE
                * coolers.stream().mapToDouble(c -> c.spec().size().volume()).sum();
        this.cores = new CoresOnLoop(coolers, members.stage());
        this.hydraulics = new LoopHydraulics(spec, cores, radiator);
    }

    private static Radiator radiator(CoreSlot slot, WaterLoopSpec loop) {
        try {
            return Radiator.of(loop.radiator().orElseThrow(), loop.coolant());
        } catch (EnthalpaFault fault) {
            throw fault.field().contains(" ")
                    ? fault
                    : fault.about(new Subject.Loop(slot.spot()), "radiator/" + fault.field(), fault.label());
        }
    }

    public WaterLoopSpec spec() {
        return spec;
    }

    public LoopCores members() {
        return members;
    }

    public boolean hasRadiator() {
        return radiator != null;
    }

    Radiator radiator() {
        return radiator;
    }

    public LoopHydraulics hydraulics() {
        return hydraulics;
    }

    /** @return of a member, at which stage of the water's way it stands, from 0 */
    public int stage(int member) {
        return cores.stage(member);
    }

    /** @param engineSpeed rad/s @return whether anything moves its water */
    boolean isPumped(double engineSpeed) {
        return engineSpeed > 0 || pumpedOff;
    }

    /** @return m3/s, found anew when water or engine speed have moved */
    double waterFlow(double water, double engineSpeed) {
        if (!isPumped(engineSpeed)) {
            return LEAST_FLOW;
        }
        double speed = followsEngine ? engineSpeed : 0;
        if (!(Math.abs(water - solvedAt) < SAME_WATER && Math.abs(speed - solvedSpeed) <= SAME_SPEED * solvedSpeed)) {
            solvedAt = water;
            solvedSpeed = speed;
            solvedFlow = hydraulics.flow(water, speed) * waterFactor;
            solvedShares = cores.count() == 1
                    ? solvedShares
                    : cores.shares(solvedFlow * spec.coolant().density(water), water);
        }
        return solvedFlow;
    }

    /** @return of the loop's flow, what passes a member, as it was solved last */
    double share(int member) {
        return solvedShares[member];
    }

    /** @return all of its water, at a temperature */
    public ColdStream stream(double water, double engineSpeed) {
        double flow = waterFlow(water, engineSpeed) * spec.coolant().density(water);
        return new ColdStream(flow, flow * spec.coolant().heatCapacity(water), water, 0);
    }

    /** @return K of the loop's water before anything has run; the duty's soak where the tank does not say */
    double startWater(double soaked) {
        if (spec.isOpen()) {
            return spec.raw().orElseThrow().temperature();
        }
        TankSpec tank = spec.tank().orElse(TankSpec.PLAIN);
        return tank.start().orElse(tank.ice().mass() > 0 ? IceSpec.MELTING : soaked);
    }

    /** @return W the radiator moves for each kelvin between its water and its air inlet; 0 without one */
    public double radiatorPerKelvin(InletAir met, ColdStream water, double waterT) {
        return radiator == null || met.flow() <= 0
                ? 0
                : radiator.transfer(
                                water.flow(),
                                water.capacityRate(),
                                waterT,
                                met.flow(),
                                met.flow() * ambient.air().heatCapacity(met.inlet()),
                                met.inlet(),
                                radiatorFactor)
                        .conductancePerKelvin();
    }

    /** What the radiator's sides carry in a run; one without air still has a breath of it. */
    public RadiatorMetal.Sides radiatorSides(InletAir met, ColdStream water, double waterT) {
        if (radiator == null) {
            return NO_RADIATOR;
        }
        double flow = Math.max(met.flow(), LEAST_AIR);
        double waterRate = Math.max(water.capacityRate(), LEAST_RATE);
        double airRate = flow * ambient.air().heatCapacity(met.inlet());
        HeatTransfer transfer = radiator.transfer(
                Math.max(water.flow(), LEAST_AIR), waterRate, waterT, flow, airRate, met.inlet(), radiatorFactor);
        return RadiatorMetal.Sides.of(transfer, waterRate, airRate);
    }

    /** @return J/(kg K) of the air that meets its radiator */
    double airHeatCapacity(InletAir met) {
        return ambient.air().heatCapacity(met.inlet());
    }

    /** @return J/K of the radiator's metal; 0 without one */
    double radiatorMetal() {
        return radiator == null ? 0 : RadiatorMetal.capacityOf(spec.radiator().orElseThrow());
    }

    /** @return m3 of water in its cores */
    double waterInside() {
        return waterInside;
    }

    /** @return K at which its water boils under its cap */
    public double boiling() {
        return spec.coolant()
                .boiling(ambient.pressure() + spec.tank().map(TankSpec::cap).orElse(0.0));
    }

    /** @return K round the loop once the bay has settled */
    public double bay(double roadSpeed) {
        return ambient.temperature() + bay.map(b -> b.rise(roadSpeed)).orElse(0.0);
    }

    /** @param iceLeft kg */
    LoopSinks sinks(InletAir met, ColdStream stream, double water, OperatingPoint point, double iceLeft) {
        double perKelvin = radiatorPerKelvin(met, stream, water);
        LoopSinks sinks = perKelvin > 0 ? LoopSinks.radiator(perKelvin, met.inlet()) : LoopSinks.NONE;
        if (spec.chiller().isPresent() && spec.chiller().get().worksAt(point.boost())) {
            ChillerSpec chiller = spec.chiller().get();
            sinks = sinks.and(chiller.slope(ambient.temperature()), chiller.zeroAt());
        }
        LoopSinks melting = spec.tank().isPresent()
                ? sinks.and(
                        spec.tank()
                                .get()
                                .ice()
                                .conductanceWithMelt(
                                        iceLeft, water, spec.coolant().heatCapacity(water)),
                        IceSpec.MELTING)
                : sinks;
        // What leaks to the bay is no cooling: without anything else the loop is answered as it starts.
        return melting.conductance() <= 0 ? melting : melting.and(spec.soak(), bay(point.roadSpeed()));
    }

    /** All of the water of a loop held steady: what its sinks take is a resistance behind it. @param heat W from all cores */
    ColdStream steady(InletAir met, double water, OperatingPoint point, double heat, double soaked) {
        ColdStream stream = stream(water, point.speed());
        double ice = spec.tank().map(t -> t.ice().mass()).orElse(0.0);
        LoopSinks sinks = spec.isOpen() ? LoopSinks.NONE : sinks(met, stream, water, point, ice);
        if (sinks.conductance() <= 0) {
            return new ColdStream(stream.flow(), stream.capacityRate(), startWater(soaked), 0);
        }
        ColdStream whole = new ColdStream(
                stream.flow(), stream.capacityRate(), sinks.level(), sinks.resistance(stream.capacityRate()));
        boolean chilled = spec.chiller().isPresent() && spec.chiller().get().worksAt(point.boost());
        return chilled && whole.inletAt(heat) < spec.chiller().get().coldest()
                ? new ColdStream(
                        stream.flow(),
                        stream.capacityRate(),
                        spec.chiller().get().coldest(),
                        0)
                : whole;
    }

    /** @return whether nothing but outside air takes its heat for good */
    boolean onlyAirTakesIt() {
        return !spec.isOpen()
                && spec.chiller().isEmpty()
                && spec.tank().map(t -> t.ice().mass()).orElse(0.0) <= 0;
    }
}

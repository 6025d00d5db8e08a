package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.CoreSlot;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.coolingair.AirWay;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.Condensate;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopHydraulics;
import io.enthalpa.core.waterloop.LoopSinks;
import io.enthalpa.core.waterloop.Radiator;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.Optional;

/** A core of the path together with what cools it. */
public final class CooledCore {
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
    /** W below which a core gives too little to ask what limits it. */
    private static final double LEAST_HEAT = 50;

    private final CoreSlot slot;
    private final Ambient ambient;
    private final Optional<BaySpec> bay;
    private final Perturbation perturbation;
    private final double waterFactor;
    private final double coreFactor;
    private final double radiatorFactor;
    private final WaterLoopSpec loop;
    private final Radiator radiator;
    private final LoopHydraulics hydraulics;
    private final boolean followsEngine;
    private final boolean pumpedOff;
    private double solvedAt = Double.NaN;
    private double solvedSpeed = Double.NaN;
    private double solvedFlow;

    public CooledCore(CoreSlot slot, Ambient ambient, Optional<BaySpec> bay, Perturbation perturbation) {
        this.slot = slot;
        this.ambient = ambient;
        this.bay = bay;
        this.perturbation = perturbation;
        this.waterFactor = perturbation.factor(UncertainInput.WATER_FLOW);
        this.coreFactor = perturbation.factor(UncertainInput.CORE_CONDUCTANCE);
        this.radiatorFactor = perturbation.factor(UncertainInput.RADIATOR_CONDUCTANCE);
        this.loop = slot.element().cooling() instanceof CoolingSide.Water water ? water.loop() : null;
        this.radiator = loop != null && loop.radiator().isPresent() ? radiator(slot, loop) : null;
        this.followsEngine = loop != null && loop.followsEngine();
        this.pumpedOff = loop != null && loop.isPumped(0);
        this.hydraulics = loop == null ? null : new LoopHydraulics(loop, slot.cooler(), radiator);
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

    public CoreSlot slot() {
        return slot;
    }

    public ChargeCooler cooler() {
        return slot.cooler();
    }

    public boolean hasLoop() {
        return loop != null;
    }

    public boolean hasRadiator() {
        return radiator != null;
    }

    public WaterLoopSpec loop() {
        return loop;
    }

    Radiator radiator() {
        return radiator;
    }

    public LoopHydraulics hydraulics() {
        return hydraulics;
    }

    /** What stands in a way of the cooling air: the core, or the radiator of its loop. */
    AirWay.Member airMember() {
        return hasLoop()
                ? new AirWay.Member(radiator.size(), radiator::airLoss)
                : new AirWay.Member(cooler().spec().standing(), cooler()::airLoss);
    }

    /** The air by a measured share of road speed, for what stands in no way. */
    public InletAir ownAir(double roadSpeed) {
        FaceAirSpec face = slot.element().cooling() instanceof CoolingSide.Air air
                ? air.face()
                : loop.radiator().isPresent() ? loop.radiator().get().air() : null;
        if (face == null) {
            return new InletAir(0, ambient.temperature(), 0);
        }
        CoreSize size = hasLoop() ? radiator.size() : cooler().spec().size();
        return new InletAir(
                face.flow(roadSpeed, size.face(), ambient.air(), ambient.pressure(), ambient.temperature()),
                ambient.temperature(),
                face.faceSpeed(roadSpeed));
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
        }
        return solvedFlow;
    }

    /** @return K of the loop's water before anything has run; the duty's soak where the tank does not say */
    double startWater(double soaked) {
        if (loop.isOpen()) {
            return loop.raw().orElseThrow().temperature();
        }
        TankSpec tank = loop.tank().orElse(TankSpec.PLAIN);
        return tank.start().orElse(tank.ice().mass() > 0 ? IceSpec.MELTING : soaked);
    }

    /** The stream in the core, air or water, while the water stands at a temperature. Its sink is the air for an air core only. */
    public ColdStream streamAt(InletAir met, double water, double engineSpeed) {
        if (!hasLoop()) {
            return new ColdStream(met.flow(), met.flow() * ambient.air().heatCapacity(met.inlet()), met.inlet(), 0);
        }
        double flow = waterFlow(water, engineSpeed) * loop.coolant().density(water);
        return new ColdStream(flow, flow * loop.coolant().heatCapacity(water), water, 0);
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

    /** @return J/K of the radiator's metal; 0 without one */
    public double radiatorMetal() {
        return radiator == null ? 0 : RadiatorMetal.capacityOf(loop.radiator().orElseThrow());
    }

    /** @return m3 of water in the core */
    double waterInside() {
        return WATER_SHARE * cooler().spec().size().volume();
    }

    /** @return of the core, as far as they are believed; kg/s and K */
    public Conductances conductances(double hotFlow, double hotT, double coldFlow, double coldT) {
        Conductances believed = cooler().conductances(hotFlow, hotT, coldFlow, coldT);
        return coreFactor == 1
                ? believed
                : new Conductances(
                        believed.hot() * coreFactor, believed.wall() * coreFactor, believed.cold() * coreFactor);
    }

    Perturbation perturbation() {
        return perturbation;
    }

    /** @param iceLeft kg */
    LoopSinks sinks(InletAir met, ColdStream stream, double water, OperatingPoint point, double iceLeft) {
        double perKelvin = radiatorPerKelvin(met, stream, water);
        LoopSinks sinks = perKelvin > 0 ? LoopSinks.radiator(perKelvin, met.inlet()) : LoopSinks.NONE;
        if (loop.chiller().isPresent() && loop.chiller().get().worksAt(point.boost())) {
            ChillerSpec chiller = loop.chiller().get();
            sinks = sinks.and(chiller.slope(ambient.temperature()), chiller.zeroAt());
        }
        LoopSinks melting = loop.tank().isPresent()
                ? sinks.and(loop.tank().get().ice().conductance(iceLeft), IceSpec.MELTING)
                : sinks;
        // What leaks to the bay is no cooling: without anything else the loop is answered as it starts.
        return melting.conductance() <= 0 ? melting : melting.and(loop.soak(), bay(point.roadSpeed()));
    }

    /** @return K round the loop once the bay has settled */
    public double bay(double roadSpeed) {
        return ambient.temperature() + bay.map(b -> b.rise(roadSpeed)).orElse(0.0);
    }

    /** The stream of a core held steady: what the loop's sinks take is a resistance behind it. */
    public ColdStream steadyStream(InletAir met, double water, OperatingPoint point, double heat, double soaked) {
        ColdStream stream = streamAt(met, water, point.speed());
        if (!hasLoop()) {
            return stream;
        }
        double ice = loop.tank().map(t -> t.ice().mass()).orElse(0.0);
        LoopSinks sinks = loop.isOpen() ? LoopSinks.NONE : sinks(met, stream, water, point, ice);
        if (sinks.conductance() <= 0) {
            return new ColdStream(stream.flow(), stream.capacityRate(), startWater(soaked), 0);
        }
        ColdStream whole = new ColdStream(
                stream.flow(), stream.capacityRate(), sinks.level(), sinks.resistance(stream.capacityRate()));
        boolean chilled = loop.chiller().isPresent() && loop.chiller().get().worksAt(point.boost());
        return chilled && whole.inletAt(heat) < loop.chiller().get().coldest()
                ? new ColdStream(
                        stream.flow(),
                        stream.capacityRate(),
                        loop.chiller().get().coldest(),
                        0)
                : whole;
    }

    /**
     * @param flow     kg/s of charge
     * @param in       K of charge
     * @param out      K of charge
     * @param pressure Pa absolute of charge, mean in the core
     */
    public CoreResult result(double flow, double in, double out, double pressure, ColdStream cold, InletAir met) {
        double sensible = flow * (ambient.air().enthalpy(in) - ambient.air().enthalpy(out));
        HeatTransfer transfer = new SteadyCooling(cooler(), cold).transfer(ambient.air(), flow, in, out);
        double coldIn = cold.inletAt(sensible);
        Condensate condensate =
                Condensate.of(ambient.air(), flow, pressure, in, coldIn, cold.capacityRate(), transfer.conductances());
        double heat = sensible + condensate.latentHeat();
        double coldOut = coldIn + heat / cold.capacityRate();
        double towards = Math.min(cold.sinkTemperature(), ambient.temperature());
        return new CoreResult(
                slot,
                flow,
                in,
                out,
                transfer,
                heat,
                cold.flow(),
                coldIn,
                coldOut,
                met.speed(),
                (in - out) / Math.max(in - towards, 1e-9),
                ResistanceShares.of(transfer, sensible / Math.max(in - out, 1e-9), cold),
                condensate);
    }

    /** @return whether nothing but outside air takes its heat for good */
    public boolean onlyAirTakesIt() {
        return loop == null
                || !loop.isOpen()
                        && loop.chiller().isEmpty()
                        && loop.tank().map(t -> t.ice().mass()).orElse(0.0) <= 0;
    }

    /**
     * What limits the core at a moment of a run.
     *
     * @param trace  of this core
     * @param i      step of that moment, charge flowing
     * @param lately W taken from the charge in the mean of the time before
     * @param met    the air as it came then
     */
    public ResistanceShares sharesAt(CoreTrace trace, int i, double lately, InletAir met, OperatingPoint point) {
        double in = trace.in()[i];
        double out = trace.out()[i];
        double coldIn = trace.coldIn()[i];
        double rate = trace.flow()[i] * ambient.air().heatCapacity((in + out) / 2);
        double heat = Math.max(lately, LEAST_HEAT);
        ColdStream stream = streamAt(met, coldIn, point.speed());
        HeatTransfer transfer = new SteadyCooling(
                        cooler(), new ColdStream(stream.flow(), stream.capacityRate(), coldIn, 0))
                .transfer(ambient.air(), trace.flow()[i], in, out);
        double warmed = Math.max(met.inlet() - ambient.temperature(), 0) / heat;
        if (loop == null || loop.isOpen()) {
            return ResistanceShares.of(transfer, rate, stream.capacityRate(), 0, 0, loop == null ? warmed : 0);
        }
        LoopSinks sinks = sinks(met, stream, coldIn, point, trace.ice()[i]);
        double level = sinks.conductance() > 0 ? sinks.level() : startWater(ambient.temperature());
        double taken = sinks.conductance() > 0 ? (coldIn - level) / sinks.resistance(stream.capacityRate()) : 0;
        double stores = Math.max(0, Math.min(1, 1 - taken / heat));
        double behind = Math.max(coldIn - level, 0) / heat;
        double byAir = sinks.conductance() > 0 ? sinks.radiator() / sinks.conductance() : 0;
        return ResistanceShares.of(
                transfer, rate, stream.capacityRate(), behind * (1 - stores), behind * stores, warmed * byAir);
    }
}

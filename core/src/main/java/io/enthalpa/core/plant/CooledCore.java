package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.CoreSlot;
import io.enthalpa.core.chargepath.LoopCores;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.coolingair.AirWay;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.Condensate;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.FaceAir;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.waterloop.LoopSinks;
import java.util.List;

/** A core of the path together with what cools it. */
public final class CooledCore {
    /** W below which a core gives too little to ask what limits it. */
    private static final double LEAST_HEAT = 50;
    /** Share by which flows may move before the water's share is worked out anew. */
    private static final double SAME_FLOW = 0.01;

    private final CoreSlot slot;
    private final Ambient ambient;
    private final Perturbation perturbation;
    private final double coreFactor;
    private final double chargeFins;
    private final double coldFins;
    private final double unevenness;
    /** What an uneven share of the water leaves, at the flows it was found for. */
    private double spreadFactor = 1;

    private double spreadHot;
    private double spreadCold;
    /** Null for a core that air cools. */
    private final CoolingLoop loop;
    /** Its number among those on the loop. */
    private final int member;

    private CooledCore(CoreSlot slot, Ambient ambient, Perturbation perturbation, CoolingLoop loop, int member) {
        this.slot = slot;
        this.ambient = ambient;
        this.perturbation = perturbation;
        this.coreFactor = perturbation.factor(UncertainInput.CORE_CONDUCTANCE);
        this.chargeFins = perturbation.factor(UncertainInput.CHARGE_FINS);
        this.coldFins = perturbation.factor(UncertainInput.COLD_FINS);
        this.unevenness = perturbation.factor(UncertainInput.WATER_PORTS);
        this.loop = loop;
        this.member = member;
    }

    /** @return every core of a path, those on one loop with that very loop */
    public static List<CooledCore> of(ChargePath path, Perturbation perturbation) {
        CooledCore[] all = new CooledCore[path.cores().size()];
        for (LoopCores members : path.loops()) {
            CoolingLoop loop = new CoolingLoop(members, path.cores(), path.ambient(), path.bay(), perturbation);
            for (int m = 0; m < members.cores().size(); m++) {
                int k = members.cores().get(m);
                all[k] = new CooledCore(path.cores().get(k), path.ambient(), perturbation, loop, m);
            }
        }
        for (int k = 0; k < all.length; k++) {
            all[k] = all[k] == null
                    ? new CooledCore(path.cores().get(k), path.ambient(), perturbation, null, 0)
                    : all[k];
        }
        return List.of(all);
    }

    public CoreSlot slot() {
        return slot;
    }

    public ChargeCooler cooler() {
        return slot.cooler();
    }

    /** @return whether water takes its heat, of its own loop or of another core's */
    public boolean hasLoop() {
        return loop != null;
    }

    /** @return whether the loop is its own */
    public boolean leads() {
        return loop != null && member == 0;
    }

    /** @return the loop it hangs on, its own or another's; null for a core that air cools */
    public CoolingLoop loop() {
        return loop;
    }

    /** @return its number among those on the loop */
    int member() {
        return member;
    }

    /** @return whether what stands for it in a way of the air is a radiator */
    public boolean hasRadiator() {
        return leads() && loop.hasRadiator();
    }

    /** What stands in a way of the cooling air: the core, or the radiator of its loop. */
    AirWay.Member airMember() {
        FaceAir outside =
                new FaceAir(ambient.air().density(ambient.pressure(), ambient.temperature()), ambient.temperature());
        return hasLoop()
                ? new AirWay.Member(loop.radiator().size(), v -> loop.radiator().airLoss(v, outside))
                : new AirWay.Member(cooler().spec().standing(), v -> cooler().airLoss(v, outside));
    }

    /** The air by a measured share of road speed, for what stands in no way. */
    public InletAir ownAir(double roadSpeed) {
        FaceAirSpec face = slot.element().cooling() instanceof CoolingSide.Air air
                ? air.face()
                : loop.spec().radiator().map(r -> r.air()).orElse(null);
        if (face == null) {
            return new InletAir(0, ambient.temperature(), 0);
        }
        CoreSize size = hasLoop() ? loop.radiator().size() : cooler().spec().size();
        return new InletAir(
                face.flow(roadSpeed, size.face(), ambient.air(), ambient.pressure(), ambient.temperature()),
                ambient.temperature(),
                face.faceSpeed(roadSpeed));
    }

    /** The stream in the core, air or its part of the water, while the water stands at a temperature. Its sink is the air for an air core only. */
    public ColdStream streamAt(InletAir met, double water, double engineSpeed) {
        if (!hasLoop()) {
            return new ColdStream(met.flow(), met.flow() * ambient.air().heatCapacity(met.inlet()), met.inlet(), 0);
        }
        return part(loop.stream(water, engineSpeed));
    }

    /** @return of all the loop's water, what passes this core */
    ColdStream part(ColdStream whole) {
        double share = loop.share(member);
        return share == 1
                ? whole
                : new ColdStream(
                        whole.flow() * share,
                        whole.capacityRate() * share,
                        whole.sinkTemperature(),
                        whole.resistanceToSink());
    }

    /** @return of the core, as far as they are believed; kg/s and K */
    public Conductances conductances(double hotFlow, double hotT, double coldFlow, double coldT) {
        Conductances even = cooler().model().conductances(hotFlow, hotT, coldFlow, coldT);
        if (Math.abs(hotFlow / spreadHot - 1) > SAME_FLOW || Math.abs(coldFlow / spreadCold - 1) > SAME_FLOW) {
            spreadFactor = cooler().spreadFactor(even, unevenness, hotFlow, hotT, coldFlow, coldT);
            spreadHot = hotFlow;
            spreadCold = coldFlow;
        }
        Conductances found = even.times(spreadFactor * coreFactor);
        return chargeFins == 1 && coldFins == 1
                ? found
                : new Conductances(found.hot() * chargeFins, found.wall(), found.cold() * coldFins);
    }

    Perturbation perturbation() {
        return perturbation;
    }

    /**
     * What the other cores on the loop give it.
     *
     * @param heat   W of all of them
     * @param before W of those that the water meets before this one
     */
    public record Others(double heat, double before) {
        public static final Others NONE = new Others(0, 0);
    }

    /**
     * The stream of a core held steady: what the loop's sinks take is a resistance behind it, what others give stands on the sink.
     *
     * @param water K that enters the first core of the loop
     * @param heat  W of this core
     */
    public ColdStream steadyStream(
            InletAir met, double water, OperatingPoint point, double heat, Others others, double soaked) {
        if (!hasLoop()) {
            return streamAt(met, water, point.speed());
        }
        ColdStream whole = loop.steady(met, water, point, heat + others.heat(), soaked);
        ColdStream part = part(whole);
        return others.equals(Others.NONE)
                ? part
                : new ColdStream(
                        part.flow(),
                        part.capacityRate(),
                        whole.inletAt(others.heat()) + others.before() / whole.capacityRate(),
                        whole.resistanceToSink());
    }

    /**
     * @param gas      the charge with its vapour, in front of the core
     * @param flow     kg/s of it
     * @param in       K of charge
     * @param out      K of charge
     * @param pressure Pa absolute of charge, mean in the core
     * @param others   what other cores give to its loop
     */
    public CoreResult result(
            HumidAir gas,
            double flow,
            double in,
            double out,
            double pressure,
            ColdStream cold,
            Others others,
            InletAir met) {
        double sensible = flow * (gas.enthalpy(in) - gas.enthalpy(out));
        HeatTransfer transfer = new SteadyCooling(cooler(), cold).transfer(gas, flow, in, out);
        double coldIn = cold.inletAt(sensible);
        Condensate condensate =
                Condensate.of(gas, flow, pressure, in, coldIn, cold.capacityRate(), transfer.conductances());
        double heat = sensible + condensate.latentHeat();
        double coldOut = coldIn + heat / cold.capacityRate();
        ColdStream felt = alone(cold, others, heat);
        double towards = Math.min(felt.sinkTemperature(), ambient.temperature());
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
                ResistanceShares.of(transfer, sensible / Math.max(in - out, 1e-9), felt),
                condensate);
    }

    /** @return the stream as the core feels it: how much warmer others make its water counts with its own heat */
    private static ColdStream alone(ColdStream cold, Others others, double heat) {
        if (others.equals(Others.NONE)) {
            return cold;
        }
        double warmer = others.heat() * cold.resistanceToSink();
        return new ColdStream(
                cold.flow(),
                cold.capacityRate(),
                cold.sinkTemperature() - warmer,
                cold.resistanceToSink() + Math.max(warmer, 0) / Math.max(heat, LEAST_HEAT));
    }

    /** @return whether nothing but outside air takes its heat for good */
    public boolean onlyAirTakesIt() {
        return loop == null || loop.onlyAirTakesIt();
    }

    /**
     * What a core and its loop took lately.
     *
     * @param own    W taken from the charge in the mean of the time before
     * @param onLoop W of all cores on the loop; the own one where air cools
     * @param feed   K of the water where it enters the first of them
     */
    public record Lately(double own, double onLoop, double feed) {}

    /**
     * What limits the core at a moment of a run.
     *
     * @param trace  of this core
     * @param i      step of that moment, charge flowing
     * @param met    the air as it came then
     */
    public ResistanceShares sharesAt(CoreTrace trace, int i, Lately lately, InletAir met, OperatingPoint point) {
        double in = trace.in()[i];
        double out = trace.out()[i];
        double coldIn = trace.coldIn()[i];
        double rate = trace.flow()[i] * ambient.air().heatCapacity((in + out) / 2);
        double heat = Math.max(lately.own(), LEAST_HEAT);
        ColdStream stream = streamAt(met, coldIn, point.speed());
        HeatTransfer transfer = new SteadyCooling(
                        cooler(), new ColdStream(stream.flow(), stream.capacityRate(), coldIn, 0))
                .transfer(ambient.air(), trace.flow()[i], in, out);
        double warmed = Math.max(met.inlet() - ambient.temperature(), 0) / heat;
        if (loop == null || loop.spec().isOpen()) {
            return ResistanceShares.of(transfer, rate, stream.capacityRate(), 0, 0, loop == null ? warmed : 0);
        }
        ColdStream whole = loop.stream(lately.feed(), point.speed());
        LoopSinks sinks = loop.sinks(met, whole, lately.feed(), point, trace.ice()[i]);
        double level = sinks.conductance() > 0 ? sinks.level() : loop.startWater(ambient.temperature());
        double taken = sinks.conductance() > 0 ? (lately.feed() - level) / sinks.resistance(whole.capacityRate()) : 0;
        double stores = Math.max(0, Math.min(1, 1 - taken / Math.max(lately.onLoop(), LEAST_HEAT)));
        double behind = Math.max(lately.feed() - level, 0) / heat;
        double byAir = sinks.conductance() > 0 ? sinks.radiator() / sinks.conductance() : 0;
        return ResistanceShares.of(
                transfer, rate, stream.capacityRate(), behind * (1 - stores), behind * stores, warmed * byAir);
    }
}

package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.DampCharge;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.waterloop.ChillerSpec;
import java.util.ArrayList;
import java.util.List;

/** One core while a run goes on: its metal, its water, and what it has taken and given away. */
public final class CorePlant {
    private final CooledCore core;
    private final HumidAir air;
    private final double chillerFactor;
    private final double outside;
    private final MetalField field;
    private final List<CoreTrace.Frame> frames = new ArrayList<>();
    private final double[] in;
    private final double[] out;
    private final double[] flow;
    private final double[] condensate;
    private final CoreTrace.Cold cold;
    private final WaterSide water;
    /** K that no metal can be below: the coldest that it and all it met have been. */
    private double leastMetal;

    private double latent;
    /** W given to the air at the core's face or its radiator, last step. */
    private double toAir;
    /** What the path's solution asked last. */
    private double seenFlow;

    private double seenIn;
    private double charge;
    private double taken;
    private double rejected;

    public CorePlant(CooledCore core, HumidAir air, double outside, double start, int steps) {
        this.core = core;
        this.air = air;
        this.chillerFactor = core.perturbation().factor(UncertainInput.CHILLER_CAPACITY);
        this.outside = outside;
        this.field =
                MetalField.of(core.cooler().spec().arrangement(), core.cooler().heatCapacity(), start);
        this.water = core.hasLoop()
                ? new WaterSide(
                        core.loop(),
                        core.startWater(start),
                        outside,
                        core.perturbation().factor(UncertainInput.ICE_CONTACT),
                        core.radiatorMetal(),
                        core.waterInside())
                : null;
        leastMetal = start;
        this.charge = start;
        in = new double[steps];
        out = new double[steps];
        flow = new double[steps];
        condensate = new double[steps];
        cold = CoreTrace.Cold.of(
                water != null, water != null && core.loop().chiller().isPresent(), steps);
    }

    /** @return K of the charge behind the core, as the metal stands; notes what asked */
    public double ask(double askedFlow, double inlet) {
        seenFlow = askedFlow;
        seenIn = inlet;
        return charge;
    }

    /** @return K of the charge behind the core */
    public double charge() {
        return charge;
    }

    public void picture(double time) {
        frames.add(new CoreTrace.Frame(time, field.along(), field.across(), field.snapshot()));
    }

    public double stored() {
        return field.stored() + (water == null ? 0 : water.stored());
    }

    public double toAir() {
        return toAir;
    }

    /** Another run begins. */
    public void newRun() {
        if (water != null) {
            rejected += water.refill();
        }
    }

    public double taken() {
        return taken;
    }

    public double rejected() {
        return rejected;
    }

    /** @return J that water coming out of the charge gave, within {@link #taken} */
    public double latent() {
        return latent;
    }

    public CoreTrace trace() {
        return new CoreTrace(core.slot().element().name(), in, out, flow, condensate, cold, List.copyOf(frames));
    }

    /**
     * Moves metal and water on by one step; a standing charge neither brings nor takes heat.
     *
     * @param pressure Pa absolute of the charge
     * @param bay      K of the air round the loop
     */
    public void advance(
            int i, double dt, boolean running, double pressure, double bay, InletAir met, OperatingPoint point) {
        double m = running ? seenFlow : 0;
        double inlet = running ? seenIn : charge;
        double before = 0;
        if (water != null) {
            water.standIn(bay);
            before = water.stored();
        }
        ColdStream stream = core.streamAt(met, water != null ? water.out() : met.inlet(), point.speed());
        double coldRate = Math.max(stream.capacityRate(), CooledCore.LEAST_RATE);
        double coldInlet = water != null ? water.feed(dt, coldRate) : met.inlet();
        leastMetal = Math.min(leastMetal, Math.min(coldInlet, inlet));
        Conductances films =
                core.conductances(Math.max(m, 1e-6), (inlet + charge) / 2, Math.max(stream.flow(), 1e-6), coldInlet);
        double rate = m * air.heatCapacity((inlet + charge) / 2);
        field.step(dt, rate, inlet, films.hotToMetal(), coldRate, coldInlet, films.metalToCold(), damp(m, pressure));
        charge = m > 0 ? field.hotOut() : field.stored() / core.cooler().heatCapacity();
        if (m > 0) {
            taken += m * (air.enthalpy(inlet) - air.enthalpy(charge)) * dt + field.latent();
            latent += field.latent();
        }
        in[i] = inlet;
        out[i] = charge;
        flow[i] = m;
        condensate[i] = field.condensed();
        cold.in()[i] = coldInlet;
        cold.out()[i] = coldInlet + field.heatOut() / dt / coldRate;
        cold.airIn()[i] = met.inlet();
        cold.air()[i] = met.speed();
        if (water != null) {
            advanceWater(i, dt, running, field.heatOut() / dt, before, met, stream, point);
        } else {
            rejected += field.heatOut();
            toAir = field.heatOut() / dt;
        }
        cold.rejected()[i] = toAir;
    }

    /** What may come out of the charge: nothing as long as no metal can be colder than its dew point. */
    private DampCharge damp(double m, double pressure) {
        if (m <= 0) {
            return DampCharge.DRY;
        }
        DampCharge damp = DampCharge.of(air, m, pressure);
        if (!damp.wets(leastMetal)) {
            return DampCharge.DRY;
        }
        leastMetal = field.coldest();
        return damp.wets(leastMetal) ? damp : DampCharge.DRY;
    }

    /** What the water did not keep, radiator, chiller and overboard took. */
    private void advanceWater(
            int i,
            double dt,
            boolean running,
            double heat,
            double before,
            InletAir met,
            ColdStream stream,
            OperatingPoint point) {
        RadiatorMetal.Sides radiator = core.radiatorSides(met, stream, water.out());
        ChillerSpec chiller = core.loop().chiller().orElse(null);
        boolean chills =
                chiller != null && chiller.worksAt(running ? point.boost() : 0) && (running || chiller.whileWaiting());
        double rate = Math.max(stream.capacityRate(), CooledCore.LEAST_RATE);
        water.advance(
                dt,
                heat,
                rate,
                radiator,
                met.inlet(),
                chills ? chiller.slope(outside) * chillerFactor : 0,
                chills ? chiller.zeroAt() : 0,
                chills ? chiller.coldest() : 0);
        rejected += heat * dt - (water.stored() - before);
        toAir = water.toAir();
        cold.water()[i] = core.waterFlow(water.out(), point.speed());
        cold.tank()[i] = water.out();
        cold.ice()[i] = water.ice();
        cold.chilled()[i] = water.chilled();
        cold.chills()[i] = chills;
        cold.pump()[i] = core.isPumped(point.speed());
    }
}

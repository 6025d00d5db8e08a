package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.exchanger.Condensate;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.waterloop.ChillerSpec;
import java.util.ArrayList;
import java.util.List;

/** One core while a run goes on: its metal, its water, and what it has taken and given away. */
final class CorePlant {
    /** W/K of a stream that all but stands. */
    private static final double LEAST_RATE = 1e-3;
    private final CooledCore core;
    private final HumidAir air;
    private final double chillerFactor;
    private final double outside;
    private final MetalField field;
    private final List<CoreTrace.Frame> frames = new ArrayList<>();
    private final double[] in;
    private final double[] out;
    private final double[] flow;
    private final double[] coldIn;
    private final double[] condensate;
    private final WaterSide water;
    private final double[] iceLeft;
    /** W given to the air at the core's face or its radiator, last step. */
    private double toAir;
    /** What the path's solution asked last. */
    private double seenFlow;
    private double seenIn;
    private double charge;
    private double taken;
    private double rejected;

    CorePlant(CooledCore core, HumidAir air, double outside, double start, int steps) {
        this.core = core;
        this.air = air;
        this.chillerFactor = core.doubt().factor(Unknown.CHILLER_CAPACITY);
        this.outside = outside;
        this.field = MetalField.of(core.cooler().spec().arrangement(), core.cooler().heatCapacity(), start);
        this.water = core.hasLoop() ? new WaterSide(core.loop(), core.startWater(start), outside, core.doubt().factor(Unknown.ICE_CONTACT)) : null;
        iceLeft = new double[steps];
        this.charge = start;
        in = new double[steps];
        out = new double[steps];
        flow = new double[steps];
        coldIn = new double[steps];
        condensate = new double[steps];
    }

    /** @return K of the charge behind the core, as the metal stands; notes what asked */
    double ask(double askedFlow, double inlet) {
        seenFlow = askedFlow;
        seenIn = inlet;
        return charge;
    }

    /** @return K of the charge behind the core */
    double charge() {
        return charge;
    }

    void picture(double time) {
        frames.add(new CoreTrace.Frame(time, field.along(), field.across(), field.snapshot()));
    }

    double stored() {
        return field.stored() + (water == null ? 0 : water.stored());
    }

    double toAir() {
        return toAir;
    }

    /** Another run begins. */
    void newRun() {
        if (water != null) {
            rejected += water.refill();
        }
    }

    double taken() {
        return taken;
    }

    double rejected() {
        return rejected;
    }

    CoreTrace trace() {
        return new CoreTrace(core.slot().element().name(), in, out, flow, coldIn, iceLeft, condensate, List.copyOf(frames));
    }

    /**
     * Moves metal and water on by one step; a standing charge neither brings nor takes heat.
     *
     * @param pressure Pa absolute of the charge
     * @param bay      K of the air round the loop
     */
    void advance(int i, double dt, boolean running, double pressure, double bay, AirMeeting met, OperatingPoint point) {
        double m = running ? seenFlow : 0;
        double inlet = running ? seenIn : charge;
        double before = 0;
        if (water != null) {
            water.standIn(bay);
            before = water.stored();
        }
        ColdStream cold = core.streamAt(met, water != null ? water.out() : met.inlet(), point.speed());
        double coldInlet = water != null ? water.feed(dt, Math.max(cold.capacityRate(), LEAST_RATE)) : met.inlet();
        Conductances films = core.conductances(Math.max(m, 1e-6), (inlet + charge) / 2, Math.max(cold.flow(), 1e-6), coldInlet);
        double rate = m * air.heatCapacity((inlet + charge) / 2);
        field.step(dt, rate, inlet, films.hotToMetal(), Math.max(cold.capacityRate(), LEAST_RATE), coldInlet, films.metalToCold());
        charge = m > 0 ? field.hotOut() : field.stored() / core.cooler().heatCapacity();
        if (m > 0) {
            taken += m * (air.enthalpy(inlet) - air.enthalpy(charge)) * dt;
        }
        double coldOut = coldInlet + field.heatOut() / dt / Math.max(cold.capacityRate(), LEAST_RATE);
        condensate[i] = m > 0 ? Condensate.flow(air, m, pressure, inlet, charge, coldInlet, coldOut, films) : 0;
        if (water != null) {
            advanceWater(dt, running, field.heatOut() / dt, before, met, cold, point);
        } else {
            rejected += field.heatOut();
            toAir = field.heatOut() / dt;
        }
        in[i] = inlet;
        out[i] = charge;
        flow[i] = m;
        coldIn[i] = coldInlet;
        iceLeft[i] = water == null ? 0 : water.ice();
    }

    /** What the water did not keep, radiator, chiller and overboard took. */
    private void advanceWater(double dt, boolean running, double heat, double before, AirMeeting met, ColdStream cold, OperatingPoint point) {
        double perKelvin = core.radiatorPerKelvin(met, cold, water.out());
        ChillerSpec chiller = core.loop().chiller().orElse(null);
        boolean chills = chiller != null && chiller.worksAt(running ? point.boost() : 0) && (running || chiller.whileWaiting());
        double rate = Math.max(cold.capacityRate(), LEAST_RATE);
        water.advance(dt, heat, rate, Math.min(perKelvin, rate), met.inlet(), chills ? chiller.slope(outside) * chillerFactor : 0, chills ? chiller.zeroAt() : 0,
                chills ? chiller.coldest() : 0);
        rejected += heat * dt - (water.stored() - before);
        toAir = Math.min(perKelvin, rate) * (water.toRadiator() - met.inlet());
    }
}

package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Water;
import java.util.ArrayList;
import java.util.List;

/** One core while a run goes on: its metal, its water, and what it has taken and given away. */
final class CorePlant {
    private final CooledCore core;
    private final HumidAir air;
    private final double outside;
    private final MetalField field;
    private final List<CoreTrace.Frame> frames = new ArrayList<>();
    private final double[] in;
    private final double[] out;
    private final double[] flow;
    private final double[] coldIn;
    private double water;
    /** What the path's solution asked last. */
    private double seenFlow;
    private double seenIn;
    private double charge;
    private double taken;
    private double rejected;

    CorePlant(CooledCore core, HumidAir air, double outside, double start, int steps) {
        this.core = core;
        this.air = air;
        this.outside = outside;
        this.field = MetalField.of(core.cooler().spec().arrangement(), core.cooler().heatCapacity(), start);
        this.water = start;
        this.charge = start;
        in = new double[steps];
        out = new double[steps];
        flow = new double[steps];
        coldIn = new double[steps];
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
        return field.stored() + (core.hasLoop() ? waterHeatCapacity() * water : 0);
    }

    double taken() {
        return taken;
    }

    double rejected() {
        return rejected;
    }

    CoreTrace trace() {
        return new CoreTrace(core.slot().element().name(), in, out, flow, coldIn, List.copyOf(frames));
    }

    /** J/K of the loop's water; taken at the loop's mean working temperature so that it stays one number through a run. */
    private double waterHeatCapacity() {
        double at = outside + 15;
        return core.loop().volume() * Water.density(at) * Water.heatCapacity(at);
    }

    /** Moves metal and water on by one step; a standing charge neither brings nor takes heat. */
    void advance(int i, double dt, boolean running, double roadSpeed) {
        double m = running ? seenFlow : 0;
        double inlet = running ? seenIn : charge;
        double coldInlet = core.hasLoop() ? water : outside;
        ColdStream cold = core.coldStream(roadSpeed, water);
        Conductances films = core.cooler().model().conductances(Math.max(m, 1e-6), (inlet + charge) / 2, cold.flow(), coldInlet);
        double rate = m * air.heatCapacity((inlet + charge) / 2);
        field.step(dt, rate, inlet, films.hotToMetal(), cold.capacityRate(), coldInlet, films.metalToCold());
        charge = m > 0 ? field.hotOut() : field.stored() / core.cooler().heatCapacity();
        if (m > 0) {
            taken += m * (air.enthalpy(inlet) - air.enthalpy(charge)) * dt;
        }
        if (core.hasLoop()) {
            relaxWater(dt, field.heatOut() / dt, cold);
        } else {
            rejected += field.heatOut();
        }
        in[i] = inlet;
        out[i] = charge;
        flow[i] = m;
        coldIn[i] = coldInlet;
    }

    /**
     * The mixed water over a step under constant heat from the core: {@code C dT/dt = q (1 - G / Cw) - G (T - T_air)},
     * solved exactly. What the water did not keep, the radiator gave away.
     */
    private void relaxWater(double dt, double heat, ColdStream cold) {
        double capacity = waterHeatCapacity();
        double limit = outside + heat * cold.resistanceToSink();
        double radiator = 1 / (cold.resistanceToSink() + 1 / cold.capacityRate());
        double before = water;
        water = limit + (water - limit) * Math.exp(-radiator * dt / capacity);
        rejected += heat * dt - capacity * (water - before);
    }
}

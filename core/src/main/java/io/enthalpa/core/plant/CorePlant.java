package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.DampCharge;
import io.enthalpa.core.fluid.HumidAir;
import java.util.ArrayList;
import java.util.List;

/** One core while a run goes on: its metal, and what it has taken and given away. */
public final class CorePlant {
    private final CooledCore core;
    /** Null for a core that air cools. */
    private final LoopPlant loop;

    private final MetalField field;
    private final List<CoreTrace.Frame> frames = new ArrayList<>();
    private final double[] in;
    private final double[] out;
    private final double[] flow;
    private final double[] condensate;
    private final CoreTrace.Cold cold;
    /** K that no metal can be below: the coldest that it and all it met have been. */
    private double leastMetal;

    private double latent;
    /** W given to the air at its face, last step; 0 with water. */
    private double toAir;
    /** What the path's solution asked last. */
    private double seenFlow;

    private HumidAir air;

    private double seenIn;
    private double charge;
    private double taken;
    private double rejected;

    CorePlant(CooledCore core, LoopPlant loop, HumidAir air, double start, int steps) {
        this.core = core;
        this.loop = loop;
        this.air = air;
        this.field =
                MetalField.of(core.cooler().spec().arrangement(), core.cooler().heatCapacity(), start);
        leastMetal = start;
        this.charge = start;
        in = new double[steps];
        out = new double[steps];
        flow = new double[steps];
        condensate = new double[steps];
        cold = CoreTrace.Cold.of(
                loop != null,
                core.leads(),
                loop != null && core.loop().spec().chiller().isPresent(),
                steps);
    }

    /** @return where the water meets it among those of its loop, from 0 */
    int stage() {
        return loop == null ? 0 : core.loop().stage(core.member());
    }

    /** @return K of the charge behind the core, as the metal stands; notes what asked */
    public double ask(HumidAir gas, double askedFlow, double inlet) {
        air = gas;
        seenFlow = askedFlow;
        seenIn = inlet;
        return charge;
    }

    /** @return kg/s of water that came out in the last step */
    public double condensed() {
        return field.condensed();
    }

    /** @return K of the charge behind the core */
    public double charge() {
        return charge;
    }

    public void picture(double time) {
        frames.add(new CoreTrace.Frame(time, field.along(), field.across(), field.snapshot()));
    }

    double stored() {
        return field.stored();
    }

    double toAir() {
        return toAir;
    }

    double taken() {
        return taken;
    }

    /** @return J given to the air at its face; what water took is its loop's */
    double rejected() {
        return rejected;
    }

    /** @return J that water coming out of the charge gave, within {@link #taken} */
    double latent() {
        return latent;
    }

    public CoreTrace trace() {
        return new CoreTrace(core.slot().element().name(), in, out, flow, condensate, cold, List.copyOf(frames));
    }

    /**
     * Moves the metal on by a step or a part of one; a standing charge neither brings nor takes heat.
     *
     * @param weight   of that part in the step
     * @param pressure Pa absolute of the charge
     */
    void advance(
            int i, double weight, double dt, boolean running, double pressure, InletAir met, OperatingPoint point) {
        double m = running ? seenFlow : 0;
        double inlet = running ? seenIn : charge;
        ColdStream stream = loop != null ? core.part(loop.stream()) : core.streamAt(met, met.inlet(), point.speed());
        double coldRate = Math.max(stream.capacityRate(), CoolingLoop.LEAST_RATE);
        double coldInlet = loop != null ? loop.inlet(stage()) : met.inlet();
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
        condensate[i] += weight * field.condensed();
        cold.in()[i] += weight * coldInlet;
        cold.out()[i] += weight * (coldInlet + field.heatOut() / dt / coldRate);
        cold.airIn()[i] = met.inlet();
        cold.air()[i] = met.speed();
        if (loop != null) {
            loop.take(stage(), field.heatOut());
        } else {
            rejected += field.heatOut();
            toAir = field.heatOut() / dt;
            cold.rejected()[i] += weight * toAir;
        }
    }

    /** Writes down how its water stands after the step: of what radiator and chiller took its part by the heat it brought. */
    void note(int i, double weight, OperatingPoint point) {
        if (loop == null) {
            return;
        }
        int members = core.loop().members().cores().size();
        double all = loop.given();
        double part = members == 1 ? 1 : all > 0 ? Math.max(field.heatOut(), 0) / all : 1.0 / members;
        loop.note(cold, i, weight, part, core.loop().share(core.member()), point);
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
}

package io.enthalpa.core.plant;

import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.Arrays;

/** The water of one loop while a run goes on: mixed, or passing a baffled tank in order; its ice; what it gives away. */
public final class WaterSide {
    public static final Method METHOD = Method.of(
                    "loop-run",
                    "Water, tank and ice through a duty",
                    "The water in tank and radiator is one mixed volume, or eight behind each other in a baffled tank; the hoses to the core and back, and the core itself, pass their "
                            + "water on in the order it came, later by their volume over the flow (a core holds a fifth of its block; at least a twentieth of all water is behind it; where the loop's pieces are not known and the tank is plain all is one volume). No step passes more than the water behind the core holds, or it is walked in parts: what comes back in it is known when it begins. The metal of the radiator, "
                            + "550 kg in a m3 of block, is a store of its own between water and air. Over a step each relaxes exactly towards what core, radiator, "
                            + "chiller and ice make of it. What melts stays in the tank at 0 °C and is warmed with the rest; what the tank cannot hold runs over as warm as the tank is, and so does the melt that has to make room for ice topped up. What radiator, chiller, the air round the loop and what ran over took is counted for itself.")
            .formula(
                    "C dT/dt = C_w (T_back - T) - s_chiller (T - T_z) - h A (T - 0 °C) - soak (T - T_bay); T_back = T_r - g (T_r - T_m) / C_w, T_r what the return hose gives; "
                            + "C_m dT_m/dt = g (T_r - T_m) - a (T_m - T_air), 1/g + 1/a = 1/G_r; melt: dC/dt = c dm/dt, T (C + c dm) = T C + 0 °C c dm")
            .source(Citation.fromMemory(
                    "Incropera & DeWitt", 2007, "Fundamentals of Heat and Mass Transfer, lumped capacitance"))
            .leavesOut("What melt water thins of the glycol.");
    private static final int BAFFLED_CELLS = 8;
    /** Of all water at least this share counts as mixed, and this one as behind the core, whatever the hoses hold. */
    private static final double LEAST_MIXED = 0.1;

    private static final double LEAST_BEHIND = 0.05;

    private final WaterLoopSpec loop;
    private final GlycolWater coolant;
    private final double[] cell;
    /** J/K of the mixed part; grows by what melts. */
    private double capacity;

    /** J/K of it before anything melts, and when the tank is full to the brim. */
    private final double without;

    private final double brim;
    /** J/(kg K). */
    private final double specific;

    private final TankSpec tank;
    /** Null without a radiator, or where its metal is not counted. */
    private final RadiatorMetal metal;

    private final CoupledStores coupled;
    private final PlugFlow feed;
    /** Behind the core: the core's own water and the hose back. */
    private final PlugFlow back;

    private final double behind;
    /** False where all water is one volume. */
    private final boolean line;

    private final double contact;
    private double out;
    private double ice;
    /** K where the water enters the core, mean of the step. */
    private double toCore;
    /** K of the air round it. */
    private double round;
    /** W that the chiller took, mean of the last step. */
    private double chilled;
    /** W that the radiator gave to the air, mean of the last step. */
    private double toAir;
    /** K of the water where it came to the radiator in it. */
    private double toRadiator;
    /** J that left for good since the start. */
    private double rejected;

    private Step step;

    /**
     * What a step brings, its heat aside.
     *
     * @param dt       s
     * @param rate     W/K of the flow, above 0
     * @param radiator what its sides carry
     * @param airIn    K at the radiator
     * @param slope    W/K of the chiller; 0 when it does not work
     * @param zero     K at which the chiller takes nothing
     * @param coldest  K the chiller does not go below
     */
    record Step(
            double dt,
            double rate,
            RadiatorMetal.Sides radiator,
            double airIn,
            double slope,
            double zero,
            double coldest) {}

    WaterSide(WaterLoopSpec loop, double start, double outside) {
        this(loop, start, outside, 1, 0, 0);
    }

    /**
     * @param contact factor on what the ice takes
     * @param metal   J/K of the radiator's metal; 0 without
     * @param inCore  m3 of water in the core, which passes it as it passes the hose behind it where the loop's pieces are known
     */
    WaterSide(WaterLoopSpec loop, double start, double outside, double contact, double metal, double inCore) {
        this.contact = contact;
        this.metal = metal > 0 ? new RadiatorMetal(metal, start) : null;
        this.coupled = new CoupledStores(start);
        this.loop = loop;
        this.coolant = loop.coolant();
        this.tank = loop.tank().orElse(TankSpec.PLAIN);
        cell = new double[tank.baffled() ? BAFFLED_CELLS : 1];
        Arrays.fill(cell, start);
        out = start;
        ice = tank.ice().mass();
        toCore = start;
        round = outside;
        double at = outside + 15;
        specific = coolant.heatCapacity(at);
        double whole = loop.volume() * coolant.density(at) * specific;
        boolean known = loop.feedVolume() + loop.returnVolume() > 0;
        line = (known || tank.baffled()) && !loop.isOpen();
        double wanted = Math.max(loop.returnVolume() + (known ? inCore : 0), LEAST_BEHIND * loop.volume());
        double inLine = (loop.feedVolume() + wanted) / loop.volume();
        double share = line ? Math.min(inLine, 1 - LEAST_MIXED) / inLine : 0;
        behind = share * wanted / loop.volume() * whole;
        feed = new PlugFlow(share * loop.feedVolume() / loop.volume() * whole, start);
        back = new PlugFlow(behind, start);
        without = whole * (1 - share * inLine);
        capacity = without;
        brim = line && known
                ? Math.max(without, tank.capacity() * coolant.density(at) * specific)
                : Double.POSITIVE_INFINITY;
    }

    /** @return K where it leaves the tank */
    double out() {
        return out;
    }

    /** @param kelvin of the air round hoses, tank and core from now on */
    void standIn(double kelvin) {
        round = kelvin;
    }

    double ice() {
        return ice;
    }

    /** @return W given to the air by the radiator, mean of the last step */
    double toAir() {
        return toAir;
    }

    /** @return K of the water where it came to the radiator, mean of the last step */
    double toRadiator() {
        return toRadiator;
    }

    /** @return W that the chiller took, mean of the last step */
    double chilled() {
        return chilled;
    }

    /** @return s that the water of a step may be under way at most; a longer one has to be walked in parts @param rate W/K of the flow */
    double longestStep(double rate) {
        return line ? behind / rate : Double.POSITIVE_INFINITY;
    }

    /** @return J that radiator, chiller, the air round it, the sea and what ran over took since the start */
    double rejected() {
        return rejected;
    }

    /** @return J over 0 °C, ice counted as cold */
    double stored() {
        if (loop.isOpen()) {
            return 0;
        }
        double sum = 0;
        for (double t : cell) {
            sum += t - IceSpec.MELTING;
        }
        return sum / cell.length * capacity
                + feed.stored()
                + back.stored()
                - ice * IceSpec.LATENT_HEAT
                + (metal == null ? 0 : metal.stored());
    }

    /** Tops the ice up and lets out what had melted; its cold comes from outside the loop. */
    void refill() {
        if (!tank.refilled()) {
            return;
        }
        double before = stored();
        ice = tank.ice().mass();
        capacity = without;
        rejected += before - stored();
    }

    /**
     * Begins a step, no longer than {@link #longestStep}: what comes back in it is under way already, so that radiator and tank can go first.
     *
     * @return K where the water enters the core, mean of the step
     */
    double send(Step next) {
        step = next;
        if (line) {
            double amount = step.rate * step.dt;
            double warm = back.draw(amount);
            toRadiator = warm;
            RadiatorMetal.Sides sides = step.radiator;
            double left =
                    metal == null ? sides.water() * (warm - step.airIn) : metal.pass(step.dt, sides, warm, step.airIn);
            toAir = metal == null ? left : metal.toAir();
            toCore = feed.push(amount, throughTank(warm - left / step.rate));
            rejected += toAir * step.dt;
        } else {
            toCore = out;
        }
        return toCore;
    }

    /** Ends the step. @param heat W from the core, mean of it */
    void take(double heat) {
        if (loop.isOpen()) {
            rejected += heat * step.dt;
        } else if (line) {
            back.append(step.rate * step.dt, toCore + heat / step.rate);
        } else {
            inOneVolume(heat);
        }
    }

    /** @param in K of what comes from the radiator @return K of what leaves the tank, mean of the step */
    private double throughTank(double in) {
        double chiller = chiller();
        double melt = melting();
        double dt = step.dt;
        double rate = step.rate;
        double c = capacity / cell.length;
        double mean = relax(
                0,
                dt,
                c,
                rate + chiller + melt + loop.soak(),
                rate * in + chiller * step.zero + melt * IceSpec.MELTING + loop.soak() * round);
        double last = mean;
        for (int i = 1; i < cell.length; i++) {
            last = relax(i, dt, c, rate, rate * last);
        }
        givenAway(chiller, melt, mean);
        out = cell[cell.length - 1];
        return last;
    }

    private void inOneVolume(double heat) {
        double water = step.radiator.water();
        double chiller = chiller();
        double melt = melting();
        double pull = chiller + melt + loop.soak();
        double push =
                chiller * step.zero + melt * IceSpec.MELTING + loop.soak() * round + heat * (1 - water / step.rate);
        double mean;
        if (metal == null) {
            mean = relax(0, step.dt, capacity, pull + water, push + water * step.airIn);
            toAir = water * (mean + heat / step.rate - step.airIn);
        } else {
            double air = step.radiator.air();
            coupled.set(cell[0], metal.temperature());
            coupled.relax(
                    step.dt,
                    capacity,
                    pull,
                    push,
                    metal.capacity(),
                    air,
                    air * step.airIn + heat * water / step.rate,
                    water);
            cell[0] = coupled.first();
            mean = coupled.meanFirst();
            metal.stood(coupled.second(), coupled.meanSecond(), step.radiator, step.airIn);
            toAir = metal.toAir();
        }
        toRadiator = mean + heat / step.rate;
        givenAway(chiller, melt, mean);
        rejected += toAir * step.dt;
        out = cell[0];
    }

    /** @return W/K of the chiller: none that warms the water, none below what it is held at */
    private double chiller() {
        return cell[0] > Math.max(step.coldest, step.zero) ? step.slope : 0;
    }

    /** @return W/K of the ice: none that freezes water */
    private double melting() {
        return cell[0] > IceSpec.MELTING ? contact * tank.ice().conductance(ice) : 0;
    }

    /** What chiller, ice and the air round the loop took of a step. @param mean K of the water they met */
    private void givenAway(double chiller, double melt, double mean) {
        melt(step.dt, melt, mean);
        chilled = chiller * (mean - step.zero);
        if (chiller > 0 && cell[0] < step.coldest) {
            chilled -= (step.coldest - cell[0]) * capacity / cell.length / step.dt;
            cell[0] = step.coldest;
        }
        rejected += (chilled + loop.soak() * (mean - round)) * step.dt;
    }

    /** {@code c dT/dt = push - pull T} over a step, exact; returns the mean. */
    private double relax(int i, double dt, double c, double pull, double push) {
        double was = cell[i];
        if (pull <= 0) {
            cell[i] = was + push * dt / c;
            return (was + cell[i]) / 2;
        }
        double limit = push / pull;
        double x = pull * dt / c;
        cell[i] = limit + (was - limit) * Math.exp(-x);
        return limit - (was - limit) * Math.expm1(-x) / x;
    }

    /** Takes from the ice what the water gave it; what there was no ice for any more, or what would have frozen, the water keeps. */
    private void melt(double dt, double conductance, double mean) {
        if (conductance <= 0) {
            return;
        }
        double asked = conductance * (mean - IceSpec.MELTING) * dt / IceSpec.LATENT_HEAT;
        double melted = Math.max(Math.min(asked, ice), 0);
        cell[0] += (asked - melted) * IceSpec.LATENT_HEAT / (capacity / cell.length);
        ice -= melted;
        runIn(melted * specific);
    }

    /** What has melted comes in at 0 °C where the water comes back, and moves on as much from cell to cell as does not stay. @param added J/K */
    private void runIn(double added) {
        double stays = Math.min(added, brim - capacity) / cell.length;
        double each = capacity / cell.length;
        double moving = added;
        double in = IceSpec.MELTING;
        for (int k = 0; k < cell.length; k++) {
            cell[k] = (cell[k] * each + in * moving) / (each + moving);
            in = cell[k];
            moving -= stays;
        }
        capacity += stays * cell.length;
        rejected += moving * (in - IceSpec.MELTING);
    }
}

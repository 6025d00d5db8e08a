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
                            + "water on in the order it came, later by their volume over the flow (a core holds a fifth of its block; where the loop's pieces are not known all is one volume). The metal of the radiator, "
                            + "550 kg in a m3 of block, is a store of its own between water and air. Over a step each relaxes exactly towards what core, radiator, "
                            + "chiller and ice make of it. What melts stays in the tank at 0 °C and is warmed with the rest; what the tank cannot hold runs over as warm as the tank is, and so does the melt that has to make room for ice topped up. What water and metal did not keep and the ice did not melt for, radiator and chiller gave away.")
            .formula(
                    "C dT/dt = C_w (T_back - T) - s_chiller (T - T_z) - h A (T - 0 °C) - soak (T - T_bay); T_back = T_r - g (T_r - T_m) / C_w, T_r what the return hose gives; "
                            + "C_m dT_m/dt = g (T_r - T_m) - a (T_m - T_air), 1/g + 1/a = 1/G_r; melt: dC/dt = c dm/dt, T (C + c dm) = T C + 0 °C c dm")
            .source(Citation.fromMemory(
                    "Incropera & DeWitt", 2007, "Fundamentals of Heat and Mass Transfer, lumped capacitance"))
            .leavesOut("What melt water thins of the glycol.");
    private static final int BAFFLED_CELLS = 8;
    /** Of all water at least this share counts as mixed, whatever the hoses hold. */
    private static final double LEAST_MIXED = 0.1;

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
    private final PlugFlow back;
    private final boolean hoses;
    private final double contact;
    private double out;
    private double ice;
    private double toCore;
    private double toRadiator;
    /** J that the water leaving the tank had gained within a step over what it was taken for. */
    private double underWay;
    /** K of the air round it. */
    private double round;
    /** W that the chiller took, mean of the last step. */
    private double chilled;
    /** W that the radiator gave to the air, mean of the last step. */
    private double toAir;

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
        toRadiator = start;
        double at = outside + 15;
        specific = coolant.heatCapacity(at);
        double whole = loop.volume() * coolant.density(at) * specific;
        double behind = loop.returnVolume() + (loop.feedVolume() + loop.returnVolume() > 0 ? inCore : 0);
        double inHoses = (loop.feedVolume() + behind) / loop.volume();
        hoses = inHoses > 0 && !loop.isOpen();
        double share = hoses ? Math.min(inHoses, 1 - LEAST_MIXED) / inHoses : 0;
        feed = new PlugFlow(share * loop.feedVolume() / loop.volume() * whole, start);
        back = new PlugFlow(share * behind / loop.volume() * whole, start);
        without = whole * (1 - share * inHoses);
        capacity = without;
        brim = hoses ? Math.max(without, tank.capacity() * coolant.density(at) * specific) : Double.POSITIVE_INFINITY;
    }

    /** @return K where it leaves the tank */
    double out() {
        return out;
    }

    /** @param kelvin of the air round hoses, tank and core from now on */
    void standIn(double kelvin) {
        round = kelvin;
    }

    /** Sends water on its way for a step. @param rate W/K of the flow @return K where it enters the core, mean of the step */
    double feed(double dt, double rate) {
        toCore = hoses ? feed.push(rate * dt, out) : out;
        return toCore;
    }

    double ice() {
        return ice;
    }

    /** @return W given to the air by the radiator, mean of the last step */
    double toAir() {
        return toAir;
    }

    /** @return W that the chiller took, mean of the last step */
    double chilled() {
        return chilled;
    }

    /** @return J over 0 °C, ice counted as cold */
    double stored() {
        if (loop.isOpen()) {
            return 0;
        }
        double sum = 0;
        for (double t : cell) {
            sum += t;
        }
        return (sum / cell.length - IceSpec.MELTING) * capacity
                + feed.stored()
                + back.stored()
                + underWay
                - ice * IceSpec.LATENT_HEAT
                + (metal == null ? 0 : metal.stored());
    }

    /** Tops the ice up and lets out what had melted; its cold comes from outside the loop. @return J */
    double refill() {
        if (!tank.refilled()) {
            return 0;
        }
        double before = stored();
        ice = tank.ice().mass();
        capacity = without;
        return before - stored();
    }

    /** As {@link #advance(double, double, double, RadiatorMetal.Sides, double, double, double, double)} for a radiator without metal. @param radiator W/K between its inlets */
    void advance(
            double dt,
            double heat,
            double rate,
            double radiator,
            double airIn,
            double slope,
            double zero,
            double coldest) {
        advance(
                dt,
                heat,
                rate,
                new RadiatorMetal.Sides(radiator, Double.POSITIVE_INFINITY),
                airIn,
                slope,
                zero,
                coldest);
    }

    /**
     * @param heat     W from the core, mean of the step
     * @param rate     W/K of the flow
     * @param radiator what its sides carry
     * @param airIn    K at the radiator
     * @param slope    W/K of the chiller; 0 when it does not work
     * @param zero     K at which the chiller takes nothing
     * @param coldest  K the chiller does not go below
     */
    void advance(
            double dt,
            double heat,
            double rate,
            RadiatorMetal.Sides radiator,
            double airIn,
            double slope,
            double zero,
            double coldest) {
        if (loop.isOpen()) {
            return;
        }
        double water = radiator.water();
        double chiller = cell[0] > coldest ? slope : 0;
        double melt = contact * tank.ice().conductance(ice);
        double mean;
        toRadiator = hoses ? back.push(rate * dt, toCore + heat / rate) : out + heat / rate;
        if (cell.length == 1 && !hoses) {
            double pull = chiller + melt + loop.soak();
            double push = chiller * zero + melt * IceSpec.MELTING + loop.soak() * round + heat * (1 - water / rate);
            if (metal == null) {
                mean = relax(0, dt, capacity, pull + water, push + water * airIn);
                toAir = water * (mean + heat / rate - airIn);
            } else {
                coupled.set(cell[0], metal.temperature());
                coupled.relax(
                        dt,
                        capacity,
                        pull,
                        push,
                        metal.capacity(),
                        radiator.air(),
                        radiator.air() * airIn + heat * water / rate,
                        water);
                cell[0] = coupled.first();
                mean = coupled.meanFirst();
                metal.stood(coupled.second(), coupled.meanSecond(), radiator, airIn);
                toAir = metal.toAir();
            }
            out = cell[0];
        } else {
            double left = metal == null ? water * (toRadiator - airIn) : metal.pass(dt, radiator, toRadiator, airIn);
            toAir = metal == null ? left : metal.toAir();
            double cooled = toRadiator - left / rate;
            double c = capacity / cell.length;
            mean = relax(
                    0,
                    dt,
                    c,
                    rate + chiller + melt + loop.soak(),
                    rate * cooled + chiller * zero + melt * IceSpec.MELTING + loop.soak() * round);
            double last = mean;
            for (int i = 1; i < cell.length; i++) {
                last = relax(i, dt, c, rate, rate * last);
            }
            underWay += rate * dt * (last - out);
            out = last;
        }
        melt(dt, melt, mean);
        chilled = chiller > 0 ? Math.max(chiller * (mean - zero), 0) : 0;
        if (chiller > 0 && cell[0] < coldest) {
            chilled -= (coldest - cell[0]) * capacity / cell.length / dt;
            cell[0] = coldest;
            out = cell.length == 1 ? coldest : out;
        }
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

    /** Takes from the ice what the water gave it; what there was no ice for any more, the water keeps. */
    private void melt(double dt, double conductance, double mean) {
        if (conductance <= 0) {
            return;
        }
        double melted = Math.max(conductance * (mean - IceSpec.MELTING) * dt / IceSpec.LATENT_HEAT, 0);
        if (melted > ice) {
            cell[0] += (melted - ice) * IceSpec.LATENT_HEAT / (capacity / cell.length);
            melted = ice;
        }
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
        out = cell.length == 1 && !hoses ? cell[0] : out;
    }
}

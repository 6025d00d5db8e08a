package io.enthalpa.core.chargepath;

import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.InjectionCooling;
import io.enthalpa.core.exchanger.CoreModel;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.loss.DiameterChange;
import io.enthalpa.core.loss.JointLoss;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.loss.ThrottleLoss;
import java.util.Arrays;
import java.util.List;

/** Pieces in a row, with the total state of the air in front of each and behind the last. A workspace: one for one thread. */
final class Chain {
    /** Bores that differ by less than this share are the same tube. */
    private static final double SAME_BORE = 0.005;
    /** Moles for each mole of dry air. */
    private static final double SAME_VAPOUR = 1e-12;

    private static final double WATER_MOLAR_MASS = 18.01528e-3;

    final List<PathElement> elements;
    private final int size;
    final double[] pressure;
    final double[] temperature;
    /** The charge with its vapour: sprays add to it, cores take from it. */
    final HumidAir[] gas;

    final Legs[] legs;
    /** Of the step of bore in front of each piece, on the head of the smaller bore; 0 where there is none. */
    private final double[] stepLoss;

    private final double[] stepBore;
    private final PipeSpec.Loss[] fixedLoss;
    private final int[] coreNumber;
    /** K behind each spray the last time: it hardly moves from one pass to the next. */
    private final double[] sprayedTo;
    /** Of each piece whose wall is counted; -1 elsewhere. */
    private final int[] wallNumber;
    /** Of each piece that is a core; null elsewhere. */
    final CoreModel[] model;

    private final March march;
    private final double losses;

    /**
     * @param path       that it belongs to
     * @param firstCore  number of the first core in this chain
     * @param firstWall  number of the first wall in this chain
     * @param boreBefore m of the piece before it; NaN when there is none
     */
    Chain(List<PathElement> elements, March march, ChargePath path, int firstCore, int firstWall, double boreBefore) {
        this.elements = elements;
        this.march = march;
        this.losses = path.losses();
        int n = elements.size();
        size = n;
        pressure = new double[n + 1];
        temperature = new double[n + 1];
        gas = new HumidAir[n + 1];
        legs = new Legs[n];
        stepLoss = new double[n];
        stepBore = new double[n];
        fixedLoss = new PipeSpec.Loss[n];
        coreNumber = new int[n];
        sprayedTo = new double[n];
        Arrays.fill(sprayedTo, Double.NaN);
        wallNumber = new int[n];
        model = new CoreModel[n];
        double bore = boreBefore;
        int core = firstCore;
        int wall = firstWall;
        for (int i = 0; i < n; i++) {
            PathElement element = elements.get(i);
            step(i, bore, element.inletBore());
            fixedLoss[i] = fixedLoss(element);
            coreNumber[i] = core;
            wallNumber[i] = path.isWalled(element) ? wall++ : -1;
            if (element instanceof PathElement.Core) {
                model[i] = path.cores().get(core).cooler().model();
                core++;
            } else if (element instanceof PathElement.Parallel parallel) {
                legs[i] = new Legs(parallel, march, path, core, wall, bore);
                core = legs[i].nextCore();
                wall = legs[i].nextWall();
            }
            bore = element.bore();
        }
        nextCore = core;
        nextWall = wall;
    }

    /** Number of the first core behind it. */
    final int nextCore;
    /** Number of the first wall behind it. */
    final int nextWall;

    private void step(int i, double from, double to) {
        if (!Double.isNaN(from) && !Double.isNaN(to) && Math.abs(to / from - 1) > SAME_BORE) {
            stepLoss[i] = DiameterChange.coefficient(from, to, Math.PI);
            stepBore[i] = Math.min(from, to);
        }
    }

    private static PipeSpec.Loss fixedLoss(PathElement element) {
        if (element instanceof PathElement.Pipe pipe) {
            return pipe.spec().loss();
        }
        if (element instanceof PathElement.Reducer r) {
            double angle = DiameterChange.includedAngle(r.inletBore(), r.bore(), r.length());
            return PipeSpec.Loss.fixed(
                    Math.min(r.inletBore(), r.bore()), DiameterChange.coefficient(r.inletBore(), r.bore(), angle));
        }
        if (element instanceof PathElement.Joint joint) {
            return PipeSpec.Loss.fixed(
                    joint.bore(), JointLoss.coefficient(joint.bore(), joint.hoseBore(), joint.gap()));
        }
        if (element instanceof PathElement.Throttle throttle) {
            return PipeSpec.Loss.fixed(throttle.bore(), ThrottleLoss.coefficient(throttle.bore(), throttle.shaft()));
        }
        return element instanceof PathElement.Injection injection ? PipeSpec.Loss.fixed(injection.bore(), 0) : null;
    }

    int size() {
        return size;
    }

    double pressureOut() {
        return pressure[size()];
    }

    double temperatureOut() {
        return temperature[size()];
    }

    /** @return the charge behind it, with its vapour */
    HumidAir gasOut() {
        return gas[size()];
    }

    /** @return kg of outside air in each m3 behind it */
    double airDensityOut() {
        return gasOut().density(pressureOut(), temperatureOut()) / march.mass(gasOut());
    }

    void start(double p, double t, HumidAir charge) {
        pressure[0] = p;
        temperature[0] = t;
        gas[0] = charge;
    }

    /** @param m kg/s of outside air @return false when the air chokes on the way */
    boolean pass(double m) {
        for (int i = 0; i < size(); i++) {
            if (!passOne(i, m) || !(pressure[i + 1] > 0)) {
                march.chokedAt = march.chokedAt == null ? elements.get(i) : march.chokedAt;
                return false;
            }
        }
        return true;
    }

    private boolean passOne(int i, double air) {
        PathElement element = elements.get(i);
        double m = air * march.mass(gas[i]);
        temperature[i + 1] = wallNumber[i] < 0 || element == march.free
                ? temperature[i]
                : march.cooling.behindWall(wallNumber[i], gas[i], m, temperature[i]);
        double entry = pressure[i];
        if (stepLoss[i] > 0 && element != march.free) {
            boolean through = march.state.set(gas[i], entry, temperature[i], m, area(stepBore[i]));
            if (!through || stepLoss[i] * march.state.head() > 0.5 * entry) {
                march.chokedAt = elements.get(elements.get(i - 1).bore() < element.inletBore() ? i - 1 : i);
                return false;
            }
            pressure[i] = entry - stepLoss[i] * march.state.head();
        }
        HumidAir before = gas[i + 1];
        gas[i + 1] = gas[i];
        boolean passed =
                element instanceof PathElement.Parallel ? legs[i].pass(this, i, air, before) : passPiece(element, i, m);
        if (element != march.free && element instanceof PathElement.Core) {
            double out = march.cooling.condensed(coreNumber[i]) / WATER_MOLAR_MASS / march.dryMoles(air);
            gas[i + 1] =
                    out > 0 ? carrying(gas[i], before, Math.max(gas[i].water() - out, 0), gas[i].methanol()) : gas[i];
        } else if (passed && element != march.free && element instanceof PathElement.Injection injection) {
            HumidAir behind = spray(injection, i, m);
            gas[i + 1] = carrying(behind, before, behind.water(), behind.methanol());
        }
        pressure[i] = entry;
        return passed;
    }

    /** @param before what went out the last time: kept where it carries the same @return the charge with so many moles of vapour for each of dry air */
    static HumidAir carrying(HumidAir gas, HumidAir before, double water, double methanol) {
        boolean same = before != null
                && Math.abs(before.water() - water) < SAME_VAPOUR
                && Math.abs(before.methanol() - methanol) < SAME_VAPOUR;
        return same ? before : gas.carrying(water, methanol);
    }

    /** @param blown outlet over inlet pressure of a blower @return Pa that its pieces took in a solved chain, without what blowers gave */
    double lost(double blown) {
        double sum = 0;
        for (int i = 0; i < size; i++) {
            if (!(elements.get(i) instanceof PathElement.Blower)) {
                sum += pressure[i] * (legs[i] != null && legs[i].blows() ? blown : 1) - pressure[i + 1];
            }
        }
        return sum;
    }

    /** @return Pa that the step of bore in front of a piece takes in a solved chain */
    double stepLossAt(int i, double m) {
        return stepLoss[i] > 0 && march.state.set(gas[i], pressure[i], temperature[i], m, area(stepBore[i]))
                ? stepLoss[i] * march.state.head()
                : 0;
    }

    private boolean passPiece(PathElement element, int i, double m) {
        double p = pressure[i];
        double t = temperature[i];
        boolean free = element == march.free;
        HumidAir air = gas[i];
        if (element instanceof PathElement.Blower blower) {
            passBlower(blower.spec(), i, m);
        } else if (element instanceof PathElement.Filter filter) {
            double share = m / filter.flow();
            temperature[i + 1] =
                    free ? t : t + filter.heatGain() + filter.bayShare() * (march.bay - march.ambient.temperature());
            pressure[i + 1] = free
                    ? p
                    : p
                            + filter.intake().gain(march.met)
                            - filter.lossNow()
                                    * share
                                    * share
                                    * PathElement.Filter.REFERENCE_DENSITY
                                    / air.density(p, t);
        } else if (element instanceof PathElement.Core) {
            temperature[i + 1] = march.cooling.outletTemperature(coreNumber[i], air, m, t);
            return free ? keep(i) : passCore(i, m);
        } else if (element instanceof PathElement.Plenum plenum) {
            if (!march.state.set(air, p, t, m, area(plenum.bore()))) {
                return false;
            }
            pressure[i + 1] = free ? p : p - march.state.head();
        } else {
            return free ? keep(i) : passPipe(fixedLoss[i], i, m);
        }
        return true;
    }

    private boolean keep(int i) {
        pressure[i + 1] = pressure[i];
        return true;
    }

    private void passBlower(BlowerSpec spec, int i, double m) {
        double p = pressure[i];
        double t = temperature[i];
        double most = spec.mostRatio(m, p, t);
        march.mostRatio = Math.min(march.mostRatio, most / march.ratioFactor);
        double ratio = march.atLimit ? most : march.ratio * march.ratioFactor;
        temperature[i + 1] = BlowerSpec.outletTemperature(gas[i], t, ratio, spec.efficiencyAt(m, p, t, ratio));
        pressure[i + 1] = p * ratio;
        march.blowerFlow = m;
        march.blowerPressure = p;
        march.blowerTemperature = t;
        march.blowerRatio = ratio;
    }

    private boolean passCore(int i, double m) {
        double p = pressure[i];
        double out = temperature[i + 1];
        double mean = (temperature[i] + out) / 2;
        double densityIn = gas[i].density(p, temperature[i]);
        CoreModel core = model[i];
        double loss = losses * core.loss(m, densityIn, gas[i].density(p, out), mean);
        if (loss > 0.5 * p) {
            return false;
        }
        // The loss itself thins the air on the way, by half of it in the mean.
        pressure[i + 1] = p - loss * (1 + loss / (2 * p));
        return true;
    }

    private HumidAir spray(PathElement.Injection injection, int i, double m) {
        double outside = march.ambient.pressure();
        InjectionCooling cooling = InjectionCooling.of(
                injection.spec(),
                gas[i],
                m,
                temperature[i],
                pressure[i + 1],
                march.target - outside,
                march.ambient.temperature(),
                sprayedTo[i]);
        sprayedTo[i] = cooling.temperature();
        temperature[i + 1] = cooling.temperature();
        return cooling.gas();
    }

    /** Loss on the velocity head at the middle of the run: one correction of the inlet estimate. */
    private boolean passPipe(PipeSpec.Loss pipe, int i, double m) {
        double p = pressure[i];
        double t = (temperature[i] + temperature[i + 1]) / 2;
        FlowState state = march.state;
        if (!state.set(gas[i], p, t, m, pipe.area())) {
            return false;
        }
        double reynolds = 4 * m / (Math.PI * pipe.bore() * gas[i].viscosity(state.temperature));
        double k = losses * pipe.coefficient(reynolds);
        double loss = k * state.head();
        if (loss > 0.5 * p || !state.set(gas[i], p - loss / 2, t, m, pipe.area())) {
            return false;
        }
        pressure[i + 1] = p - k * state.head();
        return true;
    }

    static double area(double bore) {
        return Math.PI / 4 * bore * bore;
    }
}

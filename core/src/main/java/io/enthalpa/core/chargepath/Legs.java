package io.enthalpa.core.chargepath;

import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.loss.JunctionLoss;

/**
 * Two chains side by side: finds the share of the flow through the first that leaves the same pressure behind both, or, where each
 * fills its own bank, that its bank asks for. Two blowers that blow into one pipe carry half each, for each is driven by its own half of the
 * engine; there the second one's ratio is found that leaves the same pressure. Keeps what it found as the start for the next march.
 */
final class Legs {
    private static final double TOLERANCE = 1e-10;
    /** Rounds in which the second of two blowers finds its ratio, and in which two legs find their shares: a choke for the march when they are used up. */
    private static final int MOST_ROUNDS = 30;

    private static final int MOST_TRIALS = 60;
    private static final double LEAST_SHARE = 0.01;
    final Chain[] chain = new Chain[2];
    final double[] splitLoss = new double[2];
    final double[] mergeLoss = new double[2];
    double share = 0.5;
    /** kg/s from the first bank's plenum to the second's. */
    double balanceFlow;
    /** Ratio of the second of two blowers over that of the first. */
    private double ratioFactor = 1;

    private final boolean blows;
    /** Blown into one pipe, not into a bank each. */
    private final boolean blown;

    private final PathElement.Parallel spec;
    private final March march;
    private final boolean ownAir;
    private final boolean banks;
    private final double commonArea;
    /** The charge of both together. */
    private HumidAir mixed;

    Legs(PathElement.Parallel spec, March march, ChargePath path, int firstCore, int firstWall, double boreBefore) {
        this.spec = spec;
        this.march = march;
        this.ownAir = Double.isNaN(boreBefore);
        this.banks = spec.endsInBanks();
        this.blows = spec.legs().get(0).path().stream().anyMatch(PathElement.Blower.class::isInstance);
        this.blown = blows && !banks;
        this.commonArea = ownAir ? Double.NaN : Chain.area(boreBefore);
        chain[0] = new Chain(spec.legs().get(0).path(), march, path, firstCore, firstWall, Double.NaN);
        chain[1] = new Chain(spec.legs().get(1).path(), march, path, chain[0].nextCore, chain[0].nextWall, Double.NaN);
    }

    int nextCore() {
        return chain[1].nextCore;
    }

    int nextWall() {
        return chain[1].nextWall;
    }

    /** @return whether blowers stand in its legs */
    boolean blows() {
        return blows;
    }

    boolean endsInBanks() {
        return banks;
    }

    /** @param m kg/s of outside air @param before the charge behind it the last time @return false when the air chokes in either leg at every share */
    boolean pass(Chain outer, int i, double m, HumidAir before) {
        mixed = before;
        return blown ? passBlown(outer, i, m) : passShared(outer, i, m);
    }

    private boolean passBlown(Chain outer, int i, double m) {
        double p = outer.pressure[i];
        double t = outer.temperature[i];
        HumidAir gas = outer.gas[i];
        if (!passLeg(0, 0.5, m, p, t, gas)) {
            return false;
        }
        double error = 0;
        for (int k = 0; k < MOST_ROUNDS; k++) {
            march.ratioFactor = ratioFactor;
            boolean passed = passLeg(1, 0.5, m, p, t, gas);
            march.ratioFactor = 1;
            if (!passed) {
                return false;
            }
            error = mergeError(0.5, m);
            if (Math.abs(error) < TOLERANCE || march.atLimit) {
                break;
            }
            ratioFactor *= 1 + Math.max(-0.2, Math.min(0.2, error));
        }
        leave(outer, i, 0.5);
        march.disagreement = Math.max(march.disagreement, march.atLimit ? 0 : Math.abs(error));
        if (march.atLimit) {
            // Each gives what it can; into one pipe the weaker one decides.
            outer.pressure[i + 1] =
                    Math.min(chain[0].pressureOut() - mergeLoss[0], chain[1].pressureOut() - mergeLoss[1]);
        }
        return outer.pressure[i + 1] > 0;
    }

    private boolean passShared(Chain outer, int i, double m) {
        double p = outer.pressure[i];
        double t = outer.temperature[i];
        HumidAir gas = outer.gas[i];
        double low = LEAST_SHARE;
        double high = 1 - LEAST_SHARE;
        double s = Math.max(low, Math.min(high, share));
        double before = Double.NaN;
        double errorBefore = Double.NaN;
        for (int k = 0; k < MOST_TRIALS; k++) {
            boolean first = passLeg(0, s, m, p, t, gas);
            boolean second = first && passLeg(1, 1 - s, m, p, t, gas);
            double next;
            if (!second) {
                high = first ? high : s;
                low = first ? s : low;
                next = (low + high) / 2;
                before = Double.NaN;
            } else {
                double error = banks ? bankError(s, m) : mergeError(s, m);
                if (Math.abs(error) < TOLERANCE) {
                    return leave(outer, i, s);
                }
                low = error > 0 ? s : low;
                high = error < 0 ? s : high;
                double slope = (error - errorBefore) / (s - before);
                next = Double.isNaN(before) ? s + Math.max(-0.02, Math.min(0.02, 0.3 * error)) : s - error / slope;
                if (!(next > low && next < high)) {
                    next = (low + high) / 2;
                }
                before = s;
                errorBefore = error;
            }
            if (high - low < 1e-13) {
                march.disagreement =
                        Math.max(march.disagreement, Double.isNaN(errorBefore) ? 1 : Math.abs(errorBefore));
                return second && leave(outer, i, s);
            }
            s = next;
        }
        return false;
    }

    private boolean passLeg(int leg, double part, double m, double p, double t, HumidAir gas) {
        splitLoss[leg] = 0;
        if (!ownAir) {
            if (!march.state.set(gas, p, t, m * march.mass(gas), commonArea)) {
                return false;
            }
            double speed = part * commonArea / Chain.area(spec.legs().get(leg).inletBore());
            splitLoss[leg] = JunctionLoss.split(speed, spec.splitAngle()) * march.state.head();
        }
        chain[leg].start(p - splitLoss[leg], t, gas);
        return p - splitLoss[leg] > 0 && chain[leg].pass(part * m);
    }

    /** Above zero when the first leg should carry more. */
    private double mergeError(double s, double m) {
        double area = Chain.area(spec.mergedBore());
        double[] speed = {
            s * area / Chain.area(spec.legs().get(0).outletBore()),
            (1 - s) * area / Chain.area(spec.legs().get(1).outletBore())
        };
        double momentum = (s * speed[0] + (1 - s) * speed[1]) * Math.cos(spec.mergeAngle());
        double mean = (chain[0].pressureOut() + chain[1].pressureOut()) / 2;
        double t = mix(s);
        if (!march.state.set(mixed, mean, t, m * march.mass(mixed), area)) {
            mergeLoss[0] = mergeLoss[1] = mean;
            return chain[0].pressureOut() - chain[1].pressureOut();
        }
        for (int k = 0; k < 2; k++) {
            mergeLoss[k] = spec == march.free ? 0 : JunctionLoss.merge(speed[k], momentum) * march.state.head();
        }
        return (chain[0].pressureOut() - mergeLoss[0] - chain[1].pressureOut() + mergeLoss[1]) / mean;
    }

    /** Above zero when the first leg should carry more: its bank draws more than it brings, less what crosses over. */
    private double bankError(double s, double m) {
        double first = chain[0].airDensityOut();
        double second = chain[1].airDensityOut();
        balanceFlow = spec.balance().map(this::crossing).orElse(0.0);
        return first / (first + second) + balanceFlow / m - s;
    }

    /** Through the balance tube, from the higher plenum; straight through zero so that it can be solved for. */
    private double crossing(PathElement.Balance tube) {
        double difference = chain[0].pressureOut() - chain[1].pressureOut();
        double density = chain[0].gasOut()
                .density(
                        (chain[0].pressureOut() + chain[1].pressureOut()) / 2,
                        (chain[0].temperatureOut() + chain[1].temperatureOut()) / 2);
        double small = 1;
        double root = Math.abs(difference) < small
                ? difference / Math.sqrt(small)
                : Math.signum(difference) * Math.sqrt(Math.abs(difference));
        return Chain.area(tube.bore()) * root * Math.sqrt(2 * density / tube.coefficient());
    }

    /** Leaves what both make together in {@link #mixed}. @return K of it */
    private double mix(double s) {
        HumidAir first = chain[0].gasOut();
        HumidAir second = chain[1].gasOut();
        mixed = first == second
                ? first
                : Chain.carrying(
                        first,
                        mixed,
                        s * first.water() + (1 - s) * second.water(),
                        s * first.methanol() + (1 - s) * second.methanol());
        double a = s * march.mass(first);
        double b = (1 - s) * march.mass(second);
        double enthalpy =
                a * first.enthalpy(chain[0].temperatureOut()) + b * second.enthalpy(chain[1].temperatureOut());
        return mixed.temperatureAtEnthalpy(
                enthalpy / (a + b), s * chain[0].temperatureOut() + (1 - s) * chain[1].temperatureOut());
    }

    private boolean leave(Chain outer, int i, double s) {
        share = s;
        outer.temperature[i + 1] = mix(s);
        outer.gas[i + 1] = mixed;
        outer.pressure[i + 1] =
                s * (chain[0].pressureOut() - mergeLoss[0]) + (1 - s) * (chain[1].pressureOut() - mergeLoss[1]);
        return outer.pressure[i + 1] > 0;
    }
}

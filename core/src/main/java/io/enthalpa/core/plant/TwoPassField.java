package io.enthalpa.core.plant;

import io.enthalpa.core.exchanger.DampCharge;

/**
 * Metal with the charge going there through one half and back through the other. Stacked, each half has its own cold air; one behind
 * the other, the second half has the cold air first and hands it to the first.
 */
final class TwoPassField implements MetalField {
    /** The halves see each other only through streams that the metal hardly changes within a step. */
    private static final int ROUNDS = 4;

    private final boolean behind;
    private final CoreField there;
    private final CoreField back;
    private double handed;
    private double heatOut;

    TwoPassField(boolean behind, double heatCapacity, double temperature) {
        this.behind = behind;
        int across = CoreField.ACROSS / 2;
        there = new CoreField(CoreField.ALONG, across, CoreField.Mixed.NONE, heatCapacity / 2, temperature);
        back = new CoreField(CoreField.ALONG, across, CoreField.Mixed.NONE, heatCapacity / 2, temperature);
        handed = temperature;
    }

    @Override
    public void step(
            double dt,
            double hotRate,
            double hotInlet,
            double hotToMetal,
            double coldRate,
            double coldInlet,
            double metalToCold,
            DampCharge damp) {
        double cold = behind ? coldRate : coldRate / 2;
        double[] thereBefore = behind ? there.snapshot() : null;
        double[] backBefore = behind ? back.snapshot() : null;
        for (int round = 0; round < (behind ? ROUNDS : 1); round++) {
            if (round > 0) {
                there.restore(thereBefore);
                back.restore(backBefore);
            }
            there.step(dt, hotRate, hotInlet, hotToMetal / 2, cold, behind ? handed : coldInlet, metalToCold / 2, damp);
            back.step(dt, hotRate, there.hotOut(), hotToMetal / 2, cold, coldInlet, metalToCold / 2, there.leaving());
            handed = coldInlet + back.heatOut() / (cold * dt);
        }
        heatOut = there.heatOut() + back.heatOut();
    }

    @Override
    public double coldest() {
        return Math.min(there.coldest(), back.coldest());
    }

    @Override
    public double condensed() {
        return there.condensed() + back.condensed();
    }

    @Override
    public double latent() {
        return there.latent() + back.latent();
    }

    @Override
    public double hotOut() {
        return back.hotOut();
    }

    @Override
    public double heatOut() {
        return heatOut;
    }

    @Override
    public double stored() {
        return there.stored() + back.stored();
    }

    @Override
    public int along() {
        return there.along();
    }

    @Override
    public int across() {
        return there.across() + back.across();
    }

    /** The way back is mirrored, so that both halves stand as they do in the core: ports at the left. */
    @Override
    public double[] snapshot() {
        int nx = along();
        int half = there.across();
        double[] first = there.snapshot();
        double[] second = back.snapshot();
        double[] all = new double[nx * 2 * half];
        for (int x = 0; x < nx; x++) {
            for (int y = 0; y < half; y++) {
                all[x * 2 * half + y] = first[x * half + y];
                all[x * 2 * half + half + y] = second[(nx - 1 - x) * half + y];
            }
        }
        return all;
    }
}

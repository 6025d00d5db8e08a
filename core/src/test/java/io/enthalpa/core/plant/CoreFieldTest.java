package io.enthalpa.core.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.exchanger.DampCharge;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;

/** The cells of a core against exponentials and an adaptive integrator. */
class CoreFieldTest {
    /** The same cells as coupled differential equations, by an adaptive integrator of eighth order. */
    @Test
    void adaptiveIntegratorAgrees() {
        int nx = 8;
        int ny = 4;
        double capacity = 5000;
        double hotRate = 180;
        double coldRate = 700;
        double hotInlet = 420;
        double coldInlet = 300;
        double ua = 260;
        CoreField field = new CoreField(nx, ny, CoreField.Mixed.NONE, capacity, 305);
        for (int i = 0; i < 80; i++) {
            field.step(0.25, hotRate, hotInlet, ua, coldRate, coldInlet, 1.3 * ua, DampCharge.DRY);
        }
        double[] end = new DormandPrince853Integrator(1e-6, 1, 1e-8, 1e-8)
                .integrate(
                        new CellEquations(nx, ny, capacity, hotRate, hotInlet, ua, coldRate, coldInlet, 1.3 * ua),
                        new ODEState(0, filled(nx * ny, 305)),
                        20)
                .getPrimaryState();
        assertThat(field.snapshot()).containsExactly(end, within(0.2));
    }

    /** Bare metal in a cold stream and no charge: every row cools as exp(-t/tau); the first row knows only the inlet. */
    @Test
    void bareMetalCoolsExponentially() {
        double rate = 500;
        double ua = 200;
        CoreField field = new CoreField(1, 1, CoreField.Mixed.NONE, 4000, 350);
        for (int i = 0; i < 20; i++) {
            field.step(1, 0, 350, 1, rate, 300, ua, DampCharge.DRY);
        }
        double tau = 4000 / (rate * -Math.expm1(-ua / rate));
        assertThat(field.snapshot()[0]).isCloseTo(300 + 50 * Math.exp(-20 / tau), within(1e-9));
    }

    private static double[] filled(int n, double value) {
        double[] values = new double[n];
        java.util.Arrays.fill(values, value);
        return values;
    }

    private record CellEquations(
            int nx,
            int ny,
            double capacity,
            double hotRate,
            double hotInlet,
            double hotUa,
            double coldRate,
            double coldInlet,
            double coldUa)
            implements OrdinaryDifferentialEquation {
        @Override
        public int getDimension() {
            return nx * ny;
        }

        @Override
        public double[] computeDerivatives(double t, double[] metal) {
            double[] hot = filled(ny, hotInlet);
            double[] cold = filled(nx, coldInlet);
            double hotReach = -Math.expm1(-hotUa / (nx * hotRate));
            double coldReach = -Math.expm1(-coldUa / (ny * coldRate));
            double[] rate = new double[nx * ny];
            for (int x = 0; x < nx; x++) {
                for (int y = 0; y < ny; y++) {
                    int i = x * ny + y;
                    double in = hotRate / ny * hotReach * (hot[y] - metal[i]);
                    double out = coldRate / nx * coldReach * (metal[i] - cold[x]);
                    rate[i] = (in - out) * nx * ny / capacity;
                    hot[y] += hotReach * (metal[i] - hot[y]);
                    cold[x] += coldReach * (metal[i] - cold[x]);
                }
            }
            return rate;
        }
    }
}

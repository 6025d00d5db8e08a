package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.ChargeCooling;
import io.enthalpa.core.chargepath.ChargePathSolver;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.steady.ChargeSystem;
import java.util.Arrays;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;

/**
 * One core in unmixed crossflow, with the outside air or a mixed loop on its cold side, as coupled differential equations for a general
 * integrator: the same cells, films and charge path as {@link EnduranceRun}, none of its steps. What the run is compared with, in
 * accuracy and in speed.
 */
public final class PlantEquations implements OrdinaryDifferentialEquation {
    private static final int NX = CoreField.ALONG;
    private static final int NY = CoreField.ACROSS;
    private final CooledCore core;
    private final Ambient ambient;
    private final ChargePathSolver solver;
    private final Duty duty;
    private final double capacity;
    private final double waterCapacity;
    private double chargeIn;
    private double chargeOut;
    private double rate;
    private Conductances films;
    private double coldRate;
    private double coldIn;

    public PlantEquations(ChargeSystem system, Duty duty) {
        this.core = system.cores().get(0);
        this.ambient = system.path().ambient();
        this.solver = new ChargePathSolver(system.path());
        this.duty = duty;
        this.capacity = core.cooler().heatCapacity() / (NX * NY);
        double at = ambient.temperature() + 15;
        this.waterCapacity = core.hasLoop()
                ? core.loop().spec().volume()
                        * core.loop().spec().coolant().density(at)
                        * core.loop().spec().coolant().heatCapacity(at)
                : 1;
    }

    @Override
    public int getDimension() {
        return NX * NY + 2;
    }

    private double[] start() {
        double[] state = new double[getDimension()];
        Arrays.fill(state, ambient.temperature() + duty.startAbove());
        return state;
    }

    @Override
    public double[] computeDerivatives(double t, double[] state) {
        OperatingPoint point = solve(t, state);
        double[] rates = new double[state.length];
        double[] hot = filled(NY, chargeIn);
        double[] cold = filled(NX, coldIn);
        double hotReach = -Math.expm1(-films.hotToMetal() / (NX * rate));
        double coldReach = -Math.expm1(-films.metalToCold() / (NY * coldRate));
        double given = 0;
        for (int x = 0; x < NX; x++) {
            for (int y = 0; y < NY; y++) {
                int i = x * NY + y;
                double in = rate / NY * hotReach * (hot[y] - state[i]);
                double out = coldRate / NX * coldReach * (state[i] - cold[x]);
                rates[i] = (in - out) / capacity;
                hot[y] += hotReach * (state[i] - hot[y]);
                cold[x] += coldReach * (state[i] - cold[x]);
                given += out;
            }
        }
        if (core.hasLoop()) {
            InletAir met = core.ownAir(point.roadSpeed());
            RadiatorMetal.Sides sides =
                    core.loop().radiatorSides(met, core.streamAt(met, coldIn, point.speed()), coldIn);
            double radiator = state[NX * NY + 1];
            double left = sides.water() * (coldIn + given / coldRate - radiator);
            rates[NX * NY] = (given - left) / waterCapacity;
            rates[NX * NY + 1] = (left - sides.air() * (radiator - met.inlet()))
                    / core.loop().radiatorMetal();
        }
        return rates;
    }

    /** The charge passes at once: path and core outlet agree at every moment. */
    private OperatingPoint solve(double t, double[] state) {
        Duty.Cursor cursor = duty.cursor();
        cursor.moveTo(t);
        OperatingPoint point = new OperatingPoint(cursor.speed(), cursor.boost(), cursor.roadSpeed());
        InletAir met = core.ownAir(point.roadSpeed());
        coldIn = core.hasLoop() ? state[NX * NY] : met.inlet();
        ColdStream cold = core.streamAt(met, coldIn, point.speed());
        coldRate = cold.capacityRate();
        chargeOut = Double.isFinite(chargeOut) && chargeOut > 0 ? chargeOut : state[0];
        ChargeCooling cooling = (k, gas, flow, inlet) -> {
            chargeIn = inlet;
            films = core.conductances(flow, (inlet + chargeOut) / 2, cold.flow(), coldIn);
            rate = flow * gas.heatCapacity((inlet + chargeOut) / 2);
            double reach = -Math.expm1(-films.hotToMetal() / (NX * rate));
            double sum = 0;
            for (int y = 0; y < NY; y++) {
                double stream = inlet;
                for (int x = 0; x < NX; x++) {
                    stream += reach * (state[x * NY + y] - stream);
                }
                sum += stream;
            }
            chargeOut = sum / NY;
            return chargeOut;
        };
        solver.advance(point, cooling);
        return point;
    }

    private static double[] filled(int n, double value) {
        double[] values = new double[n];
        Arrays.fill(values, value);
        return values;
    }

    /** @param times s, rising @return K of intake at each, by an adaptive integrator of eighth order */
    public double[] intakeAt(double... times) {
        double[] intake = new double[times.length];
        ODEState state = new ODEState(0, start());
        for (int k = 0; k < times.length; k++) {
            double[] end = new DormandPrince853Integrator(1e-4, 5, 1e-6, 1e-6)
                    .integrate(this, state, times[k])
                    .getPrimaryState();
            state = new ODEState(times[k], end);
            solve(times[k], end);
            intake[k] = solver.intakeTemperature();
        }
        return intake;
    }
}

package io.enthalpa.core.waterloop;

import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.CoolantLoss;
import io.enthalpa.core.fault.Budget;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.loss.DiameterChange;
import io.enthalpa.core.loss.FrictionFactor;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.exception.MathRuntimeException;

/** Finds the flow at which the pumps give just what hoses, fittings, core and radiator take. */
public final class LoopHydraulics {
    public static final Method METHOD = Method.of(
                    "loop-flow",
                    "Flow in a water loop",
                    "The flow at which all losses together are what the pumps still give. Hoses by friction and bends, fittings by Crane, core and radiator by card "
                            + "or geometry; every step of bore counts to the narrower piece beside it. In a closed loop height costs nothing; an open line must also lift the water "
                            + "from source to outfall. A flow measured by bucket and watch overrides all this.")
            .formula("sum p_pump(Q) = sum K rho v^2/2 + rho g (z_out - z_in)")
            .source(Citation.fromMemory("Crane", 2009, "Flow of Fluids, Technical Paper 410"), FrictionFactor.TURBULENT)
            .leavesOut("Branches of unequal ways; air in the line; cavitation at the pump's inlet.");
    private static final double GRAVITY = 9.80665;
    private static final double INTO_CHAMBER = 1;
    private static final double OUT_OF_CHAMBER = 0.5;
    /** Of the flow, sought to 1e-11 m3/s. */
    private static final int MOST_TRIALS = 100;

    private static final double LEAST_FLOW = 1e-7;
    private static final int HEADS = 16;

    private final WaterLoopSpec loop;
    private final CoresOnLoop cores;
    private final Radiator radiator;
    private final List<PipeSpec.Loss> own = new ArrayList<>();
    /** K of the steps beside each piece, on its own velocity head. */
    private final double[] steps;

    /** What every loss asks for, found once: K, kg/m3, Pa s of the coolant, rad/s of the engine. */
    private record Moment(double temperature, double density, double viscosity, double engineSpeed) {}

    private Moment moment(double temperature, double engineSpeed) {
        GlycolWater coolant = loop.coolant();
        return new Moment(temperature, coolant.density(temperature), coolant.viscosity(temperature), engineSpeed);
    }

    /** @param radiator null without one */
    public LoopHydraulics(WaterLoopSpec loop, ChargeCooler core, Radiator radiator) {
        this(loop, CoresOnLoop.alone(core), radiator);
    }

    /** @param radiator null without one */
    public LoopHydraulics(WaterLoopSpec loop, CoresOnLoop cores, Radiator radiator) {
        this.loop = loop;
        this.cores = cores;
        this.radiator = radiator;
        this.steps = new double[loop.pieces().size()];
        for (LoopPiece piece : loop.pieces()) {
            own.add(ownLoss(piece));
        }
        for (int i = 0; i < steps.length; i++) {
            step(i, (i + 1) % steps.length);
        }
    }

    private static PipeSpec.Loss ownLoss(LoopPiece piece) {
        if (piece instanceof LoopPiece.Hose hose) {
            return hose.spec().loss();
        }
        if (piece instanceof LoopPiece.Fitting f) {
            PipeSpec.Loss pipe = new PipeSpec(PipeMaterial.STEEL, f.bore(), f.length(), List.of()).loss();
            return new PipeSpec.Loss(
                    f.bore(),
                    pipe.relativeRoughness(),
                    pipe.roughnessTerm(),
                    pipe.slope(),
                    pipe.constant() + f.type().coefficient(f.bore()));
        }
        return piece.bore() > 0 ? PipeSpec.Loss.fixed(piece.bore(), 0) : null;
    }

    /** The step from a piece to the next, charged to the narrower one; an open line ends at its ends. */
    private void step(int from, int to) {
        LoopPiece a = loop.pieces().get(from);
        LoopPiece b = loop.pieces().get(to);
        if (b instanceof LoopPiece.Source || steps.length < 2) {
            return;
        }
        if (a.bore() == 0 && b.bore() > 0) {
            steps[to] += OUT_OF_CHAMBER;
        } else if (b.bore() == 0 && a.bore() > 0) {
            steps[from] += INTO_CHAMBER;
        } else if (a.bore() > 0) {
            double here = Math.sqrt(4 / Math.PI * a.area());
            double there = Math.sqrt(4 / Math.PI * b.area());
            steps[here <= there ? from : to] += DiameterChange.coefficient(here, there, Math.PI);
        }
    }

    /**
     * @param temperature K of the coolant
     * @param engineSpeed rad/s, for pumps that the engine drives
     */
    public LoopFlow at(double temperature, double engineSpeed) {
        return result(flow(temperature, engineSpeed), moment(temperature, engineSpeed));
    }

    /** @return m3/s */
    public double flow(double temperature, double engineSpeed) {
        return loop.measured().orElseGet(() -> solve(moment(temperature, engineSpeed)));
    }

    /** @return both curves at evenly spread flows, up to what the pumps move with nothing against them; empty without a pump */
    public List<LoopFlow.Head> heads(double temperature, double engineSpeed) {
        Moment now = moment(temperature, engineSpeed);
        double most = freeFlow(engineSpeed);
        List<LoopFlow.Head> heads = new ArrayList<>();
        for (int k = 0; k <= HEADS && most > 0; k++) {
            double flow = Math.max(most * k / HEADS, LEAST_FLOW);
            double given = 0;
            double taken = lift(now);
            for (int i = 0; i < steps.length; i++) {
                double loss = loss(i, flow, now);
                double rise = loop.pieces().get(i) instanceof LoopPiece.Pump pump
                        ? pump.spec().rise(flow / pump.beside(), engineSpeed)
                        : 0;
                given += rise;
                taken += loss + rise;
            }
            heads.add(new LoopFlow.Head(flow, given, taken));
        }
        return heads;
    }

    private double freeFlow(double engineSpeed) {
        double most = 0;
        for (LoopPiece piece : loop.pieces()) {
            if (piece instanceof LoopPiece.Pump pump) {
                most = Math.max(
                        most,
                        pump.beside()
                                * pump.spec().curve().freeFlow()
                                * pump.spec().speed(engineSpeed));
            }
        }
        return most;
    }

    private double solve(Moment now) {
        double most = freeFlow(now.engineSpeed);
        if (most <= 0 || surplus(LEAST_FLOW, now) <= 0) {
            return LEAST_FLOW;
        }
        double high = most;
        for (int i = 0; i < 20 && surplus(high, now) > 0; i++) {
            high *= 1.5;
        }
        try {
            return new BrentSolver(1e-9, 1e-11, 0.1).solve(MOST_TRIALS, q -> surplus(q, now), LEAST_FLOW, high);
        } catch (MathRuntimeException none) {
            throw Budget.spent("flow of the water loop", MOST_TRIALS);
        }
    }

    /** Pa that the pumps give beyond what the loop takes. */
    private double surplus(double flow, Moment now) {
        double sum = -lift(now);
        for (int i = 0; i < steps.length; i++) {
            sum -= loss(i, flow, now);
        }
        return sum;
    }

    /** @return Pa for the height between the ends of an open line */
    private double lift(Moment now) {
        return loop.isOpen() && steps.length > 0
                ? now.density
                        * GRAVITY
                        * (loop.pieces().get(steps.length - 1).height()
                                - loop.pieces().get(0).height())
                : 0;
    }

    private double loss(int i, double flow, Moment now) {
        LoopPiece piece = loop.pieces().get(i);
        double alone = flow / piece.beside();
        double through = 0;
        if (own.get(i) != null) {
            double velocity = flow / piece.area();
            double k = own.get(i).coefficient(reynolds(piece, velocity, now)) + steps[i];
            through = k * now.density * velocity * velocity / 2;
        }
        if (piece instanceof LoopPiece.Pump pump) {
            return through - pump.spec().rise(alone, now.engineSpeed);
        } else if (piece instanceof LoopPiece.CoreSide) {
            return cores.loss(flow * now.density, now.temperature);
        } else if (piece instanceof LoopPiece.RadiatorSide) {
            return radiator.waterLoss(flow * now.density, now.temperature);
        } else if (piece instanceof LoopPiece.ChillerSide chiller) {
            return CoolantLoss.water(chiller.loss(), flow / chiller.flow(), loop.coolant(), now.temperature);
        }
        return through;
    }

    private static double reynolds(LoopPiece piece, double velocity, Moment now) {
        return Math.max(velocity * piece.bore() * now.density / now.viscosity, 1e-6);
    }

    private LoopFlow result(double flow, Moment now) {
        int n = steps.length;
        double[] losses = new double[n];
        double taken = Math.max(lift(now), 0);
        double power = 0;
        boolean past = false;
        int narrowest = -1;
        for (int i = 0; i < n; i++) {
            losses[i] = loss(i, flow, now);
            LoopPiece piece = loop.pieces().get(i);
            if (piece instanceof LoopPiece.Pump pump) {
                double rise = pump.spec().rise(flow / pump.beside(), now.engineSpeed);
                power += pump.spec().power(flow, rise);
                past |= flow / pump.beside()
                        > pump.spec().curve().lastFlow() * pump.spec().speed(now.engineSpeed) * 1.001;
            } else {
                taken += losses[i];
                if (piece.bore() > 0
                        && (narrowest < 0
                                || piece.area() < loop.pieces().get(narrowest).area())) {
                    narrowest = i;
                }
            }
        }
        List<PieceLoss> pieces = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            LoopPiece piece = loop.pieces().get(i);
            boolean pump = piece instanceof LoopPiece.Pump;
            double velocity = piece.bore() == 0 ? 0 : flow / piece.area();
            double reynolds = piece instanceof LoopPiece.CoreSide
                    ? cores.reynolds(flow * now.density, now.temperature)
                    : piece.bore() == 0 ? 0 : reynolds(piece, velocity, now);
            pieces.add(new PieceLoss(piece, losses[i], pump || taken <= 0 ? 0 : losses[i] / taken, velocity, reynolds));
        }
        return new LoopFlow(flow, taken, power, pieces, narrowest, past);
    }
}

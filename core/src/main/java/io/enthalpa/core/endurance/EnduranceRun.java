package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.ChargePathSolver;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Water;
import java.util.ArrayList;
import java.util.List;

/**
 * Runs a system through a duty in equal steps. At each step the charge path is solved with the core outlet of the step before
 * (the gas is a thousand times quicker than the metal), then the metal and the water move on.
 */
public final class EnduranceRun {
    /** Cells along the charge and along the cold stream; finer changes the outlet by less than 0.1 K. */
    static final int ALONG = 16;
    static final int ACROSS = 8;
    private static final int FRAMES = 60;
    private static final double SHORTEST_STEP = 0.05;
    private static final double LONGEST_STEP = 0.5;
    private static final double STEPS_WANTED = 4000;
    /** While the engine is off nothing is quick: longest step then, s. */
    private static final double WAITING_STEP = 2;
    /** Engine speed below which the charge stands, rad/s. */
    private static final double STANDING = 1;

    private final ChargeSystem system;
    private final ChargePath path;
    private final HumidAir air;
    private final Ambient ambient;
    private final ChargePathSolver solver;
    private final CoreField field;
    private double water;
    private double coreOut;
    private double taken;
    private double rejected;

    private EnduranceRun(ChargeSystem system, double start) {
        this.system = system;
        this.path = system.path();
        this.ambient = path.ambient();
        this.air = ambient.air();
        this.solver = new ChargePathSolver(path);
        this.field = path.hasCore() ? new CoreField(ALONG, ACROSS, path.cooler().heatCapacity(), start) : null;
        this.water = start;
        this.coreOut = start;
    }

    /** @return the step that {@link #run} takes while the engine may run, s */
    public static double stepFor(Duty duty) {
        return Math.max(SHORTEST_STEP, Math.min(LONGEST_STEP, duty.repeats() * duty.runLength() / STEPS_WANTED));
    }

    /** @param duty already scaled to the boost asked for */
    public static Trace run(ChargeSystem system, Duty duty) {
        return run(system, duty, stepFor(duty));
    }

    /**
     * @param duty already scaled to the boost asked for
     * @param step s, above 0; shortened so that runs and waits end on a step
     */
    public static Trace run(ChargeSystem system, Duty duty, double step) {
        return new EnduranceRun(system, system.path().ambient().temperature() + duty.startAbove()).walk(duty, step);
    }

    /** Lengths of all steps: each run and each wait in equal ones. */
    private static double[] steps(Duty duty, double step) {
        int inRun = (int) Math.max(1, Math.ceil(duty.runLength() / step - 1e-9));
        int inWait = (int) Math.ceil(duty.waitTime() / Math.max(step, WAITING_STEP) - 1e-9);
        double[] steps = new double[duty.repeats() * inRun + (duty.repeats() - 1) * inWait];
        for (int i = 0; i < steps.length; i++) {
            steps[i] = i % (inRun + inWait) < inRun ? duty.runLength() / inRun : duty.waitTime() / inWait;
        }
        return steps;
    }

    private Trace walk(Duty duty, double step) {
        double[] duration = steps(duty, step);
        int n = duration.length;
        double[] time = new double[n];
        double[] speed = new double[n];
        double[] roadSpeed = new double[n];
        double[] boost = new double[n];
        double[] flow = new double[n];
        double[] coreIn = new double[n];
        double[] intake = new double[n];
        double[] coldIn = new double[n];
        boolean[] limited = new boolean[n];
        List<Trace.Frame> frames = new ArrayList<>();
        double storedAtStart = stored();
        Duty.Cursor cursor = duty.cursor();
        Moment last = null;
        double now = 0;
        for (int i = 0; i < n; i++) {
            double dt = duration[i];
            boolean running = cursor.moveTo(now + dt / 2) && cursor.speed() > STANDING;
            if (field != null && i >= frames.size() * (double) n / FRAMES) {
                frames.add(new Trace.Frame(now, ALONG, ACROSS, field.snapshot()));
            }
            if (running && (last == null || last.differs(cursor, coreOut))) {
                solver.advance(new OperatingPoint(cursor.speed(), cursor.boost(), cursor.roadSpeed()), (gas, m, in) -> coreOut);
                last = new Moment(cursor.speed(), cursor.boost(), coreOut);
            }
            now += dt;
            time[i] = now;
            speed[i] = cursor.speed();
            roadSpeed[i] = cursor.roadSpeed();
            flow[i] = running ? solver.flow() : 0;
            boost[i] = running ? solver.manifoldPressure() - ambient.pressure() : 0;
            limited[i] = running && solver.blowerLimited();
            coldIn[i] = system.hasLoop() ? water : ambient.temperature();
            coreIn[i] = running ? solver.temperatureAt(path.hasCore() ? path.coreIndex() : path.elements().size()) : coreOut;
            if (field != null) {
                cool(dt, flow[i], coreIn[i], cursor.roadSpeed());
            }
            intake[i] = field != null ? coreOut : coreIn[i];
        }
        EnergyAudit audit = new EnergyAudit(taken, stored() - storedAtStart, rejected);
        return new Trace(time, duration, speed, roadSpeed, boost, flow, coreIn, intake, coldIn, limited, frames, audit);
    }

    /** What the charge path was last solved for. */
    private record Moment(double speed, double boost, double coreOut) {
        boolean differs(Duty.Cursor cursor, double out) {
            return Math.abs(cursor.speed() - speed) > 1e-4 * speed || Math.abs(cursor.boost() - boost) > 5
                    || Math.abs(out - coreOut) > 0.02;
        }
    }

    private double stored() {
        if (field == null) {
            return 0;
        }
        return field.stored() + (system.hasLoop() ? waterHeatCapacity() * water : 0);
    }

    /** J/K of the loop's water; taken at the loop's mean working temperature so that it stays one number through a run. */
    private double waterHeatCapacity() {
        double at = ambient.temperature() + 15;
        return system.loop().volume() * Water.density(at) * Water.heatCapacity(at);
    }

    private void cool(double dt, double flow, double in, double roadSpeed) {
        ColdStream cold = system.coldStream(roadSpeed, water);
        // A standing charge neither brings nor takes heat; the films only matter when it flows.
        Conductances films = path.cooler().exchanger().conductances(Math.max(flow, 1e-6), cold.flow());
        double rate = flow * air.heatCapacity((in + coreOut) / 2);
        double coldInlet = system.hasLoop() ? water : ambient.temperature();
        field.step(dt, rate, in, films.hotToMetal(), cold.capacityRate(), coldInlet, films.metalToCold());
        coreOut = flow > 0 ? field.hotOut() : field.stored() / path.cooler().heatCapacity();
        if (flow > 0) {
            taken += flow * (air.enthalpy(in) - air.enthalpy(coreOut)) * dt;
        }
        if (system.hasLoop()) {
            relaxWater(dt, field.heatOut() / dt, cold);
        } else {
            rejected += field.heatOut();
        }
    }

    /**
     * The mixed water over a step under constant heat from the core: {@code C dT/dt = q (1 - G / Cw) - G (T - T_air)},
     * solved exactly. What the water did not keep, the radiator gave away.
     */
    private void relaxWater(double dt, double heat, ColdStream cold) {
        double capacity = waterHeatCapacity();
        double limit = ambient.temperature() + heat * cold.resistanceToSink();
        double radiator = 1 / (cold.resistanceToSink() + 1 / cold.capacityRate());
        double before = water;
        water = limit + (water - limit) * Math.exp(-radiator * dt / capacity);
        rejected += heat * dt - capacity * (water - before);
    }
}

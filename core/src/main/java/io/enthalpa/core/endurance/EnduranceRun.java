package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.ChargePathSolver;
import io.enthalpa.core.chargepath.CoreSlot;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;

/**
 * Runs a system through a duty in equal steps. At each step the charge path is solved with the core outlets of the step before
 * (the gas is a thousand times quicker than the metal), then the metal and the water move on.
 */
public final class EnduranceRun {
    public static final Method METHOD = Method.of("endurance", "Intake temperature over a duty",
                    "The metal of a core is a field of 16 by 8 cells along and across the charge. Gas passes without storing heat; in each cell it comes "
                            + "exponentially closer to the metal. Over a step each cell relaxes exactly and hands on the mean of the step, so that the accounts "
                            + "balance for any step. The loop's water relaxes exactly too. Steps: run length over 4000, from 0.05 to 0.5 s; 2 s while the engine is off.")
            .formula("C dT/dt = g (Th - T) - c (T - Tc) in each cell, g and c what the streams can carry to it")
            .source(Citation.fromMemory("Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., transient response"),
                    Citation.commonPractice("the run's steady end is checked against the steady solver within 1 %, its steps against an adaptive integrator within 0.2 K"))
            .leavesOut("Bay heat, pipe walls, sensor lag, hose delay, spread of the inputs.");
    private static final int FRAMES = 60;
    private static final double SHORTEST_STEP = 0.05;
    private static final double LONGEST_STEP = 0.5;
    private static final double STEPS_WANTED = 4000;
    /** While the engine is off nothing is quick: longest step then, s. */
    private static final double WAITING_STEP = 2;
    /** Engine speed below which the charge stands, rad/s. */
    private static final double STANDING = 1;

    private final ChargePath path;
    private final Ambient ambient;
    private final ChargePathSolver solver;
    private final AirSide air;
    private final List<CorePlant> plants = new ArrayList<>();
    /** The cores behind which no other follows: one, or one in each leg. */
    private final List<CorePlant> lastOnes = new ArrayList<>();
    private final double[] duration;

    private EnduranceRun(ChargeSystem system, Duty duty, double step) {
        this.path = system.path();
        this.ambient = path.ambient();
        this.solver = new ChargePathSolver(path);
        this.air = system.air();
        this.duration = steps(duty, step);
        double start = ambient.temperature() + duty.startAbove();
        for (CooledCore core : system.cores()) {
            plants.add(new CorePlant(core, ambient.air(), ambient.temperature(), start, duration.length));
        }
        findLastOnes();
    }

    private void findLastOnes() {
        List<CoreSlot> slots = path.cores();
        String lastRow = slots.isEmpty() ? "" : row(slots.get(slots.size() - 1));
        for (int k = 0; k < slots.size(); k++) {
            String row = row(slots.get(k));
            boolean beside = lastRow.endsWith("/legs/1/path") && row.equals(lastRow.replace("/legs/1/", "/legs/0/"));
            boolean lastOfRow = k + 1 == slots.size() || !row(slots.get(k + 1)).equals(row);
            if (lastOfRow && (row.equals(lastRow) || beside)) {
                lastOnes.add(plants.get(k));
            }
        }
    }

    /** The list of pieces that a core stands in. */
    private static String row(CoreSlot slot) {
        return slot.pointer().substring(0, slot.pointer().lastIndexOf('/'));
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
        return new EnduranceRun(system, duty, step).walk(duty);
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

    private Trace walk(Duty duty) {
        int n = duration.length;
        double[] time = new double[n];
        double[] speed = new double[n];
        double[] roadSpeed = new double[n];
        double[] boost = new double[n];
        double[] flow = new double[n];
        double[] blowerFlow = new double[n];
        double[] blowerRatio = new double[n];
        double[] intake = new double[n];
        double[] sprayed = new double[n];
        boolean[] limited = new boolean[n];
        int frames = 0;
        double storedAtStart = stored();
        Duty.Cursor cursor = duty.cursor();
        Moment last = null;
        double now = 0;
        double used = 0;
        boolean ran = true;
        double[] toAir = new double[plants.size()];
        for (int i = 0; i < n; i++) {
            double dt = duration[i];
            boolean running = cursor.moveTo(now + dt / 2) && cursor.speed() > STANDING;
            if (i >= frames * (double) n / FRAMES) {
                frames++;
                for (CorePlant plant : plants) {
                    plant.picture(now);
                }
            }
            double behindCores = behindCores();
            if (running && (last == null || last.differs(cursor, behindCores))) {
                solver.advance(new OperatingPoint(cursor.speed(), cursor.boost(), cursor.roadSpeed()), (core, gas, m, in) -> plants.get(core).ask(m, in));
                last = new Moment(cursor.speed(), cursor.boost(), behindCores);
            }
            now += dt;
            time[i] = now;
            speed[i] = cursor.speed();
            roadSpeed[i] = cursor.roadSpeed();
            flow[i] = running ? solver.flow() : 0;
            boost[i] = running ? solver.manifoldPressure() - ambient.pressure() : 0;
            blowerFlow[i] = running ? solver.blowerFlow() : 0;
            blowerRatio[i] = running ? solver.blowerRatio() : 1;
            limited[i] = running && solver.blowerLimited();
            used += running ? solver.sprayFlow() * dt : 0;
            sprayed[i] = used;
            OperatingPoint point = new OperatingPoint(running ? cursor.speed() : 0, cursor.boost(), cursor.roadSpeed());
            AirMeeting[] met = air.meet(air.flowsNear(cursor.roadSpeed()), cursor.roadSpeed(), toAir);
            boolean begins = running && !ran;
            ran = running;
            for (int k = 0; k < met.length; k++) {
                if (begins) {
                    plants.get(k).newRun();
                }
                plants.get(k).advance(i, dt, running, met[k], point);
                toAir[k] = plants.get(k).toAir();
            }
            intake[i] = intake(running, last);
        }
        EnergyAudit audit = new EnergyAudit(plants.stream().mapToDouble(CorePlant::taken).sum(), stored() - storedAtStart,
                plants.stream().mapToDouble(CorePlant::rejected).sum());
        return new Trace(time, duration, speed, roadSpeed, boost, flow, blowerFlow, blowerRatio, intake, ambient.temperature(), sprayed, limited,
                plants.stream().map(CorePlant::trace).toList(), audit);
    }

    /** The path was solved with the core outlets of the step before; the plenum follows what they are now. */
    private double intake(boolean running, Moment last) {
        if (running) {
            return plants.isEmpty() ? solver.intakeTemperature() : solver.intakeTemperature() + behindCores() - last.behindCores();
        }
        return plants.isEmpty() ? ambient.temperature() : behindCores();
    }

    /** K, mean of the charge behind the last cores; outside air without any. */
    private double behindCores() {
        double sum = 0;
        for (CorePlant plant : lastOnes) {
            sum += plant.charge();
        }
        return lastOnes.isEmpty() ? ambient.temperature() : sum / lastOnes.size();
    }

    private double stored() {
        return plants.stream().mapToDouble(CorePlant::stored).sum();
    }

    /** What the charge path was last solved for. */
    private record Moment(double speed, double boost, double behindCores) {
        boolean differs(Duty.Cursor cursor, double out) {
            return Math.abs(cursor.speed() - speed) > 1e-4 * speed || Math.abs(cursor.boost() - boost) > 5
                    || Math.abs(out - behindCores) > 0.02;
        }
    }
}

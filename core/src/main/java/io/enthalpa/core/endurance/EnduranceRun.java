package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.ChargeCooling;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.ChargePathSolver;
import io.enthalpa.core.chargepath.CoreSlot;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.coolingair.AirWay;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.plant.AirSide;
import io.enthalpa.core.plant.BayAir;
import io.enthalpa.core.plant.CorePlant;
import io.enthalpa.core.plant.CorePlants;
import io.enthalpa.core.plant.WallPlant;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.steady.ChargeSystem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Runs a system through a duty in equal steps. At each step the charge path is solved with the core outlets of the step before
 * (the gas is a thousand times quicker than the metal), then the metal and the water move on.
 */
public final class EnduranceRun {
    public static final Method METHOD = Method.of(
                    "endurance",
                    "Intake temperature over a duty",
                    "The metal of a core is a field of 16 by 8 cells along and across the charge. Gas passes without storing heat; in each cell it comes "
                            + "exponentially closer to the metal. Over a step each cell relaxes exactly and hands on the mean of the step, so that the accounts "
                            + "balance for any step. The loop's water relaxes exactly too. Steps: run length over 4000, from 0.05 to 0.5 s, and longer than that where a duty of many hours would take more than 12,000; "
                            + "while the engine is off 0.5 s for half a minute and then 2 s.")
            .formula("C dT/dt = g (Th - T) - c (T - Tc) in each cell, g and c what the streams can carry to it")
            .source(
                    Citation.fromMemory("Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., transient response"),
                    Citation.commonPractice(
                            "the run's steady end is checked against the steady solver within 1 %, its steps against an adaptive integrator within 0.2 K"))
            .leavesOut("What has condensed and is blown on as drops; end tanks, cones and joints hold no heat.");
    private static final int FRAMES = 60;
    /** The path is solved anew when the engine's speed has moved by more than this share, the boost by so many Pa, the charge behind the cores by so many K. */
    private static final double SAME_SPEED = 2e-3;

    private static final double SAME_BOOST = 50;
    private static final double SAME_CHARGE = 0.05;
    /** Of the charge path at each step. */
    private static final double TOLERANCE = 1e-5;

    private static final double SHORTEST_STEP = 0.05;
    private static final double LONGEST_STEP = 0.5;
    private static final double STEPS_WANTED = 4000;
    /** More than the eye or a judgement of a run of hours can use. */
    private static final double MOST_STEPS = 12_000;

    /** When the engine has been off for so long nothing is quick any more: longest step then, s. */
    private static final double SETTLING = 30;

    private static final double WAITING_STEP = 2;
    /** Engine speed below which the charge stands, rad/s. */
    private static final double STANDING = 1;

    private final ChargePath path;
    private final Ambient ambient;
    private final ChargePathSolver solver;
    private final AirSide air;
    private final CorePlants plants;
    /** The cores behind which no other follows: one, or one in each leg. */
    private final List<CorePlant> lastOnes = new ArrayList<>();

    private final List<WallPlant> walls = new ArrayList<>();
    private final BayAir bay;
    private final Sensor sensor;
    private final double sensorArea;
    private final double[] duration;
    private final Trace.Columns columns;
    private final double[][] stationT;
    private final double[][] stationP;
    private final double[][] wallT;
    /** Of each way of the air; null where it has no fan. */
    private final boolean[][] fans;

    /** Of each way, front first. */
    private final List<Trace.LayerAir> layers = new ArrayList<>();

    private final ChargeCooling asTheyStand = new AsTheyStand();
    /** Liquid that evaporates behind a core takes part of what the core has changed by since: its plenum is not simply so much warmer. */
    private final boolean sprayed;

    private Moment last;
    private double now;
    private double used;
    private boolean running;
    private boolean ran = true;

    private EnduranceRun(ChargeSystem system, Duty duty, Sensor sensor, double step) {
        this.path = system.path();
        this.ambient = path.ambient();
        this.solver = new ChargePathSolver(path, TOLERANCE);
        this.air = system.air();
        this.duration = steps(duty, step);
        this.columns = Trace.Columns.of(duration);
        this.sensor = sensor;
        double bore = path.elements().get(path.elements().size() - 1).bore();
        this.sensorArea = Math.PI / 4 * bore * bore;
        this.sprayed = !path.sprays().isEmpty();
        this.bay =
                new BayAir(path.bay(), ambient.temperature(), duty.rows().get(0).roadSpeed());
        double start = ambient.temperature() + duty.startAbove();
        this.plants = new CorePlants(system.cores(), ambient.air(), ambient.temperature(), start, duration.length);
        path.walls().forEach(wall -> walls.add(new WallPlant(wall, ambient, start)));
        stationT = new double[solver.stationNames().size()][duration.length];
        stationP = new double[stationT.length][duration.length];
        wallT = new double[walls.size()][duration.length];
        fans = new boolean[air.ways().size()][];
        for (AirWay way : air.ways()) {
            way.spec()
                    .layers()
                    .forEach(layer -> layers.add(new Trace.LayerAir(
                            way.spec().name(),
                            layer.name(),
                            layer.kind(),
                            new double[duration.length],
                            new double[duration.length])));
        }
        Arrays.setAll(fans, w -> air.ways().get(w).spec().fan().isPresent() ? new boolean[duration.length] : null);
        findLastOnes();
    }

    private void findLastOnes() {
        List<CoreSlot> slots = path.cores();
        for (int k = 0; k < slots.size(); k++) {
            Spot.Row row = slots.get(k).spot().row();
            Spot.Row lastRow = slots.get(slots.size() - 1).spot().row();
            boolean lastOfRow =
                    k + 1 == slots.size() || !slots.get(k + 1).spot().row().equals(row);
            if (lastOfRow && (row.equals(lastRow) || row.isBeside(lastRow))) {
                lastOnes.add(plants.cores().get(k));
            }
        }
    }

    /** @return the step that {@link #run} takes while the engine may run, s */
    public static double stepFor(Duty duty) {
        double running = duty.repeats() * duty.runLength();
        double usual = Math.max(SHORTEST_STEP, Math.min(LONGEST_STEP, running / STEPS_WANTED));
        return Math.max(usual, running / MOST_STEPS);
    }

    /** @param duty already scaled to the boost asked for */
    public static Trace run(ChargeSystem system, Duty duty) {
        return run(system, duty, Sensor.USUAL, stepFor(duty));
    }

    /** @param duty already scaled to the boost asked for */
    public static Trace run(ChargeSystem system, Duty duty, double step) {
        return run(system, duty, Sensor.USUAL, step);
    }

    /**
     * @param duty already scaled to the boost asked for
     * @param sensor at the plenum
     * @param step   s, above 0; shortened so that runs and waits end on a step
     */
    public static Trace run(ChargeSystem system, Duty duty, Sensor sensor, double step) {
        return new EnduranceRun(system, duty, sensor, step).walk(duty);
    }

    /** Lengths of all steps: equal ones in each run; in each wait first those in which hot metal and water come together, then longer ones. */
    private static double[] steps(Duty duty, double step) {
        double[] run = equal(duty.runLength(), step);
        if (duty.repeats() == 1) {
            return run;
        }
        double settling = Math.min(SETTLING, duty.waitTime());
        double[] first = equal(settling, Math.max(step, LONGEST_STEP));
        double[] then = equal(duty.waitTime() - settling, Math.max(step, WAITING_STEP));
        double[] cycle =
                Stream.of(first, then, run).flatMapToDouble(Arrays::stream).toArray();
        double[] all = Arrays.copyOf(run, run.length + (duty.repeats() - 1) * cycle.length);
        for (int k = run.length; k < all.length; k += cycle.length) {
            System.arraycopy(cycle, 0, all, k, cycle.length);
        }
        return all;
    }

    private static double[] equal(double length, double step) {
        double[] steps = new double[(int) Math.ceil(length / step - 1e-9)];
        Arrays.fill(steps, length / steps.length);
        return steps;
    }

    private Trace walk(Duty duty) {
        double storedAtStart = stored();
        Duty.Cursor cursor = duty.cursor();
        int frames = 0;
        for (int i = 0; i < duration.length; i++) {
            if ((i & 63) == 0 && Thread.currentThread().isInterrupted()) {
                throw new CancellationException("nobody waits for this run any more");
            }
            running = cursor.moveTo(now + duration[i] / 2) && cursor.speed() > STANDING;
            if (i >= frames * (double) duration.length / FRAMES) {
                frames++;
                for (CorePlant plant : plants.cores()) {
                    plant.picture(now);
                }
            }
            step(i, cursor);
        }
        EnergyAudit audit = new EnergyAudit(
                plants.taken() + ofWalls(WallPlant::taken),
                stored() - storedAtStart,
                plants.rejected() + ofWalls(WallPlant::rejected),
                plants.latent());
        List<String> names = solver.stationNames();
        return new Trace(
                columns,
                ambient.temperature(),
                plants.cores().stream().map(CorePlant::trace).toList(),
                IntStream.range(0, names.size())
                        .mapToObj(k -> new Trace.Station(names.get(k), stationT[k], stationP[k]))
                        .toList(),
                IntStream.range(0, walls.size())
                        .mapToObj(k -> new Trace.Wall(
                                path.walls().get(k).name(), path.walls().get(k).spot(), wallT[k]))
                        .toList(),
                IntStream.range(0, fans.length)
                        .filter(w -> fans[w] != null)
                        .mapToObj(w -> new Trace.Fan(air.ways().get(w).spec().name(), fans[w]))
                        .toList(),
                layers,
                audit);
    }

    private void step(int i, Duty.Cursor cursor) {
        double dt = duration[i];
        double roadSpeed = cursor.roadSpeed();
        if (running && (last == null || last.differs(cursor, behindCores(), wallSum(), bay.temperature()))) {
            solver.bayAir(bay.temperature());
            solver.advance(new OperatingPoint(cursor.speed(), cursor.boost(), roadSpeed), asTheyStand);
            last = new Moment(cursor.speed(), cursor.boost(), behindCores(), wallSum(), bay.temperature());
        }
        now += dt;
        record(i, dt, cursor);
        OperatingPoint point = new OperatingPoint(running ? cursor.speed() : 0, cursor.boost(), roadSpeed);
        AirSide.Meeting met = air.meet(air.flowsNear(roadSpeed, running), point, plants.toAir());
        record(i, met);
        if (running && !ran) {
            plants.newRun();
        }
        ran = running;
        plants.advance(
                i,
                dt,
                running,
                running ? solver.manifoldPressure() : ambient.pressure(),
                bay.temperature(),
                met.inlets(),
                point);
        for (int k = 0; k < walls.size(); k++) {
            walls.get(k).advance(dt, running, bay.temperature(), bay.warm(), roadSpeed);
            wallT[k][i] = walls.get(k).temperature();
        }
        bay.advance(dt, running, roadSpeed);
        columns.bay()[i] = bay.temperature();
        columns.intake()[i] = intake();
        double before = i == 0 ? columns.intake()[0] : columns.shown()[i - 1];
        columns.shown()[i] = sensor.after(before, columns.intake()[i], columns.flow()[i] / sensorArea, dt);
    }

    private void record(int i, AirSide.Meeting met) {
        int k = 0;
        for (AirWay.Warmth way : met.ways()) {
            for (int layer = 0; layer < way.air().length; layer++) {
                layers.get(k).in()[i] = way.air()[layer];
                layers.get(k).out()[i] = way.out()[layer];
                k++;
            }
        }
    }

    private void record(int i, double dt, Duty.Cursor cursor) {
        columns.time()[i] = now;
        columns.speed()[i] = cursor.speed();
        columns.roadSpeed()[i] = cursor.roadSpeed();
        columns.asked()[i] = cursor.boost();
        columns.flow()[i] = running ? solver.flow() : 0;
        columns.loss()[i] = running ? solver.loss() : 0;
        for (int w = 0; w < fans.length; w++) {
            if (fans[w] != null) {
                fans[w][i] = air.ways().get(w).blows(cursor.roadSpeed(), running);
            }
        }
        columns.boost()[i] = running ? solver.manifoldPressure() - ambient.pressure() : 0;
        columns.blowerFlow()[i] = running ? solver.blowerFlow() : 0;
        columns.blowerRatio()[i] = running ? solver.blowerRatio() : 1;
        columns.limited()[i] = running && solver.blowerLimited();
        used += running ? solver.sprayFlow() * dt : 0;
        columns.sprayed()[i] = used;
        for (int k = 0; k < stationT.length; k++) {
            stationT[k][i] = running ? solver.temperatureBehind(k) : ambient.temperature();
            stationP[k][i] = running ? solver.pressureBehind(k) : ambient.pressure();
        }
    }

    /** Cores and walls as the last step left them: the charge passes quicker than they change. */
    private final class AsTheyStand implements ChargeCooling {
        @Override
        public double outletTemperature(int core, HumidAir gas, double flow, double inlet) {
            return plants.cores().get(core).ask(gas, flow, inlet);
        }

        @Override
        public double condensed(int core) {
            return plants.cores().get(core).condensed();
        }

        @Override
        public double behindWall(int wall, HumidAir gas, double flow, double inlet) {
            return walls.get(wall).ask(gas, flow, inlet);
        }
    }

    /** The path was solved with the core outlets of the step before; the plenum follows what they are now. Standing charge is as warm as what it stands in. */
    private double intake() {
        if (running && sprayed) {
            solver.again();
            return solver.intakeTemperature();
        }
        if (running) {
            return plants.cores().isEmpty()
                    ? solver.intakeTemperature()
                    : solver.intakeTemperature() + behindCores() - last.behindCores();
        }
        return walls.isEmpty() ? behindCores() : walls.get(walls.size() - 1).temperature();
    }

    /** K, mean of the charge behind the last cores; outside air without any. */
    private double behindCores() {
        double sum = 0;
        for (CorePlant plant : lastOnes) {
            sum += plant.charge();
        }
        return lastOnes.isEmpty() ? ambient.temperature() : sum / lastOnes.size();
    }

    private double wallSum() {
        double sum = 0;
        for (WallPlant wall : walls) {
            sum += wall.temperature();
        }
        return sum;
    }

    private double ofWalls(ToDoubleFunction<WallPlant> of) {
        return walls.stream().mapToDouble(of).sum();
    }

    private double stored() {
        return plants.stored() + ofWalls(WallPlant::stored);
    }

    /** What the charge path was last solved for. */
    private record Moment(double speed, double boost, double behindCores, double walls, double bay) {
        boolean differs(Duty.Cursor cursor, double out, double wallsNow, double bayNow) {
            return Math.abs(cursor.speed() - speed) > SAME_SPEED * speed
                    || Math.abs(cursor.boost() - boost) > SAME_BOOST
                    || Math.abs(out - behindCores) > SAME_CHARGE
                    || Math.abs(wallsNow - walls) > 0.05
                    || Math.abs(bayNow - bay) > 0.05;
        }
    }
}

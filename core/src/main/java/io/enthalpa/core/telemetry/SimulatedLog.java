package io.enthalpa.core.telemetry;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** A log of a drive that never was: what the model says, seen through slow and noisy sensors. Whoever shows it says that it is simulated. */
public final class SimulatedLog {
    public static final Method METHOD = Method.of(
                    "simulated-log",
                    "A simulated log",
                    "The model's own run, ten rows a second, read through sensors as slow as the intake's. Temperatures wander by 0.25 K, boost by 0.7 kPa, engine speed by 12 rpm, road speed by 0.3 km/h (one standard deviation, "
                            + "each row for itself); temperatures are told to a tenth of a kelvin. The seed makes it the same again.")
            .source(Citation.commonPractice("noise of an ordinary logger and its sensors"))
            .leavesOut("Dropped rows, drift, and everything the model leaves out.");
    private static final double HZ = 10;
    private static final double KELVIN_NOISE = 0.25;
    private static final double KELVIN_STEP = 0.1;
    private static final double BOOST_NOISE = 700;
    private static final double SPEED_NOISE = 12 * Math.PI / 30;
    private static final double ROAD_NOISE = 0.3 / 3.6;
    private static final double FLOW_NOISE = 0.2 / 60e3;
    /** Of the crankshaft, under which nothing turns. */
    private static final double STANDS = 1;

    private SimulatedLog() {}

    /** @return the channels that a run of this option has sensors for, in the order of its rows */
    public static List<Channel> channels(Answer answer, Trace trace) {
        List<Channel> channels =
                new ArrayList<>(List.of(Channel.ROAD_SPEED, Channel.ENGINE_SPEED, Channel.BOOST, Channel.OUTSIDE));
        channels.addAll(Beside.predicted(trace, new double[0], answer.targets().sensor())
                .keySet());
        return channels.stream().sorted().toList();
    }

    /** @param channels that the car has sensors for */
    public static void write(Answer answer, Trace trace, List<Channel> channels, long seed, RowTaker taker) {
        int rows = (int) Math.floor(trace.time()[trace.length() - 1] * HZ) + 1;
        double[] time = new double[rows];
        for (int i = 0; i < rows; i++) {
            time[i] = i / HZ;
        }
        Map<Channel, double[]> shown =
                Beside.predicted(trace, time, answer.targets().sensor());
        double[] speed = Beside.at(trace, trace.speed(), time);
        double[] boost = Beside.at(trace, trace.boost(), time);
        double[] road = Beside.at(trace, trace.roadSpeed(), time);
        double outside = trace.outside();
        Random noise = new Random(seed);
        double[] row = new double[channels.size()];
        for (int i = 0; i < rows; i++) {
            for (int c = 0; c < row.length; c++) {
                row[c] = switch (channels.get(c)) {
                    case ENGINE_SPEED ->
                        speed[i] < STANDS ? 0 : Math.max(speed[i] + SPEED_NOISE * noise.nextGaussian(), 0);
                    case BOOST -> boost[i] + BOOST_NOISE * noise.nextGaussian();
                    case ROAD_SPEED ->
                        road[i] < ROAD_NOISE ? 0 : Math.max(road[i] + ROAD_NOISE * noise.nextGaussian(), 0);
                    case OUTSIDE -> kelvin(outside, noise);
                    case WATER_FLOW ->
                        Math.max(shown.get(Channel.WATER_FLOW)[i] + FLOW_NOISE * noise.nextGaussian(), 0);
                    default -> kelvin(shown.get(channels.get(c))[i], noise);
                };
            }
            taker.row(time[i], row);
        }
    }

    private static double kelvin(double truth, Random noise) {
        double read = truth + KELVIN_NOISE * noise.nextGaussian();
        return Math.round(read / KELVIN_STEP) * KELVIN_STEP;
    }
}

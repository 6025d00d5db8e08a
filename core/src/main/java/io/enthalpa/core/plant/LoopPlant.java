package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.waterloop.ChillerSpec;
import java.util.Arrays;

/** A water loop while a run goes on: each step it is begun, hears what every core on it gives, and is ended. */
final class LoopPlant {
    /** K between water and air below which a radiator's effectiveness says nothing. */
    private static final double LEAST_SPAN = 2;

    private final CoolingLoop loop;
    private final WaterSide water;
    private final double outside;
    private final double chillerFactor;
    /** J from the cores of each stage within the step. */
    private final double[] given;

    private ColdStream stream;
    private double rate;
    private double feed;
    private double dt;
    private InletAir met;
    private boolean chills;

    LoopPlant(CoolingLoop loop, double outside, double start, Perturbation perturbation) {
        this.loop = loop;
        this.outside = outside;
        this.chillerFactor = perturbation.factor(UncertainInput.CHILLER_CAPACITY);
        this.water = new WaterSide(
                loop.spec(),
                loop.startWater(start),
                outside,
                perturbation.factor(UncertainInput.ICE_CONTACT),
                loop.radiatorMetal(),
                loop.waterInside());
        this.given = new double[loop.members().cores().size()];
    }

    CoolingLoop loop() {
        return loop;
    }

    /** Hears what a step will be like. @return s that it may be walked in at most, in parts of it */
    double longestStep(OperatingPoint point) {
        stream = loop.stream(water.out(), point.speed());
        rate = Math.max(stream.capacityRate(), CoolingLoop.LEAST_RATE);
        return water.longestStep(rate);
    }

    /** Sends the water on its way. @param bay K of the air round it @param air at its radiator */
    void begin(double step, double bay, boolean running, InletAir air, OperatingPoint point) {
        dt = step;
        met = air;
        ChillerSpec chiller = loop.spec().chiller().orElse(null);
        chills = chiller != null && chiller.worksAt(running ? point.boost() : 0) && (running || chiller.whileWaiting());
        water.standIn(bay);
        feed = water.send(new WaterSide.Step(
                dt,
                rate,
                loop.radiatorSides(met, stream, water.out()),
                met.inlet(),
                chills ? chiller.slope(outside) * chillerFactor : 0,
                chills ? chiller.zeroAt() : 0,
                chills ? chiller.coldest() : 0));
        Arrays.fill(given, 0);
    }

    /** @return all of its water in this step */
    ColdStream stream() {
        return stream;
    }

    /** @return K of the water at a stage, mean of the step: those before it have given their heat */
    double inlet(int stage) {
        double warmer = 0;
        for (int s = 0; s < stage; s++) {
            warmer += given[s] / dt / rate;
        }
        return feed + warmer;
    }

    /** @param heat J that a core of a stage gave within the step */
    void take(int stage, double heat) {
        given[stage] += heat;
    }

    /** @return J from all cores within the step */
    double given() {
        double sum = 0;
        for (double heat : given) {
            sum += heat;
        }
        return sum;
    }

    /** All cores have given their heat. */
    void end() {
        water.take(given() / dt);
    }

    /** Another run begins. */
    void newRun() {
        water.refill();
    }

    double stored() {
        return water.stored();
    }

    /** @return J for good, so far */
    double rejected() {
        return water.rejected();
    }

    /** @return W given to the air by the radiator, mean of the last step */
    double toAir() {
        return water.toAir();
    }

    private double radiator() {
        double span = water.toRadiator() - met.inlet();
        double least = Math.min(rate, met.flow() * loop.airHeatCapacity(met));
        return loop.hasRadiator() && span > LEAST_SPAN && least > 0 ? water.toAir() / (least * span) : Double.NaN;
    }

    /**
     * Writes down how it stands after a step or a part of one.
     *
     * @param weight of that part
     * @param part   of its heat that came from the core whose trace this is
     */
    void note(CoreTrace.Cold cold, int i, double weight, double part, double share, OperatingPoint point) {
        cold.water()[i] = loop.waterFlow(water.out(), point.speed()) * share;
        cold.tank()[i] = water.out();
        cold.ice()[i] = water.ice();
        cold.chilled()[i] += weight * water.chilled() * part;
        cold.chills()[i] = chills;
        cold.radiator()[i] = radiator();
        cold.pump()[i] = loop.isPumped(point.speed());
        cold.rejected()[i] += weight * water.toAir() * part;
    }
}

package io.enthalpa.core.chargepath;

import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.fluid.HumidAir;

/** A core held at one point until nothing changes any more, against a cold stream of constant flow and inlet temperature. */
public final class SteadyCooling {
    private final ChargeCooler core;
    private final ColdStream cold;
    private final int mostRounds;
    private static final int MOST_ROUNDS = 20;
    private static final double TOLERANCE = 1e-7;
    /** Kelvin: a step not longer than this, taken by the slope known, ends within {@link #TOLERANCE}. */
    private static final double LAST_STEP = 1e-5;

    /** How far down the charge came last, of the way to the sink: the start for the next search. */
    private double reached = 0.7;
    /** Kelvin by which the answer to a guess moves for each that the guess moves, small: of the last search; unknown before the first. */
    private double echo = Double.NaN;

    private double unsettled;

    public SteadyCooling(ChargeCooler core, ColdStream cold) {
        this(core, cold, MOST_ROUNDS);
    }

    SteadyCooling(ChargeCooler core, ColdStream cold, int mostRounds) {
        this.core = core;
        this.cold = cold;
        this.mostRounds = mostRounds;
    }

    /** @return K by which the outlet still moved when the last search had used up its rounds; 0 when it came to its tolerance */
    public double unsettled() {
        return unsettled;
    }

    /**
     * The outlet that the core's transfer at that outlet gives: by the secant method, which starts with the slope of the search before.
     *
     * @param flow  kg/s of charge
     * @param inlet K
     * @return K of the charge behind the core, to 1e-7 unless {@link #unsettled()} says otherwise
     */
    public double outletTemperature(HumidAir air, double flow, double inlet) {
        double span = inlet - cold.sinkTemperature();
        double h1 = air.enthalpy(inlet);
        double outlet = inlet - reached * span;
        double guessBefore = Double.NaN;
        double missBefore = Double.NaN;
        for (int i = 0; i < mostRounds; i++) {
            double miss = answerTo(outlet, air, flow, inlet, h1) - outlet;
            double slope = 1 + (miss - missBefore) / (outlet - guessBefore);
            echo = Math.abs(slope) < 0.5 ? slope : echo;
            guessBefore = outlet;
            missBefore = miss;
            double step = Double.isNaN(echo) ? miss : miss / (1 - echo);
            outlet += step;
            unsettled = Math.abs(step) < (Double.isNaN(echo) ? TOLERANCE : LAST_STEP) ? 0 : Math.abs(step);
            if (unsettled == 0) {
                break;
            }
        }
        if (span > 1) {
            reached = (inlet - outlet) / span;
        }
        return outlet;
    }

    /** @return K of the charge behind the core when its films are those of a guessed outlet */
    private double answerTo(double guess, HumidAir air, double flow, double inlet, double h1) {
        double perKelvin = transfer(air, flow, inlet, guess).conductancePerKelvin();
        double span = inlet - cold.sinkTemperature();
        double heat = perKelvin * span / (1 + perKelvin * cold.resistanceToSink());
        return air.temperatureAtEnthalpy(h1 - heat / flow, guess);
    }

    /** @return the core's transfer when the charge goes from inlet to outlet, K both */
    public HeatTransfer transfer(HumidAir air, double flow, double inlet, double outlet) {
        double cp = air.heatCapacity((inlet + outlet) / 2);
        double rate = flow * cp;
        double coldMean = cold.inletAt(rate * (inlet - outlet)) + rate * (inlet - outlet) / cold.capacityRate() / 2;
        return core.transfer(flow, rate, (inlet + outlet) / 2, cold.flow(), cold.capacityRate(), coldMean);
    }

    /**
     * The stream that takes the heat.
     *
     * @param flow             kg/s
     * @param capacityRate     W/K
     * @param sinkTemperature  K of the air that takes the heat in the end
     * @param resistanceToSink K/W from the stream's inlet at the core to the sink: 0 when the stream is that air itself,
     *                         {@code 1/G - 1/C} for a loop with a radiator that moves G for each kelvin between its inlets
     */
    public record ColdStream(double flow, double capacityRate, double sinkTemperature, double resistanceToSink) {
        /** @param heat W taken from the charge @return K of the stream where it enters the core */
        public double inletAt(double heat) {
            return sinkTemperature + heat * resistanceToSink;
        }

        /** @param heat W that the stream carries to its sink beside what the charge's own cooling gives */
        public ColdStream carrying(double heat) {
            return heat == 0 || resistanceToSink == 0
                    ? this
                    : new ColdStream(flow, capacityRate, sinkTemperature + heat * resistanceToSink, resistanceToSink);
        }
    }
}

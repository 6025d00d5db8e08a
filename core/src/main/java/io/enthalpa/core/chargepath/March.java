package io.enthalpa.core.chargepath;

import io.enthalpa.core.fluid.HumidAir;

/** What all pieces of a path need to know while the air is carried through them once. */
final class March {
    final Ambient ambient;
    /** As it comes in from outside. */
    final HumidAir air;

    final FlowState state = new FlowState();
    ChargeCooling cooling = ChargeCooling.NONE;
    /** Pressure ratio of every blower; ignored where {@link #atLimit}. */
    double ratio;
    /** On top of the ratio in the second of two legs that blow into one pipe; 1 elsewhere. */
    double ratioFactor = 1;
    /** Every blower makes the most it can at its flow. */
    boolean atLimit;
    /** The least of what the blowers passed could make at their flow, set by each march. */
    double mostRatio;
    /** K of the air in the engine bay. */
    double bay;
    /** Pa of the outside air that is met on the road, were it stopped. */
    double met;
    /** Absolute pressure in the manifold that is asked for, Pa. */
    double target;
    /** A piece that costs nothing while its price is looked for; null for none. */
    PathElement free;
    /** What the blower passed last worked at: kg/s, Pa and K at its inlet, ratio. */
    double blowerFlow;

    double blowerPressure;
    double blowerTemperature;
    double blowerRatio;
    /** By which share of the pressure two legs still disagree behind their merge, at most in this march; 0 without legs. */
    double disagreement;
    /** Where the air choked; null when it went through. */
    PathElement chokedAt;

    March(Ambient ambient) {
        this.ambient = ambient;
        this.air = ambient.air();
        this.bay = ambient.temperature();
    }

    /** What the moment asks for, to be found by every blower at one ratio. */
    void ask(OperatingPoint point) {
        target = ambient.pressure() + point.boost();
        met = air.density(ambient.pressure(), ambient.temperature()) * point.roadSpeed() * point.roadSpeed() / 2;
        atLimit = false;
    }

    /** @return kg of a charge for each kg of the outside air in it */
    double mass(HumidAir gas) {
        return gas == air ? 1 : gas.massPerDryMole() / air.massPerDryMole();
    }

    /** @param m kg/s of outside air @return mol/s of dry air in it */
    double dryMoles(double m) {
        return m / air.massPerDryMole();
    }
}

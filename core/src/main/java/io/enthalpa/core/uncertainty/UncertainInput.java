package io.enthalpa.core.uncertainty;

/** An input that is seldom known exactly, with the spread that common practice leaves it (no source), or a formula with half of what its authors publish. */
public enum UncertainInput {
    /** Of the blower, relative. */
    BLOWER_EFFICIENCY(0.05, Concerns.BUILD),
    /** How well the cylinders fill, relative: decides the air flow. */
    VOLUMETRIC_EFFICIENCY(0.05, Concerns.BUILD),
    /** Of the core, relative. */
    CORE_CONDUCTANCE(0.10, Concerns.CORE),
    /** Air at the face of core or radiator, relative, where it is a share of road speed or made by a way. */
    COOLING_AIR(0.20, Concerns.AIR),
    /** Of a loop whose pump and hoses are only known by their curves, relative. */
    WATER_FLOW(0.15, Concerns.WATER),
    /** Of the radiator, relative. */
    RADIATOR_CONDUCTANCE(0.10, Concerns.WATER),
    /** K. */
    OUTSIDE_AIR(2, Concerns.DAY),
    /** K of core and water at the start. */
    START(4, Concerns.DAY),
    /** Rise of the bay, relative. */
    BAY(0.25, Concerns.BUILD),
    /** Ice against its water, relative. */
    ICE_CONTACT(0.3, Concerns.WATER),
    /** Relative. */
    CHILLER_CAPACITY(0.15, Concerns.WATER),
    /** How unevenly a core's water ports share the water out, relative. */
    WATER_PORTS(0.4, Concerns.CORE),
    /** What the formula of the charge fins misses by, of a core by its geometry; relative. */
    CHARGE_FINS(0.1, Concerns.CORE),
    /** What that of the cooling fins does. */
    COLD_FINS(0.1, Concerns.CORE),
    /** What those of pipes, bends and the core lose, relative: bends as published within 20 to 40 %. */
    PATH_LOSSES(0.15, Concerns.BUILD),
    /** Time constant of the sensors, relative: open tips 2 to 5 s, closed ones 10 to 20; only what they show hangs on it. */
    SENSOR_LAG(0.4, Concerns.BUILD);

    /** What an unknown goes with. */
    public enum Concerns {
        /** The same in every option of a build. */
        BUILD,
        /** With the core. */
        CORE,
        /** With where the cooling air comes from. */
        AIR,
        /** With the water loop. */
        WATER,
        /** Another on another day. */
        DAY
    }

    private final double spread;
    private final Concerns concerns;

    UncertainInput(double spread, Concerns concerns) {
        this.spread = spread;
        this.concerns = concerns;
    }

    /** @return one standard deviation: relative, or K for outside air and start */
    public double spread() {
        return spread;
    }

    public Concerns concerns() {
        return concerns;
    }

    /** @return whether it is told in K; else relative */
    public boolean isKelvin() {
        return concerns == Concerns.DAY;
    }
}

package io.enthalpa.core.uncertainty;

/** An input that is seldom known exactly, with the spread that common practice leaves it (no source), or a formula with half of what its authors publish. */
public enum UncertainInput {
    /** Of the blower, relative. */
    BLOWER_EFFICIENCY(0.05),
    /** How well the cylinders fill, relative: decides the air flow. */
    VOLUMETRIC_EFFICIENCY(0.05),
    /** Of the core, relative. */
    CORE_CONDUCTANCE(0.10),
    /** Air at the face of core or radiator, relative, where it is a share of road speed or made by a way. */
    COOLING_AIR(0.20),
    /** Of a loop whose pump and hoses are only known by their curves, relative. */
    WATER_FLOW(0.15),
    /** Of the radiator, relative. */
    RADIATOR_CONDUCTANCE(0.10),
    /** K. */
    OUTSIDE_AIR(2),
    /** K of core and water at the start. */
    START(4),
    /** Rise of the bay, relative. */
    BAY(0.25),
    /** Ice against its water, relative. */
    ICE_CONTACT(0.3),
    /** Relative. */
    CHILLER_CAPACITY(0.15),
    /** How unevenly a core's water ports share the water out, relative. */
    WATER_PORTS(0.4),
    /** What the formula of the charge fins misses by, of a core by its geometry; relative. */
    CHARGE_FINS(0.1),
    /** What that of the cooling fins does. */
    COLD_FINS(0.1),
    /** What those of pipes, bends and the core lose, relative: bends as published within 20 to 40 %. */
    PATH_LOSSES(0.15);

    private final double spread;

    UncertainInput(double spread) {
        this.spread = spread;
    }

    /** @return one standard deviation: relative, or K for outside air and start */
    public double spread() {
        return spread;
    }
}

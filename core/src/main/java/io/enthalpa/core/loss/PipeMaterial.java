package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;

/** What the inside of a pipe feels like to the air, and what its wall weighs and holds. */
public enum PipeMaterial {
    ALUMINIUM(1.5e-6, 2700, 900, 1.6e-3, 0.2),
    STEEL(45e-6, 7850, 470, 1.5e-3, 0.7),
    STAINLESS(1.5e-6, 7900, 500, 1.2e-3, 0.3),
    SILICONE(10e-6, 1200, 1300, 5e-3, 0.9);

    public static final Citation SOURCE = Citation.fromMemory(
            "Moody", 1944, "Friction factors for pipe flow, Trans. ASME 66; silicone: common practice");
    /** Density, heat capacity and emissivity of walls as they stand in a car; wall as usual stock has it. */
    public static final Citation WALL = Citation.fromMemory(
            "Incropera & DeWitt",
            2007,
            "Fundamentals of Heat and Mass Transfer, properties of solids and surfaces; usual walls: common practice");

    private final double roughness;
    private final double density;
    private final double heatCapacity;
    private final double usualWall;
    private final double emissivity;

    PipeMaterial(double roughness, double density, double heatCapacity, double usualWall, double emissivity) {
        this.roughness = roughness;
        this.density = density;
        this.heatCapacity = heatCapacity;
        this.usualWall = usualWall;
        this.emissivity = emissivity;
    }

    /** @return m */
    public double roughness() {
        return roughness;
    }

    /** @return kg/m3 of the wall */
    public double density() {
        return density;
    }

    /** @return J/(kg K) of the wall */
    public double heatCapacity() {
        return heatCapacity;
    }

    /** @return whether it is sold by its outside diameter, as tube is; by its bore, as hose is, otherwise */
    public boolean isTube() {
        return this != SILICONE;
    }

    /** @return m, wall of usual stock */
    public double usualWall() {
        return usualWall;
    }

    /** @return of its outside, 0 to 1 */
    public double emissivity() {
        return emissivity;
    }
}

package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;

/** What the inside of a pipe feels like to the air. */
public enum PipeMaterial {
    ALUMINIUM(1.5e-6),
    STEEL(45e-6),
    STAINLESS(1.5e-6),
    SILICONE(10e-6);

    public static final Citation SOURCE = Citation.fromMemory("Moody", 1944,
            "Friction factors for pipe flow, Trans. ASME 66; silicone: common practice");
    private final double roughness;

    PipeMaterial(double roughness) {
        this.roughness = roughness;
    }

    /** @return m */
    public double roughness() {
        return roughness;
    }
}

package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;

/** What the inside of a pipe feels like to the air. */
public enum PipeMaterial {
    ALUMINIUM("drawn aluminium", 1.5e-6),
    STEEL("mild steel", 45e-6),
    STAINLESS("stainless, drawn", 1.5e-6),
    SILICONE("silicone hose", 10e-6);

    public static final Citation SOURCE = Citation.fromMemory("Moody", 1944,
            "Friction factors for pipe flow, Trans. ASME 66; silicone: common practice");
    private final String label;
    private final double roughness;

    PipeMaterial(String label, double roughness) {
        this.label = label;
        this.roughness = roughness;
    }

    public String label() {
        return label;
    }

    /** @return m */
    public double roughness() {
        return roughness;
    }
}

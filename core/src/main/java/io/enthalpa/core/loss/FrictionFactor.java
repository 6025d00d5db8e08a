package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/** Darcy friction factor of a round pipe. */
public final class FrictionFactor {
    private static final double LN_10 = Math.log(10);
    public static final Citation TURBULENT = Citation.published(
            "Colebrook",
            1939,
            "Turbulent flow in pipes, J. Inst. Civ. Eng. 11; solved by iteration from Haaland (1983)");
    /** Below this Reynolds number the flow is taken as laminar (Avila et al., Science 333, 2011: onset near 2040). */
    static final double LAMINAR_LIMIT = 2040;
    /** From here on the flow is taken as fully turbulent; between the two the factor is interpolated. */
    static final double TURBULENT_FROM = 4000;

    public static final Method METHOD = Method.of(
                    "friction",
                    "Straight pipe",
                    "Colebrook's equation solved by iteration from Haaland's explicit form, to 1e-8; laminar below Reynolds 2040, straight "
                            + "between there and 4000. Roughness: drawn aluminium and stainless 1.5 µm, steel 45 µm, silicone 10 µm.")
            .formula("1/sqrt(f) = -2 log10(e/(3.7 d) + 2.51/(Re sqrt(f))); laminar f = 64/Re; loss = f (l/d) rho v^2/2")
            .range(
                    new ValidityRange("Reynolds number", 0, 1e8, ""),
                    new ValidityRange("roughness over bore", 0, 0.05, ""))
            .source(TURBULENT, PipeMaterial.SOURCE)
            .leavesOut("Heat taken or given by the pipe wall; weld beads inside.");

    private FrictionFactor() {}

    /**
     * @param reynolds          on the bore; above 0
     * @param relativeRoughness roughness height over bore, 0 to 0.05
     * @return Darcy friction factor
     */
    public static double darcy(double reynolds, double relativeRoughness) {
        return darcy(reynolds, relativeRoughness, roughnessTerm(relativeRoughness));
    }

    /** @return what Haaland's start takes of the roughness, worked out once for a pipe */
    static double roughnessTerm(double relativeRoughness) {
        return Math.pow(relativeRoughness / 3.7, 1.11);
    }

    static double darcy(double reynolds, double relativeRoughness, double roughnessTerm) {
        if (reynolds <= LAMINAR_LIMIT) {
            return 64 / Math.max(reynolds, 1e-6);
        }
        if (reynolds >= TURBULENT_FROM) {
            return colebrook(reynolds, relativeRoughness, roughnessTerm);
        }
        double share = (reynolds - LAMINAR_LIMIT) / (TURBULENT_FROM - LAMINAR_LIMIT);
        return (1 - share) * 64 / LAMINAR_LIMIT + share * colebrook(TURBULENT_FROM, relativeRoughness, roughnessTerm);
    }

    /** Newton's method on 1/sqrt(f); from Haaland's 1.5 % two steps reach 1e-8. */
    private static double colebrook(double reynolds, double relativeRoughness, double roughnessTerm) {
        double a = relativeRoughness / 3.7;
        double b = 2.51 / reynolds;
        double x = -1.8 * Math.log10(roughnessTerm + 6.9 / reynolds);
        for (int i = 0; i < 2; i++) {
            double inner = a + b * x;
            double residual = x + 2 * Math.log10(inner);
            x -= residual / (1 + 2 * b / (inner * LN_10));
        }
        return 1 / (x * x);
    }
}

package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.Transport;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;
import java.util.List;
import java.util.Map;

/** Louvred fins between flat tubes or plates: j by Chang and Wang (1997), f by Chang, Hsu, Lin and Wang (2000). */
public final class ChangWang1997 {
    public static final ValidityRange REYNOLDS =
            new ValidityRange("Reynolds number on the louvre pitch", 100, 3000, "");
    /** A louvre is this share of the fin's height; the rest is the bend at both ends. Usual for cut louvres. */
    static final double LOUVRE_SHARE = 0.85;

    /**
     * Of the 91 fins measured (their table, from memory); m and degrees. The tubes under them were thin: where the other stream's layer between plates stands for
     * the tube, its height would carry the friction factor to twice what louvres lose. Held at 0.35 of the fin's height it stands to the
     * correlation of Davenport (1983), which knows no tube, as it does for tubes.
     */
    private static final MeasuredFins MEASURED = new MeasuredFins()
            .with(FinMeasure.FIN_PITCH, 0.51e-3, 3.33e-3)
            .with(FinMeasure.FIN_HEIGHT, 2.84e-3, 20e-3)
            .with(FinMeasure.FIN_THICKNESS, 0.025e-3, 0.16e-3)
            .with(FinMeasure.LOUVRE_PITCH, 0.5e-3, 3e-3)
            .with(FinMeasure.LOUVRE_ANGLE, 8.4, 35)
            .with(FinMeasure.DEPTH, 15.6e-3, 57.4e-3)
            .with(FinMeasure.TUBE_TO_FIN, 0.1, 0.35);

    /** Most of what they measured lies so close, as a share. */
    public static final double WITHIN = 0.15;

    public static final Method METHOD = Method.of(
                    "louvred-fin",
                    "Louvred fins",
                    "Heat transfer factor of 91 measured corrugated louvre fins within 15 %, friction factor within 15 % for most. A louvre is taken as 85 % "
                            + "of the fin's height long. Measured were fins of 2.8 to 20 mm height and 0.5 to 3.3 mm pitch, of 0.025 to 0.16 mm sheet, louvres of 0.5 to 3 mm and 8.4 to 35°, 16 to 57 mm deep, "
                            + "on tubes of a tenth to 0.35 of the fin's height: what lies beyond counts as the nearest of these, and as less sure.")
            .formula(
                    "j = Re^-0.49 (th/90)^0.27 (Fp/Lp)^-0.14 (Fl/Lp)^-0.29 (Td/Lp)^-0.23 (Ll/Lp)^0.68 (Tp/Lp)^-0.28 (t/Lp)^-0.05; "
                            + "f = f1 f2 f3 of Chang et al. (2000), below and above Re 150; film = j G cp / Pr^(2/3)")
            .range(REYNOLDS)
            .source(
                    Citation.fromMemory(
                            "Chang & Wang",
                            1997,
                            "A generalized heat transfer correlation for louver fin geometry, Int. J. Heat Mass Transfer 40"),
                    Citation.fromMemory(
                            "Chang, Hsu, Lin & Wang",
                            2000,
                            "A generalized friction correlation for louver fin geometry, Int. J. Heat Mass Transfer 43"),
                    Citation.fromMemory(
                            "Davenport",
                            1983,
                            "Correlations for heat transfer and flow friction characteristics of louvred fin, AIChE Symp. Ser. 79, beside it where fins stand between plates"))
            .leavesOut("Dirt between the louvres: see fouling.");
    private static final double LOW_FLOW = 150;
    /** Width over which the two friction equations are joined, so that a little more flow never loses less. */
    private static final double JOIN_TO = 230;

    private ChangWang1997() {}

    /**
     * @param depth    m along the stream
     * @param wall     m from one fin layer to the next: tube or plate with the other stream's layer
     * @param massFlux kg/(m2 s) in the free section
     */
    public static FinFlow flow(FinSpec fin, double depth, double wall, double massFlux, Transport fluid) {
        double re = Math.max(massFlux * fin.interval() / fluid.viscosity(), 2);
        FinSpec measured = new FinSpec(
                FinType.LOUVRED,
                MEASURED.nearest(FinMeasure.FIN_HEIGHT, fin.gap()),
                MEASURED.nearest(FinMeasure.FIN_PITCH, fin.pitch()),
                MEASURED.nearest(FinMeasure.FIN_THICKNESS, fin.thickness()),
                MEASURED.nearest(FinMeasure.LOUVRE_PITCH, fin.interval()),
                Math.toRadians(MEASURED.nearest(FinMeasure.LOUVRE_ANGLE, Math.toDegrees(fin.louvreAngle()))));
        double tube = measured.gap() * MEASURED.nearest(FinMeasure.TUBE_TO_FIN, wall / fin.gap());
        return measured(measured, MEASURED.nearest(FinMeasure.DEPTH, depth), tube, re, massFlux, fluid);
    }

    /** @return what lies beyond the fins measured */
    public static List<FinMeasure> beyond(FinSpec fin, double depth, double wall) {
        return MEASURED.beyond(Map.of(
                FinMeasure.FIN_PITCH,
                fin.pitch(),
                FinMeasure.FIN_HEIGHT,
                fin.gap(),
                FinMeasure.FIN_THICKNESS,
                fin.thickness(),
                FinMeasure.LOUVRE_PITCH,
                fin.interval(),
                FinMeasure.LOUVRE_ANGLE,
                Math.toDegrees(fin.louvreAngle()),
                FinMeasure.DEPTH,
                depth,
                FinMeasure.TUBE_TO_FIN,
                wall / fin.gap()));
    }

    private static FinFlow measured(
            FinSpec fin, double depth, double wall, double re, double massFlux, Transport fluid) {
        double lp = fin.interval();
        double degrees = Math.toDegrees(fin.louvreAngle());
        double ll = LOUVRE_SHARE * fin.gap();
        double j = Math.pow(re, -0.49)
                * Math.pow(degrees / 90, 0.27)
                * Math.pow(fin.pitch() / lp, -0.14)
                * Math.pow(fin.gap() / lp, -0.29)
                * Math.pow(depth / lp, -0.23)
                * Math.pow(ll / lp, 0.68)
                * Math.pow((fin.gap() + wall) / lp, -0.28)
                * Math.pow(fin.thickness() / lp, -0.05);
        double film = j * massFlux * fluid.heatCapacity() / Math.pow(fluid.prandtl(), 2.0 / 3);
        return new FinFlow(re, film, friction(fin, depth, wall, re, degrees), REYNOLDS.contains(re));
    }

    private static double friction(FinSpec fin, double depth, double wall, double re, double degrees) {
        if (re <= LOW_FLOW) {
            return slow(fin, depth, wall, re, degrees);
        }
        if (re >= JOIN_TO) {
            return fast(fin, wall, re, degrees);
        }
        double share = (re - LOW_FLOW) / (JOIN_TO - LOW_FLOW);
        return Math.exp((1 - share) * Math.log(slow(fin, depth, wall, LOW_FLOW, degrees))
                + share * Math.log(fast(fin, wall, JOIN_TO, degrees)));
    }

    private static double slow(FinSpec fin, double depth, double wall, double re, double degrees) {
        double fp = fin.pitch();
        double lp = fin.interval();
        double ll = LOUVRE_SHARE * fin.gap();
        double r = Math.max(re, 5);
        double f1 = 14.39 * Math.pow(r, -0.805 * fp / fin.gap()) * Math.pow(Math.log(1 + fp / lp), 3.04);
        double f2 = Math.pow(Math.log(Math.pow(fin.thickness() / fp, 0.48) + 0.9), -1.435)
                * Math.pow(fin.hydraulicDiameter() / lp, -3.01)
                * Math.pow(Math.log(0.5 * r), -3.01);
        double f3 = Math.pow(fp / ll, -0.308)
                * Math.pow(depth / ll, -0.308)
                * Math.exp(-0.1167 * (fin.gap() + wall) / wall)
                * Math.pow(degrees, 0.35);
        return f1 * f2 * f3;
    }

    private static double fast(FinSpec fin, double wall, double re, double degrees) {
        double fp = fin.pitch();
        double lp = fin.interval();
        double tp = fin.gap() + wall;
        double f1 = 4.97
                * Math.pow(re, 0.6049 - 1.064 / Math.pow(degrees, 0.2))
                * Math.pow(Math.log(Math.pow(fin.thickness() / fp, 0.5) + 0.9), -0.527);
        double f2 = Math.pow(fin.hydraulicDiameter() / lp * Math.log(0.3 * re), -2.966)
                * Math.pow(fp / (LOUVRE_SHARE * fin.gap()), -0.7931 * tp / fin.gap());
        double f3 = Math.pow(tp / wall, -0.0446)
                * Math.pow(Math.log(1.2 + Math.pow(lp / fp, 1.4)), -3.553)
                * Math.pow(degrees, -0.477);
        return f1 * f2 * f3;
    }
}

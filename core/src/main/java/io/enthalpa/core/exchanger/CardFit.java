package io.enthalpa.core.exchanger;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;
import java.util.List;

/**
 * What several measured points of one exchanger say about its resistances: the whole resistance of each is
 * {@code a x + w + c y} with {@code x}, {@code y} the passage flows of both sides over those of the first point, each to the power of its
 * film. The wall {@code w} keeps its stated share: points do not tell it from the films.
 *
 * @param hot       K/W of the hot film at the first point
 * @param wall      K/W
 * @param cold      K/W of the cold film at the first point
 * @param misfit    largest deviation of a point's conductance from the fit, as a share
 * @param separated true when the points themselves told the two films apart; false when the stated shares were used
 * @param hotFlows  hot flows over that of the first point within which the fit may be trusted
 * @param coldFlows the same for the cold side
 */
record CardFit(
        double hot,
        double wall,
        double cold,
        double misfit,
        boolean separated,
        ValidityRange hotFlows,
        ValidityRange coldFlows) {
    static final Method METHOD = Method.of(
                    "rating-card",
                    "Core by its rating card",
                    "The conductance of each measured point follows from its effectiveness. It is split into three resistances in series: charge side, "
                            + "wall, cooling side; by stated shares when there is one point, by least squares when several points with different flows tell "
                            + "them apart. Each film goes with its passage flow to a power. Another size of the same make follows by similarity: conductance "
                            + "with volume at equal passage speed, loss with passage length. Glycol thickens the water: its film goes as k Re^n Pr^(1/3) with the same n.")
            .formula(
                    "1/UA = a (mh/mh1)^-0.55 + w + c (mc/mc1)^-n, n 0.55 for air and 0.6 for water, or 0.3 to 0.8 where points of several water flows tell; loss = loss1 (m/m1)^e rho1/rho, e 1.7 or from the points")
            .range(ScalingLaw.FLOW, ScalingLaw.VOLUME)
            .source(
                    ScalingLaw.SOURCE,
                    Citation.commonPractice(
                            "stated shares: air-cooled cores about 35 % on the charge side, water-cooled about 75 %"))
            .leavesOut(
                    "The card's own tanks stay part of it: another port or tank than the one measured is not counted.");
    /** Below this the two films cannot be told apart: the points hardly differ in flow. */
    private static final double LEAST_DETERMINANT = 0.01;
    /** A film is never taken for less than this share of the whole. */
    private static final double LEAST_SHARE = 0.03;

    /** @param overall W/K of each point, in their order */
    static CardFit of(List<ReferencePoint> points, double[] overall, ScalingLaw law) {
        int n = points.size();
        double[] x = new double[n];
        double[] y = new double[n];
        double[] r = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = Math.pow(points.get(i).hotFlow() / points.get(0).hotFlow(), -law.hotExponent());
            y[i] = Math.pow(points.get(i).coldFlow() / points.get(0).coldFlow(), -law.coldExponent());
            r[i] = 1 / overall[i];
        }
        double wall = law.wallShare() * r[0];
        double[] films = separate(x, y, r, wall);
        boolean separated = films != null;
        if (!separated) {
            films = stated(x, y, r, law);
            wall = films[2];
        }
        double misfit = 0;
        for (int i = 0; i < n; i++) {
            misfit = Math.max(misfit, Math.abs(r[i] / (films[0] * x[i] + wall + films[1] * y[i]) - 1));
        }
        return new CardFit(films[0], wall, films[1], misfit, separated, span(points, true), span(points, false));
    }

    /** Least squares on relative deviation for both films; null when the points do not tell them apart. */
    private static double[] separate(double[] x, double[] y, double[] r, double wall) {
        double xx = 0;
        double xy = 0;
        double yy = 0;
        double xb = 0;
        double yb = 0;
        for (int i = 0; i < r.length; i++) {
            double u = x[i] / r[i];
            double v = y[i] / r[i];
            double b = 1 - wall / r[i];
            xx += u * u;
            xy += u * v;
            yy += v * v;
            xb += u * b;
            yb += v * b;
        }
        double determinant = xx * yy - xy * xy;
        if (r.length < 2 || determinant < LEAST_DETERMINANT * xx * yy) {
            return null;
        }
        double a = (xb * yy - yb * xy) / determinant;
        double c = (yb * xx - xb * xy) / determinant;
        return a < LEAST_SHARE * r[0] || c < LEAST_SHARE * r[0] ? null : new double[] {a, c};
    }

    /** The stated shares, scaled so that the points are met in the mean. */
    private static double[] stated(double[] x, double[] y, double[] r, ScalingLaw law) {
        double cold = 1 - law.hotShare() - law.wallShare();
        double up = 0;
        double down = 0;
        for (int i = 0; i < r.length; i++) {
            double unit = (law.hotShare() * x[i] + law.wallShare() + cold * y[i]) / r[i];
            up += unit;
            down += unit * unit;
        }
        double scale = up / down;
        return new double[] {scale * law.hotShare(), scale * cold, scale * law.wallShare()};
    }

    private static ValidityRange span(List<ReferencePoint> points, boolean hot) {
        double low = 1;
        double high = 1;
        for (ReferencePoint p : points) {
            double ratio = hot
                    ? p.hotFlow() / points.get(0).hotFlow()
                    : p.coldFlow() / points.get(0).coldFlow();
            low = Math.min(low, ratio);
            high = Math.max(high, ratio);
        }
        return new ValidityRange(
                ScalingLaw.FLOW.quantity(), ScalingLaw.FLOW.min() * low, ScalingLaw.FLOW.max() * high, "");
    }
}

package io.enthalpa.core.chargepath;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * What a piece costs: the path solved again with the piece there but free of loss.
 *
 * @param element the piece
 * @param loss    Pa at the piece
 * @param intake  K that the intake would be cooler without its loss, at the same boost: the blower works less; NaN when it cannot be told
 * @param power   W that the blower's shaft would save
 * @param air     share of the air flow that it takes at an unchanged pressure ratio of the blower
 */
public record Price(PathElement element, double loss, double intake, double power, double air) {
    public static final Method METHOD = Method.of(
                    "price",
                    "What a piece costs",
                    "The whole path is solved again with the piece in place but free of loss. Kelvin and shaft power are at the same boost: the blower has "
                            + "less to make up. Percent of air is at the same pressure ratio of the blower: what a belt-driven blower gives away.")
            .formula("air = loss / p_manifold behind the blower; loss x ratio / p_manifold in front of it")
            .source(Citation.commonPractice("loss in front of the blower counts times its pressure ratio"))
            .leavesOut("A turbo's wheel speed and the exhaust back-pressure it costs.");
}

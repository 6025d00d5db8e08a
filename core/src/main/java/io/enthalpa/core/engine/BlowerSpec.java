package io.enthalpa.core.engine;

import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;
import java.util.Optional;

/**
 * A blower, of one isentropic efficiency or by its map.
 *
 * @param type             kind, for its usual span
 * @param efficiency       isentropic, total to total, 0.3 to 0.9; where there is no map
 * @param maxPressureRatio the most it can make, or may be asked
 * @param outletBore       m
 * @param map              measured speed lines; empty when only the efficiency is known
 */
public record BlowerSpec(
        BlowerType type, double efficiency, double maxPressureRatio, double outletBore, Optional<CompressorMap> map) {
    public static final Citation COMPRESSION = Citation.published(
            "Heywood", 1988, "Internal Combustion Engine Fundamentals, section 6.6, with heat capacity by temperature");
    public static final Method METHOD = Method.of(
                    "compression",
                    "Blower outlet",
                    "Equal entropy to the outlet pressure gives the least enthalpy the work could take; divided by the isentropic efficiency it is what "
                            + "the air gets. Heat capacity varies with temperature throughout. The shaft takes flow times that enthalpy.")
            .formula("h2 = h1 + (h2s - h1)/eta; with constant cp T2 = T1 (1 + (PR^((g-1)/g) - 1)/eta)")
            .range(new ValidityRange("pressure ratio", 1, 6, ""), new ValidityRange("efficiency", 30, 90, "%"))
            .source(
                    COMPRESSION,
                    Citation.commonPractice(
                            "usual efficiencies: roots-type 50-60, screw 65-75, centrifugal 68-78, turbo 65-78 %"))
            .leavesOut(
                    "Heat through the housing; a roots-type blower's efficiency falls with pressure ratio: give the one at yours.");

    public BlowerSpec(BlowerType type, double efficiency, double maxPressureRatio, double outletBore) {
        this(type, efficiency, maxPressureRatio, outletBore, Optional.empty());
    }

    /** @return isentropic efficiency at a flow in kg/s and ratio, from an inlet of Pa and K, total */
    public double efficiencyAt(double flow, double pressure, double temperature, double ratio) {
        if (map.isEmpty() || ratio <= 1) {
            return efficiency;
        }
        return map.get().efficiencyAt(map.get().corrected(flow, temperature, pressure), ratio);
    }

    /** @return where it works on its map; only with a map */
    public MapPoint place(double flow, double pressure, double temperature, double ratio) {
        CompressorMap m = map.orElseThrow();
        return m.at(m.corrected(flow, temperature, pressure), ratio);
    }

    /** @return the highest ratio at a flow in kg/s from an inlet of Pa and K, total */
    public double mostRatio(double flow, double pressure, double temperature) {
        return map.isEmpty()
                ? maxPressureRatio
                : Math.min(maxPressureRatio, map.get().mostRatio(map.get().corrected(flow, temperature, pressure)));
    }

    /**
     * Outlet temperature by enthalpy: the isentropic rise divided by the efficiency.
     *
     * @param air   the gas
     * @param inlet K
     * @param ratio outlet over inlet total pressure, 1 or more
     * @param eta   isentropic efficiency
     * @return K
     */
    public static double outletTemperature(HumidAir air, double inlet, double ratio, double eta) {
        if (ratio <= 1) {
            return inlet;
        }
        double isentropic = air.isentropicTemperature(inlet, ratio);
        double h1 = air.enthalpy(inlet);
        double rise = (air.enthalpy(isentropic) - h1) / eta;
        return air.temperatureAtEnthalpy(h1 + rise, inlet + (isentropic - inlet) / eta);
    }
}

package io.enthalpa.core.exchanger;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;

/**
 * One measured point of an exchanger, and the size of the piece it was measured on.
 *
 * @param hotFlow          kg/s
 * @param hotCapacityRate  flow times heat capacity, W/K
 * @param coldFlow         kg/s
 * @param coldCapacityRate W/K
 * @param effectiveness    heat moved over the most that could be moved, above 0 and below 1
 * @param size             of the piece that was measured
 */
public record ReferencePoint(
        double hotFlow,
        double hotCapacityRate,
        double coldFlow,
        double coldCapacityRate,
        double effectiveness,
        CoreSize size) {

    /**
     * From the temperatures of the hot stream.
     *
     * @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when the outlet is not between the inlet and the coolant
     */
    public static ReferencePoint fromTemperatures(
            double hotFlow,
            double hotHeatCapacity,
            double hotIn,
            double hotOut,
            double coldFlow,
            double coldHeatCapacity,
            double coldIn,
            CoreSize size,
            Effectiveness arrangement) {
        double ch = hotFlow * hotHeatCapacity;
        double cc = coldFlow * coldHeatCapacity;
        return checked(
                hotFlow,
                ch,
                coldFlow,
                cc,
                ch * (hotIn - hotOut),
                hotIn - coldIn,
                size,
                arrangement,
                "outlet temperature on the rating card",
                "%.1f °C".formatted(hotOut - 273.15));
    }

    /** From the heat moved. */
    public static ReferencePoint fromHeat(
            double heat,
            double hotFlow,
            double hotHeatCapacity,
            double hotIn,
            double coldFlow,
            double coldHeatCapacity,
            double coldIn,
            CoreSize size) {
        return checked(
                hotFlow,
                hotFlow * hotHeatCapacity,
                coldFlow,
                coldFlow * coldHeatCapacity,
                heat,
                hotIn - coldIn,
                size,
                Effectiveness.CROSSFLOW_UNMIXED,
                "heat on the rating card",
                "%.2f kW".formatted(heat / 1000));
    }

    private static ReferencePoint checked(
            double hotFlow,
            double ch,
            double coldFlow,
            double cc,
            double heat,
            double span,
            CoreSize size,
            Effectiveness arrangement,
            String what,
            String value) {
        double most = Math.min(ch, cc) * span;
        double effectiveness = heat / most;
        double reachable = arrangement.of(Effectiveness.LARGEST_NTU, Math.min(ch, cc) / Math.max(ch, cc), ch <= cc);
        if (!(span > 0) || !(effectiveness > 0.01) || effectiveness > reachable * 0.995) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    what,
                    what,
                    value,
                    "such that the core moves between 1 %% and %.0f %% of the %.1f kW that its two flows could exchange at most"
                            .formatted(99.5 * reachable, Math.max(most, 0) / 1000),
                    "Check the card's flows and temperatures: one of them does not fit the others.");
        }
        return new ReferencePoint(hotFlow, ch, coldFlow, cc, effectiveness, size);
    }

    /** @return W/K from stream to stream that gives this point's effectiveness */
    double conductance(Effectiveness arrangement) {
        double least = Math.min(hotCapacityRate, coldCapacityRate);
        double most = Math.max(hotCapacityRate, coldCapacityRate);
        return least * arrangement.ntuFor(effectiveness, least / most, hotCapacityRate <= coldCapacityRate);
    }
}

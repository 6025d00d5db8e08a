package io.enthalpa.core.plant;

import io.enthalpa.core.exchanger.DampCharge;
import io.enthalpa.core.exchanger.Effectiveness;

/** The metal of a core as cells, each of one temperature, with the charge and the cold stream passing through. */
interface MetalField {
    /**
     * @param arrangement  how the streams meet
     * @param heatCapacity J/K of all the metal
     * @param temperature  K at the start
     */
    static MetalField of(Effectiveness arrangement, double heatCapacity, double temperature) {
        return switch (arrangement) {
            case CROSSFLOW_UNMIXED -> new CoreField(CoreField.Mixed.NONE, heatCapacity, temperature);
            case CROSSFLOW_HOT_MIXED -> new CoreField(CoreField.Mixed.HOT, heatCapacity, temperature);
            case CROSSFLOW_COLD_MIXED -> new CoreField(CoreField.Mixed.COLD, heatCapacity, temperature);
            case COUNTERFLOW -> new CounterField(heatCapacity, temperature);
            case U_FLOW_STACKED -> new TwoPassField(false, heatCapacity, temperature);
            case U_FLOW_CROSS_COUNTER -> new TwoPassField(true, heatCapacity, temperature);
        };
    }

    /**
     * @param dt        s
     * @param hotRate   W/K, capacity rate of the charge; 0 when it stands
     * @param hotInlet  K
     * @param hotToMetal W/K
     * @param coldRate  W/K, above 0
     * @param coldInlet K
     * @param metalToCold W/K
     * @param damp      what water the charge brings; {@link DampCharge#DRY} where none can come out
     */
    void step(
            double dt,
            double hotRate,
            double hotInlet,
            double hotToMetal,
            double coldRate,
            double coldInlet,
            double metalToCold,
            DampCharge damp);

    /** @return K of the coldest metal */
    double coldest();

    /** @return kg/s of water that came out, mean of the last step */
    double condensed();

    /** @return J that it gave to the metal in the last step */
    double latent();

    /** @return K of the charge behind the core, mean of the last step */
    double hotOut();

    /** @return J given to the cold stream in the last step */
    double heatOut();

    /** @return J in the metal above 0 K */
    double stored();

    /** @return cells along the charge's way */
    int along();

    /** @return cells across it, along the cold stream */
    int across();

    /** @return K of each cell, {@code x * across + y}, x along the charge */
    double[] snapshot();
}

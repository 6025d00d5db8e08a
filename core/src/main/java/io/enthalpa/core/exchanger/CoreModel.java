package io.enthalpa.core.exchanger;

/** A finned block ready to compute with, however it is known. */
public sealed interface CoreModel permits RatedCore, FinnedCore {
    /**
     * @param hotFlow  kg/s, above 0
     * @param hotT     K, mean of the charge
     * @param coldFlow kg/s, above 0
     * @param coldT    K, mean of the coolant
     * @return the three resistances as conductances, uneven feed counted
     */
    Conductances conductances(double hotFlow, double hotT, double coldFlow, double coldT);

    /**
     * @param flow       kg/s of charge
     * @param densityIn  kg/m3
     * @param densityOut kg/m3
     * @param meanT      K
     * @return Pa between the ports
     */
    double loss(double flow, double densityIn, double densityOut, double meanT);

    /**
     * @param flow kg/s of water
     * @param t    K, mean
     * @return Pa that it loses in the block
     */
    double waterLoss(double flow, double t);

    /** @param velocity m/s at the face @return Pa that cooling air loses in the block */
    double airLoss(double velocity, FaceAir air);

    /** @return kg, block and tanks */
    double metalMass();

    /** @return m3 of charge inside, tanks included */
    double chargeVolume();
}

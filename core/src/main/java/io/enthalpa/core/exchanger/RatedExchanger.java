package io.enthalpa.core.exchanger;

/**
 * An exchanger known by a rating card: the conductance of the measured point is split into three resistances in series,
 * each carried to other flows by a power law, and to another size of the same make by similarity (equal fins,
 * conductance with volume at equal passage speed, loss with the length of the passage).
 */
public final class RatedExchanger {
    private final ReferencePoint reference;
    private final ScalingLaw law;
    private final CoreSize size;
    private final Effectiveness arrangement;
    private final double hotReference;
    private final double wallReference;
    private final double coldReference;

    public RatedExchanger(ReferencePoint reference, ScalingLaw law, CoreSize size, Effectiveness arrangement) {
        this.reference = reference;
        this.law = law;
        this.size = size;
        this.arrangement = arrangement;
        double least = Math.min(reference.hotCapacityRate(), reference.coldCapacityRate());
        double most = Math.max(reference.hotCapacityRate(), reference.coldCapacityRate());
        double overall = least * arrangement.ntuFor(reference.effectiveness(), least / most);
        double volume = size.volume() / reference.size().volume();
        hotReference = volume * overall / law.hotShare();
        wallReference = volume * overall / law.wallShare();
        coldReference = volume * overall / (1 - law.hotShare() - law.wallShare());
    }

    public CoreSize size() {
        return size;
    }

    /** @return volume over that of the measured piece */
    public double volumeRatio() {
        return size.volume() / reference.size().volume();
    }

    /** @param hotFlow kg/s @return passage flow over that of the card */
    public double hotFlowRatio(double hotFlow) {
        return hotFlow / reference.hotFlow() * reference.size().chargeSection() / size.chargeSection();
    }

    /** @param coldFlow kg/s @return passage flow over that of the card */
    public double coldFlowRatio(double coldFlow) {
        return coldFlow / reference.coldFlow() * reference.size().face() / size.face();
    }

    /**
     * @param hotFlow  kg/s, above 0
     * @param coldFlow kg/s, above 0
     */
    public Conductances conductances(double hotFlow, double coldFlow) {
        return new Conductances(
                hotReference * Math.pow(hotFlowRatio(hotFlow), law.hotExponent()),
                wallReference,
                coldReference * Math.pow(coldFlowRatio(coldFlow), law.coldExponent()));
    }

    /**
     * @param hotFlow          kg/s
     * @param hotCapacityRate  W/K
     * @param coldFlow         kg/s
     * @param coldCapacityRate W/K
     * @return effectiveness, and the heat moved for each kelvin between the inlets
     */
    public HeatTransfer transfer(double hotFlow, double hotCapacityRate, double coldFlow, double coldCapacityRate) {
        Conductances conductances = conductances(hotFlow, coldFlow);
        double least = Math.min(hotCapacityRate, coldCapacityRate);
        double most = Math.max(hotCapacityRate, coldCapacityRate);
        double ntu = conductances.overall() / least;
        double effectiveness = arrangement.of(ntu, least / most);
        return new HeatTransfer(conductances, ntu, effectiveness, effectiveness * least);
    }

    /**
     * Loss of total pressure on the hot side: that of the card, times passage flow to the {@link ScalingLaw#lossExponent},
     * over density, times passage length.
     *
     * @param hotFlow          kg/s
     * @param density          kg/m3, mean of inlet and outlet
     * @param referenceLoss    Pa, on the card
     * @param referenceDensity kg/m3, on the card
     * @return Pa
     */
    public double loss(double hotFlow, double density, double referenceLoss, double referenceDensity) {
        return referenceLoss * Math.pow(hotFlowRatio(hotFlow), law.lossExponent())
                * referenceDensity / density * size.width() / reference.size().width();
    }
}

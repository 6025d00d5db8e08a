package io.enthalpa.core.exchanger;

import java.util.List;

/**
 * An exchanger known by measured points: see {@link CardFit} for how they become three resistances in series, each carried
 * to other flows by a power law, and to another size of the same make by similarity (equal fins, conductance with volume at equal
 * passage speed, loss with the length of the passage).
 */
public final class RatedExchanger {
    private final ReferencePoint reference;
    private final ScalingLaw law;
    private final CoreSize size;
    private final Effectiveness arrangement;
    private final CardFit fit;
    private final double volumeRatio;

    /** @param points measured on one piece, at least one */
    public RatedExchanger(List<ReferencePoint> points, ScalingLaw law, CoreSize size, Effectiveness arrangement) {
        this.reference = points.get(0);
        this.law = law;
        this.size = size;
        this.arrangement = arrangement;
        double[] overall = points.stream()
                .mapToDouble(point -> point.conductance(arrangement))
                .toArray();
        fit = CardFit.of(points, overall, law);
        volumeRatio = size.volume() / reference.size().volume();
    }

    public CoreSize size() {
        return size;
    }

    /** @return volume over that of the measured piece */
    public double volumeRatio() {
        return volumeRatio;
    }

    /** @return how the points became resistances */
    CardFit fit() {
        return fit;
    }

    /** @param hotFlow kg/s @return passage flow over that of the card's first point */
    public double hotFlowRatio(double hotFlow) {
        return hotFlow / reference.hotFlow() * reference.size().chargeSection() / size.chargeSection();
    }

    /** @param coldFlow kg/s @return passage flow over that of the card's first point */
    public double coldFlowRatio(double coldFlow) {
        return coldFlow / reference.coldFlow() * reference.size().face() / size.face();
    }

    /**
     * @param hotFlow  kg/s, above 0
     * @param coldFlow kg/s, above 0
     */
    public Conductances conductances(double hotFlow, double coldFlow) {
        return new Conductances(
                volumeRatio / fit.hot() * Math.pow(hotFlowRatio(hotFlow), law.hotExponent()),
                volumeRatio / fit.wall(),
                volumeRatio / fit.cold() * Math.pow(coldFlowRatio(coldFlow), law.coldExponent()));
    }

    /**
     * @param hotFlow          kg/s
     * @param hotCapacityRate  W/K
     * @param coldFlow         kg/s
     * @param coldCapacityRate W/K
     * @return effectiveness, and the heat moved for each kelvin between the inlets
     */
    public HeatTransfer transfer(double hotFlow, double hotCapacityRate, double coldFlow, double coldCapacityRate) {
        return HeatTransfer.of(conductances(hotFlow, coldFlow), arrangement, hotCapacityRate, coldCapacityRate);
    }
}

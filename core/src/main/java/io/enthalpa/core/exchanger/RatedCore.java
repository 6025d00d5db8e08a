package io.enthalpa.core.exchanger;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;
import java.util.ArrayList;
import java.util.List;

/** A charge cooler by its {@link RatingCard}. */
public final class RatedCore implements CoreModel {
    public static final Method METHOD = CardFit.METHOD;
    /** The card's cooling air is taken at sea level. */
    private static final double CARD_AIR_PRESSURE = 101325;

    /** Largest water flow over the least from which points tell how its film goes with it. */
    private static final double TELLS = 1.5;

    private static final double LAMINAR = 0.3;
    private static final double TURBULENT = 0.8;
    private static final double LEAST_LOSS_EXPONENT = 1.2;
    private static final double MOST_LOSS_EXPONENT = 2.1;
    /** Share of an air-cooled core's volume that holds charge, and of a water-cooled one's (common practice, no source). */
    private static final double CHARGE_SHARE_AIR = 0.35;

    private static final double CHARGE_SHARE_WATER = 0.6;
    /** Where the card is silent on its water's loss: Pa at the card's flow (common practice, no source). */
    private static final double SILENT_WATER_LOSS = 8000;
    /** Wetted surface of a water brick's water side, m2 for each m3 (judgement). */
    private static final double WATER_AREA_PER_VOLUME = 250;

    private final CoreSpec spec;
    private final RatingCard card;
    private final GlycolWater coolant;
    /** K/W that growth on the water side adds. */
    private final double fouling;

    private final RatedExchanger exchanger;
    /** Of the water's film with its flow. */
    private final double waterExponent;

    private final double referenceLoss;
    private final double lossExponent;

    RatedCore(CoreSpec spec, RatingCard card, GlycolWater coolant, double growth) {
        this.spec = spec;
        this.coolant = coolant;
        this.card = card;
        ScalingLaw law = card.coolant() == Coolant.AIR
                ? ScalingLaw.chargeToAir(card.chargeShare(), card.wallShare())
                : ScalingLaw.chargeToWater(card.chargeShare(), card.wallShare());
        List<ReferencePoint> points = new ArrayList<>();
        for (int i = 0; i < card.points().size(); i++) {
            points.add(reference(card, spec.arrangement(), i));
        }
        waterExponent = card.coolant() == Coolant.AIR ? law.coldExponent() : waterExponent(points, law);
        exchanger = new RatedExchanger(points, law.withColdExponent(waterExponent), spec.size(), spec.arrangement());
        fouling = growth / (WATER_AREA_PER_VOLUME * spec.size().volume());
        lossExponent = lossExponent(card.points(), law.lossExponent());
        referenceLoss = card.points().stream()
                .mapToDouble(p -> p.loss()
                        * density(p)
                        / Math.pow(p.chargeFlow() / card.points().get(0).chargeFlow(), lossExponent))
                .average()
                .orElseThrow();
    }

    private static ReferencePoint reference(RatingCard card, Effectiveness arrangement, int i) {
        RatingCard.Point p = card.points().get(i);
        boolean air = card.coolant() == Coolant.AIR;
        double coldFlow = air
                ? p.coolantVelocity() * card.size().face() * HumidAir.DRY.density(CARD_AIR_PRESSURE, p.coolantIn())
                : p.coolantFlow() * Water.density(p.coolantIn());
        double coldHeatCapacity = air ? HumidAir.DRY.heatCapacity(p.coolantIn()) : Water.heatCapacity(p.coolantIn());
        try {
            return ReferencePoint.fromTemperatures(
                    p.chargeFlow(),
                    HumidAir.DRY.heatCapacity((p.chargeIn() + p.chargeOut()) / 2),
                    p.chargeIn(),
                    p.chargeOut(),
                    coldFlow,
                    coldHeatCapacity,
                    p.coolantIn(),
                    card.size(),
                    arrangement);
        } catch (EnthalpaFault fault) {
            throw i == 0 ? fault : fault.at(fault.field(), fault.label() + ", point " + (i + 1));
        }
    }

    /** What the points say of how the water's film goes with its flow: laminar bricks near 0.3, turbulent ones near 0.8; the usual where they do not tell. */
    private double waterExponent(List<ReferencePoint> points, ScalingLaw law) {
        double least =
                points.stream().mapToDouble(ReferencePoint::coldFlow).min().orElseThrow();
        double most =
                points.stream().mapToDouble(ReferencePoint::coldFlow).max().orElseThrow();
        double best = law.coldExponent();
        if (most < TELLS * least) {
            return best;
        }
        double[] overall = points.stream()
                .mapToDouble(point -> point.conductance(spec.arrangement()))
                .toArray();
        double misfit = CardFit.of(points, overall, law).misfit();
        for (double n = LAMINAR; n < TURBULENT + 1e-9; n += 0.05) {
            double other = CardFit.of(points, overall, law.withColdExponent(n)).misfit();
            if (other < misfit - 1e-6) {
                misfit = other;
                best = n;
            }
        }
        return best;
    }

    private static double density(RatingCard.Point p) {
        return HumidAir.DRY.density(p.chargePressure() - p.loss() / 2, (p.chargeIn() + p.chargeOut()) / 2);
    }

    /** Slope of ln(loss times density) over ln(flow), where the points differ enough in flow to tell it. */
    private static double lossExponent(List<RatingCard.Point> points, double usual) {
        double meanX = points.stream()
                .mapToDouble(p -> Math.log(p.chargeFlow()))
                .average()
                .orElseThrow();
        double meanY = points.stream()
                .mapToDouble(p -> Math.log(p.loss() * density(p)))
                .average()
                .orElseThrow();
        double xx = 0;
        double xy = 0;
        for (RatingCard.Point p : points) {
            double x = Math.log(p.chargeFlow()) - meanX;
            xx += x * x;
            xy += x * (Math.log(p.loss() * density(p)) - meanY);
        }
        return xx < 0.02 ? usual : Math.max(LEAST_LOSS_EXPONENT, Math.min(MOST_LOSS_EXPONENT, xy / xx));
    }

    @Override
    public Conductances conductances(double hotFlow, double hotT, double coldFlow, double coldT) {
        Conductances c = exchanger.conductances(hotFlow, coldFlow);
        if (card.coolant() == Coolant.AIR || coolant.share() == 0 && fouling == 0) {
            return c;
        }
        return new Conductances(
                c.hot(), 1 / (1 / c.wall() + fouling), c.cold() * coolant.filmFactor(coldT, waterExponent));
    }

    /** Water: the card's, as flow^1.75 and viscosity^0.25 (Blasius); air: the card's as flow^1.7. Usual figures where the card is silent. */
    @Override
    public double waterLoss(double flow, double t) {
        double ratio = Math.max(exchanger.coldFlowRatio(flow), 0);
        return CoolantLoss.water(card.coolantLoss().orElse(SILENT_WATER_LOSS), ratio, coolant, t);
    }

    @Override
    public double airLoss(double velocity, FaceAir air) {
        RatingCard.Point p = card.points().get(0);
        return CoolantLoss.air(
                card.coolantLoss(),
                p.coolantVelocity(),
                FaceAir.atSeaLevel(p.coolantIn()),
                card.size().depth(),
                velocity,
                air,
                spec.size().depth());
    }

    /** What other outlets than one like the inlet, which the card was measured with, add or save; Pa times kg/m3. */
    private double outlets(double flow) {
        EndTankSpec tanks = spec.tanks();
        if (tanks.isOpen()) {
            return 0;
        }
        double port = flow / tanks.portArea();
        return port
                * port
                / 2
                * (tanks.outletHeads(spec.size(), tanks.outletArea())
                        - tanks.outletHeads(spec.size(), tanks.portArea())
                        + tanks.elbowHeads());
    }

    /** That of the card, times passage flow to its exponent, over density, times passage length; other outlets than the card's counted. */
    @Override
    public double loss(double flow, double densityIn, double densityOut, double meanT) {
        double block = referenceLoss
                * Math.pow(exchanger.hotFlowRatio(flow), lossExponent)
                * 2
                / (densityIn + densityOut)
                * spec.size().width()
                / card.size().width();
        return Math.max(block + outlets(flow) / densityOut, 0);
    }

    @Override
    public double metalMass() {
        return card.metalMass() * exchanger.volumeRatio();
    }

    @Override
    public double chargeVolume() {
        double share = card.coolant() == Coolant.AIR ? CHARGE_SHARE_AIR : CHARGE_SHARE_WATER;
        return share * spec.size().volume()
                + 2 * spec.tanks().depth() * spec.size().chargeSection();
    }

    /** @return charge flow over that of the card */
    public double hotFlowRatio(double flow) {
        return exchanger.hotFlowRatio(flow);
    }

    /** @return coolant flow over that of the card */
    public double coldFlowRatio(double flow) {
        return exchanger.coldFlowRatio(flow);
    }

    /** @return core volume over that of the card */
    public double volumeRatio() {
        return exchanger.volumeRatio();
    }

    /** @return charge flows over that of the card within which it may be trusted */
    public ValidityRange hotFlows() {
        return exchanger.fit().hotFlows();
    }

    /** @return the same for the coolant */
    public ValidityRange coldFlows() {
        return exchanger.fit().coldFlows();
    }

    /** @return largest deviation of a measured conductance from the card as used, as a share; 0 with one point */
    public double misfit() {
        return exchanger.fit().misfit();
    }

    /** @return true when the points themselves told the films apart */
    public boolean filmsSeparated() {
        return exchanger.fit().separated();
    }

    /** @return power of flow that the loss grows by */
    public double lossExponent() {
        return lossExponent;
    }
}

package io.enthalpa.core.waterloop;

import io.enthalpa.core.exchanger.ChangWang1997;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.CoolantLoss;
import io.enthalpa.core.exchanger.CoreLoss;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.FaceAir;
import io.enthalpa.core.exchanger.FinEfficiency;
import io.enthalpa.core.exchanger.FinFlow;
import io.enthalpa.core.exchanger.FinMeasure;
import io.enthalpa.core.exchanger.FinType;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.exchanger.PlainPassage;
import io.enthalpa.core.exchanger.RatedExchanger;
import io.enthalpa.core.exchanger.ReferencePoint;
import io.enthalpa.core.exchanger.ScalingLaw;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Transport;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.List;

/** A low-temperature radiator ready to compute with: what it moves, and what it costs water and air. */
public sealed interface Radiator {
    Method METHOD = Method.of(
                    "radiator",
                    "Low-temperature radiator",
                    "By its card: one measured point carried to other flows and another size of the same make. By geometry: films in flat tubes and between louvred or "
                            + "plain fins, fin efficiency, wall. Water that a card does not speak of costs 6 kPa at the card's flow, air 150 Pa for each metre of depth at 1 m/s.")
            .formula(
                    "geometry: 1/UA = 1/(h_w A_w) + wall + 1/(eta h_a A_a); loss of water as flow^1.75 viscosity^0.25, of air as velocity^1.7")
            .source(
                    Citation.fromMemory(
                            "Shah & Sekulic", 2003, "Fundamentals of Heat Exchanger Design, chapters 3 and 9"),
                    Citation.commonPractice("losses where a card is silent"))
            .leavesOut("Tubes blocked by scale; wind across the face.");
    double SEA_LEVEL = 101325;

    public static Radiator of(RadiatorSpec spec, GlycolWater coolant) {
        return spec.basis() instanceof RadiatorBasis.Card card
                ? new Rated(spec.size(), card, coolant)
                : new Tubes(spec.size(), (RadiatorBasis.Geometry) spec.basis(), coolant);
    }

    CoreSize size();

    /** @return share within which the formula of its fins is believed; 0 where a card tells */
    default double within() {
        return 0;
    }

    /** @return measures of its fins that lie beyond what their correlation was fitted over */
    default List<FinMeasure> finBeyond() {
        return List.of();
    }

    /**
     * @param waterFlow kg/s
     * @param waterT    K
     * @param airFlow   kg/s
     * @param airT      K
     */
    Conductances conductances(double waterFlow, double waterT, double airFlow, double airT);

    /** @param waterFlow kg/s @return Pa between its headers */
    double waterLoss(double waterFlow, double waterT);

    /** @param velocity m/s at the face @return Pa, air at sea level */
    double airLoss(double velocity, FaceAir air);

    /** @return what it moves, and for each kelvin between its inlets, W/K */
    default HeatTransfer transfer(
            double waterFlow, double waterRate, double waterT, double airFlow, double airRate, double airT) {
        return transfer(waterFlow, waterRate, waterT, airFlow, airRate, airT, 1);
    }

    /** @param factor on its conductances, where they are doubted */
    default HeatTransfer transfer(
            double waterFlow,
            double waterRate,
            double waterT,
            double airFlow,
            double airRate,
            double airT,
            double factor) {
        Conductances c = conductances(waterFlow, waterT, airFlow, airT);
        return HeatTransfer.of(
                new Conductances(factor * c.hot(), factor * c.wall(), factor * c.cold()),
                Effectiveness.CROSSFLOW_UNMIXED,
                waterRate,
                airRate);
    }

    /** By its card. */
    final class Rated implements Radiator {
        private static final double SILENT_WATER_LOSS = 6000;
        private final CoreSize size;
        private final RadiatorBasis.Card card;
        private final GlycolWater coolant;
        private final RatedExchanger exchanger;
        private final double cardMassFlow;

        Rated(CoreSize size, RadiatorBasis.Card card, GlycolWater coolant) {
            this.size = size;
            this.card = card;
            this.coolant = coolant;
            cardMassFlow = card.waterFlow() * Water.density(card.waterIn());
            double airFlow = card.airVelocity() * card.size().face() * HumidAir.DRY.density(SEA_LEVEL, card.airIn());
            ReferencePoint point = ReferencePoint.fromHeat(
                    card.heat(),
                    cardMassFlow,
                    Water.heatCapacity(card.waterIn()),
                    card.waterIn(),
                    airFlow,
                    HumidAir.DRY.heatCapacity(card.airIn()),
                    card.airIn(),
                    card.size());
            exchanger =
                    new RatedExchanger(List.of(point), ScalingLaw.waterToAir(), size, Effectiveness.CROSSFLOW_UNMIXED);
        }

        @Override
        public CoreSize size() {
            return size;
        }

        @Override
        public Conductances conductances(double waterFlow, double waterT, double airFlow, double airT) {
            Conductances c = exchanger.conductances(waterFlow, airFlow);
            double film = coolant.filmFactor(waterT, ScalingLaw.FLAT_TUBE_WATER);
            return film == 1 ? c : new Conductances(c.hot() * film, c.wall(), c.cold());
        }

        @Override
        public double waterLoss(double waterFlow, double waterT) {
            double length = size.width() / card.size().width();
            double section = size.chargeSection() / card.size().chargeSection();
            return length
                    * CoolantLoss.water(
                            card.waterLoss().orElse(SILENT_WATER_LOSS),
                            waterFlow / section / cardMassFlow,
                            coolant,
                            waterT);
        }

        @Override
        public double airLoss(double velocity, FaceAir air) {
            return CoolantLoss.air(
                    card.airLoss(),
                    card.airVelocity(),
                    FaceAir.atSeaLevel(card.airIn()),
                    card.size().depth(),
                    velocity,
                    air,
                    size.depth());
        }
    }

    /** By its tubes and fins. */
    final class Tubes implements Radiator {
        private final CoreSize size;
        private final RadiatorBasis.Geometry geometry;
        private final GlycolWater coolant;
        private final int tubes;
        private final double waterSection;
        private final double waterArea;
        private final double airSection;
        private final double airArea;

        Tubes(CoreSize size, RadiatorBasis.Geometry geometry, GlycolWater coolant) {
            this.size = size;
            this.geometry = geometry;
            this.coolant = coolant;
            double step = geometry.tubeHeight() + geometry.fin().gap();
            tubes = (int) Math.floor((size.height() - geometry.fin().gap()) / step + 1e-9);
            if (tubes < geometry.passes() || inside() <= 0) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        "height",
                        "radiator height",
                        "%.0f mm".formatted(size.height() * 1000),
                        "enough for one tube a pass, "
                                + "%.0f mm"
                                        .formatted(1000
                                                * (geometry.passes() * step
                                                        + geometry.fin().gap())),
                        "Make it higher, or tubes and fins lower.");
            }
            waterSection = tubes * inside() * tubeDepth() / geometry.passes();
            waterArea = tubes * 2 * (inside() + tubeDepth()) * size.width();
            airSection = (tubes + 1) * geometry.fin().gap() * geometry.fin().openShare() * size.width();
            airArea = (tubes + 1) * geometry.fin().areaPerPlan() * size.width() * size.depth();
        }

        private double inside() {
            return geometry.tubeHeight() - 2 * geometry.tubeWall();
        }

        private double tubeDepth() {
            return size.depth() - 2 * geometry.tubeWall();
        }

        @Override
        public CoreSize size() {
            return size;
        }

        public int tubes() {
            return tubes;
        }

        private FinFlow water(double flow, double t) {
            return PlainPassage.flow(
                    tubeDepth(),
                    inside(),
                    size.width() * geometry.passes(),
                    Math.max(flow, 1e-6) / waterSection,
                    coolant.transport(t));
        }

        @Override
        public double within() {
            boolean louvred = geometry.fin().type() == FinType.LOUVRED;
            double published = louvred ? ChangWang1997.WITHIN : PlainPassage.WITHIN;
            return finBeyond().isEmpty() ? published : FinMeasure.BEYOND * published;
        }

        @Override
        public List<FinMeasure> finBeyond() {
            return geometry.fin().type() == FinType.LOUVRED
                    ? ChangWang1997.beyond(geometry.fin(), size.depth(), geometry.tubeHeight())
                    : List.of();
        }

        private FinFlow air(double flow, double t) {
            Transport fluid = Transport.ofAir(HumidAir.DRY, SEA_LEVEL, t);
            double flux = Math.max(flow, 1e-6) / airSection;
            return geometry.fin().type() == FinType.LOUVRED
                    ? ChangWang1997.flow(geometry.fin(), size.depth(), geometry.tubeHeight(), flux, fluid)
                    : PlainPassage.flow(
                            geometry.fin().passageWidth(), geometry.fin().passageHeight(), size.depth(), flux, fluid);
        }

        @Override
        public Conductances conductances(double waterFlow, double waterT, double airFlow, double airT) {
            double film = air(airFlow, airT).film();
            double air = FinEfficiency.surface(geometry.fin(), film, FinnedBlock.BRAZING_SHEET) * film * airArea;
            return new Conductances(
                    water(waterFlow, waterT).film() * waterArea,
                    FinnedBlock.BRAZING_SHEET * waterArea / geometry.tubeWall(),
                    air);
        }

        @Override
        public double waterLoss(double waterFlow, double waterT) {
            FinFlow flow = water(waterFlow, waterT);
            double flux = waterFlow / waterSection;
            double diameter = 2 * inside() * tubeDepth() / (inside() + tubeDepth());
            double perPass = CoreLoss.of(flux, 1, 1, 0.3, flow.friction(), size.width() / diameter);
            return geometry.passes() * perPass / coolant.density(waterT);
        }

        @Override
        public double airLoss(double velocity, FaceAir outside) {
            double density = outside.density();
            double flow = velocity * size.face() * density;
            double open = airSection / size.face();
            return CoreLoss.of(
                    flow / airSection,
                    density,
                    density,
                    open,
                    air(flow, outside.temperature()).friction(),
                    size.depth() / geometry.fin().hydraulicDiameter());
        }
    }
}

package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Transport;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.List;

/** A charge cooler by its geometry: {@link FinnedBlock} in a size, with its tanks. */
public final class FinnedCore implements CoreModel {
    public static final Method METHOD = Method.of(
                    "core-geometry",
                    "Core by its geometry",
                    "Layers are counted from the height. Each side's film follows from its fins at its own flow and temperature, times its surface and "
                            + "the efficiency of its fins, in series with fouling; the wall is the plates between. The mass is that of fins, plates, bars and 3 mm tanks.")
            .formula("1/UA = 1/(eta_h film_h A_h) + r_h/A_h + plate/(k A_w) + r_c/A_c + 1/(eta_c film_c A_c)")
            .source(Citation.fromMemory(
                    "Shah & Sekulic", 2003, "Fundamentals of Heat Exchanger Design, chapters 3 and 9"))
            .leavesOut("Heat along the metal; the face's edges, which the fins do not reach.");
    private static final double PRESSURE_OF_PROPERTIES = 2e5;
    private static final double TANK_WALL = 3e-3;
    private final CoreSpec spec;
    private final FinnedBlock block;
    private final GlycolWater coolant;
    private final int layers;
    private final int passes;
    private final double chargeWidth;
    private final double chargeLength;
    private final double chargeArea;
    private final double chargeSection;
    private final double coldWidth;
    private final double coldLength;
    private final double coldArea;
    private final double coldSection;
    private final double plateArea;
    private final TankStream stream;

    FinnedCore(CoreSpec spec, FinnedBlock block, GlycolWater coolant) {
        this.spec = spec;
        this.coolant = coolant;
        this.block = block;
        this.stream = new TankStream(spec);
        CoreSize size = spec.size();
        layers = block.layers(size);
        passes = spec.arrangement().isTwoPass() ? 2 : 1;
        boolean along = spec.arrangement() == Effectiveness.COUNTERFLOW;
        double open = 1 - spec.tanks().blocked();
        chargeWidth = size.depth() - 2 * block.bar();
        chargeLength = size.width() * passes;
        chargeArea = open * layers * block.charge().areaPerPlan() * size.width() * chargeWidth;
        chargeSection = open * layers * block.charge().gap() * block.charge().openShare() * chargeWidth / passes;
        coldWidth = (along ? size.depth() : size.width()) - 2 * block.bar();
        coldLength = along ? size.width() : size.depth();
        coldArea = (layers + 1) * block.cold().areaPerPlan() * coldWidth * coldLength;
        coldSection = (layers + 1) * block.cold().gap() * block.cold().openShare() * coldWidth;
        plateArea = open * 2 * layers * size.width() * chargeWidth;
    }

    /** @param flow kg/s @param t K, mean @return what the charge does between its fins */
    public FinFlow chargeFlow(double flow, double t) {
        return fins(
                block.charge(),
                chargeLength,
                block.cold().gap() + 2 * block.plate(),
                flow / chargeSection,
                Transport.ofAir(HumidAir.DRY, PRESSURE_OF_PROPERTIES, t));
    }

    /** @param flow kg/s @param t K, mean @return what the coolant does between its fins */
    public FinFlow coldFlow(double flow, double t) {
        Transport fluid = block.coolant() == Coolant.AIR
                ? Transport.ofAir(HumidAir.DRY, PRESSURE_OF_PROPERTIES / 2, t)
                : coolant.transport(t);
        return fins(block.cold(), coldLength, block.charge().gap() + 2 * block.plate(), flow / coldSection, fluid);
    }

    /** @return measures of the charge fins that lie beyond what their correlation was fitted over */
    public List<FinMeasure> chargeBeyond() {
        return beyond(block.charge(), chargeLength, block.cold().gap() + 2 * block.plate());
    }

    /** @return measures of the cooling fins that do */
    public List<FinMeasure> coldBeyond() {
        return beyond(block.cold(), coldLength, block.charge().gap() + 2 * block.plate());
    }

    /** @return share within which the formula of the charge fins is believed */
    public double chargeWithin() {
        return within(block.charge(), chargeBeyond());
    }

    /** @return share within which that of the cooling fins is */
    public double coldWithin() {
        return within(block.cold(), coldBeyond());
    }

    private static double within(FinSpec fin, List<FinMeasure> beyond) {
        double published = switch (fin.type()) {
            case PLAIN -> PlainPassage.WITHIN;
            case OFFSET -> ManglikBergles1995.WITHIN;
            case LOUVRED -> ChangWang1997.WITHIN;
        };
        return beyond.isEmpty() ? published : FinMeasure.BEYOND * published;
    }

    private static List<FinMeasure> beyond(FinSpec fin, double length, double wall) {
        return switch (fin.type()) {
            case PLAIN -> List.of();
            case OFFSET -> ManglikBergles1995.beyond(fin);
            case LOUVRED -> ChangWang1997.beyond(fin, length, wall);
        };
    }

    private static FinFlow fins(FinSpec fin, double length, double wall, double massFlux, Transport fluid) {
        return switch (fin.type()) {
            case PLAIN -> PlainPassage.flow(fin.passageWidth(), fin.passageHeight(), length, massFlux, fluid);
            case OFFSET -> ManglikBergles1995.flow(fin, massFlux, fluid);
            case LOUVRED -> ChangWang1997.flow(fin, length, wall, massFlux, fluid);
        };
    }

    @Override
    public Conductances conductances(double hotFlow, double hotT, double coldFlow, double coldT) {
        FinFlow charge = chargeFlow(hotFlow, hotT);
        FinFlow cold = coldFlow(coldFlow, coldT);
        double hot =
                FinEfficiency.surface(block.charge(), charge.film(), block.conductivity()) * charge.film() * chargeArea;
        double air = FinEfficiency.surface(block.cold(), cold.film(), block.conductivity()) * cold.film() * coldArea;
        double wall = 1
                / (block.chargeFouling() / chargeArea
                        + block.plate() / (block.conductivity() * plateArea)
                        + block.coldFouling() / coldArea);
        Conductances even = new Conductances(hot, wall, air);
        double factor = tanks(charge).conductanceFactor(even.overall() / (hotFlow * HumidAir.DRY.heatCapacity(hotT)));
        return factor == 1 ? even : new Conductances(hot * factor, wall * factor, air * factor);
    }

    /** @return what the tanks do at a charge flow */
    public TankEffect tankEffect(double flow, double t) {
        return tanks(chargeFlow(flow, t));
    }

    private TankEffect tanks(FinFlow charge) {
        double lengths = chargeLength / block.charge().hydraulicDiameter();
        double heads = 4 * charge.friction() * lengths
                + passes * (CoreLoss.entrance(openShare()) + CoreLoss.exit(openShare()));
        return TankEffect.of(stream, heads, chargeSection);
    }

    private double openShare() {
        return chargeSection * passes / spec.size().chargeSection();
    }

    @Override
    public double loss(double flow, double densityIn, double densityOut, double meanT) {
        FinFlow charge = chargeFlow(flow, meanT);
        double flux = flow / chargeSection;
        double lengths = chargeLength / block.charge().hydraulicDiameter();
        double loss = CoreLoss.of(flux, densityIn, densityOut, openShare(), charge.friction(), lengths);
        if (passes == 2) {
            double middle = (densityIn + densityOut) / 2;
            loss += flux * flux / (2 * middle) * (CoreLoss.entrance(openShare()) + CoreLoss.exit(openShare()));
        }
        TankEffect tanks = tanks(charge);
        double port = flow / spec.tanks().portArea();
        return loss + port * port / 2 * (tanks.inletK() / densityIn + tanks.outletK() / densityOut);
    }

    @Override
    public double waterLoss(double flow, double t) {
        return coldLoss(flow, t, coolant.density(t));
    }

    @Override
    public double airLoss(double velocity, FaceAir air) {
        return coldLoss(velocity * spec.size().face() * air.density(), air.temperature(), air.density());
    }

    private double coldLoss(double flow, double t, double density) {
        FinFlow cold = coldFlow(flow, t);
        double open = block.cold().openShare() * block.cold().gap() / block.step();
        return CoreLoss.of(
                flow / coldSection,
                density,
                density,
                open,
                cold.friction(),
                coldLength / block.cold().hydraulicDiameter());
    }

    public int layers() {
        return layers;
    }

    /** @return m2 wetted by the charge */
    public double chargeArea() {
        return chargeArea;
    }

    /** @return m2 wetted by the coolant */
    public double coldArea() {
        return coldArea;
    }

    @Override
    public double metalMass() {
        CoreSize size = spec.size();
        double plan = size.width() * size.depth();
        double fins = layers * block.charge().metalPerPlan() * plan
                + (layers + 1) * block.cold().metalPerPlan() * plan;
        double plates = (2 * layers + 2) * block.plate() * plan;
        double bars = 2
                * block.bar()
                * (layers * block.charge().gap() * size.width()
                        + (layers + 1) * block.cold().gap() * size.depth());
        double tanks =
                2 * TANK_WALL * (size.chargeSection() + 2 * spec.tanks().depth() * (size.height() + size.depth()));
        return FinnedBlock.ALUMINIUM_DENSITY * (fins + plates + bars + tanks);
    }

    @Override
    public double chargeVolume() {
        return layers
                        * block.charge().gap()
                        * block.charge().openShare()
                        * chargeWidth
                        * spec.size().width()
                + 2 * spec.tanks().depth() * spec.size().chargeSection();
    }
}

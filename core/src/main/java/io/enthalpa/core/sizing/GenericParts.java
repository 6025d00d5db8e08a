package io.enthalpa.core.sizing;

import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.RadiatorBasis;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.RawWaterSpec;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Invented parts of usual proportions (as in the built-in catalogue): what a method is tried with before anybody has chosen. Sizes are round
 * ones, up to the next 5 mm, half litre, kilogram of ice or hundredth of a litre a minute.
 */
final class GenericParts {
    /** Charge flow that a part of size 1 is made for, kg/s. */
    static final double FLOW = 0.2;

    private static final double LITRES = 1e-3;
    private static final double PER_MINUTE = 1e-3 / 60;
    private static final double MILLIMETRES = 5e-3;
    private static final double HALF_LITRE = 0.5 * LITRES;
    /** Pa that the cap of a header holds (common practice, no source). */
    private static final double CAP = 90e3;

    private GenericParts() {}

    /** @return the next larger multiple; one that is only a rounding error away is taken as it is */
    private static double round(double value, double step) {
        return step * Math.ceil(value / step - 1e-6);
    }

    private static CoreSize size(double width, double height, double depth) {
        return new CoreSize(round(width, MILLIMETRES), round(height, MILLIMETRES), round(depth, MILLIMETRES));
    }

    /** @param size 1 for {@link #FLOW} @param bore m of its ports */
    static PathElement.Core airCore(String name, double size, double bore, FaceAirSpec air) {
        double edge = Math.cbrt(size);
        CoreSize block = size(0.50 * edge, Math.max(0.25 * edge, 1.05 * bore), Math.max(0.076 * edge, bore / 1.55));
        FinnedBlock fins = new FinnedBlock(
                FinnedBlock.Construction.BAR_AND_PLATE,
                Coolant.AIR,
                FinSpec.offset(7.5e-3, 4e-3, 0.2e-3, 8e-3),
                FinSpec.louvred(9e-3, 2.1e-3, 0.12e-3, 1.4e-3, Math.toRadians(24)),
                0.5e-3,
                5e-3,
                FinnedBlock.BRAZING_SHEET,
                0,
                0);
        return core(name, "bar-and-plate", block, fins, bore, new CoolingSide.Air(air));
    }

    static PathElement.Core waterCore(String name, double size, double bore, WaterLoopSpec loop) {
        double edge = Math.cbrt(size);
        CoreSize block = size(0.25 * edge, Math.max(0.12 * edge, 1.05 * bore), Math.max(0.12 * edge, bore / 1.55));
        FinnedBlock fins = new FinnedBlock(
                FinnedBlock.Construction.BAR_AND_PLATE,
                Coolant.WATER,
                FinSpec.offset(8e-3, 3e-3, 0.15e-3, 5e-3),
                FinSpec.offset(3e-3, 3e-3, 0.2e-3, 4e-3),
                0.5e-3,
                5e-3,
                FinnedBlock.BRAZING_SHEET,
                0,
                0);
        return core(name, "water brick", block, fins, bore, new CoolingSide.Water(loop));
    }

    private static PathElement.Core core(
            String name, String construction, CoreSize size, FinnedBlock fins, double bore, CoolingSide cooling) {
        return new PathElement.Core(
                name,
                new CoreSpec(
                        construction,
                        size,
                        fins,
                        Effectiveness.CROSSFLOW_UNMIXED,
                        EndTankSpec.usual(bore),
                        PortSide.RIGHT),
                cooling);
    }

    static WaterLoopSpec withRadiator(double size, FaceAirSpec air) {
        double edge = Math.sqrt(size);
        CoreSize block = new CoreSize(round(0.42 * edge, MILLIMETRES), round(0.28 * edge, MILLIMETRES), 0.042);
        CoreSize card = new CoreSize(0.42, 0.28, 0.042);
        RadiatorSpec radiator = new RadiatorSpec(
                block,
                new RadiatorBasis.Card(
                        card, 15e3, 20 * PER_MINUTE, 333.15, 5, 298.15, OptionalDouble.empty(), OptionalDouble.empty()),
                air);
        double water = round(8 * LITRES * size, HALF_LITRE);
        TankSpec header = new TankSpec(
                round(2 * LITRES * size, HALF_LITRE), false, OptionalDouble.empty(), IceSpec.NONE, false, CAP);
        return loop(size, water, Optional.of(radiator), Optional.of(header), Optional.empty());
    }

    /** @param ice kg */
    static WaterLoopSpec withIce(double size, double ice, boolean refilled) {
        double water = round(12 * LITRES * size, HALF_LITRE);
        double kilograms = round(ice, 1);
        TankSpec tank = new TankSpec(
                round(water + kilograms / IceSpec.DENSITY, HALF_LITRE),
                false,
                OptionalDouble.empty(),
                new IceSpec(kilograms, 0.03, IceSpec.Stir.RETURNED),
                refilled);
        return loop(size, water, Optional.empty(), Optional.of(tank), Optional.empty());
    }

    /** @param volume m3 of water, chilled before the start */
    static WaterLoopSpec withChiller(double size, double volume) {
        double coldest = 277.15;
        double water = round(volume, HALF_LITRE);
        TankSpec tank = new TankSpec(water, false, OptionalDouble.of(coldest), IceSpec.NONE, false);
        return loop(
                size,
                water,
                Optional.empty(),
                Optional.of(tank),
                Optional.of(new ChillerSpec(4.5e3, coldest, 20e3, true)));
    }

    private static WaterLoopSpec loop(
            double size,
            double volume,
            Optional<RadiatorSpec> radiator,
            Optional<TankSpec> tank,
            Optional<ChillerSpec> chiller) {
        return UsualLoop.drawn(size, parts(volume, radiator, tank, chiller, Optional.empty()), 0)
                .pumped();
    }

    /** @param engineSpeed rad/s at full load, for the pump that the engine drives */
    static WaterLoopSpec raw(double size, double engineSpeed) {
        RawWaterSpec sea = new RawWaterSpec(291.15, 0.15e-3);
        return UsualLoop.drawn(
                        size,
                        parts(
                                round(6 * LITRES * size, HALF_LITRE),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.of(sea)),
                        engineSpeed)
                .pumped();
    }

    /** Before it is drawn a loop is known by a flow only. */
    private static WaterLoopSpec parts(
            double volume,
            Optional<RadiatorSpec> radiator,
            Optional<TankSpec> tank,
            Optional<ChillerSpec> chiller,
            Optional<RawWaterSpec> raw) {
        return new WaterLoopSpec(
                GlycolWater.WATER, OptionalDouble.of(20 * PER_MINUTE), volume, List.of(), radiator, tank, chiller, raw);
    }

    /** @param nozzles m3/s at full @param boost Pa asked for */
    static PathElement.Injection injection(String name, double bore, double nozzles, double boost) {
        return new PathElement.Injection(
                name,
                bore,
                new InjectionSpec(
                        0.5,
                        round(nozzles, 0.01 * PER_MINUTE),
                        700e3,
                        700e3,
                        0.4 * boost,
                        0.9 * boost,
                        8 * LITRES,
                        0.6));
    }
}

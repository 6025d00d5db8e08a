package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.KG;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.KW;
import static io.enthalpa.formats.document.Suffix.L;
import static io.enthalpa.formats.document.Suffix.L_MIN;
import static io.enthalpa.formats.document.Suffix.M2K_KW;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.RawWaterSpec;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The water side of a core. */
@Part(value = "core/water", says = "the water of a core")
record WaterLoop(
        @Figure(
                label = "water flow given",
                min = 0.5,
                max = 3000,
                usual = 20,
                help = "by bucket and watch, or a guess; leave empty to find it from pump and losses")
        @Nullable
        Double flow_L_min,

        @Nullable Boolean flowGuessed,

        @Figure(label = "water in all", min = 1, max = 500, usual = 6, help = "tank, hoses, core and radiator")
        double volume_L,

        @Figure(
                label = "heat from the bay",
                min = 0,
                max = 200,
                usual = 4,
                help = "through hoses, tank and core: 2-8 W/K bare, 1-3 wrapped; common practice, no source")
        @Nullable
        Double soak_W_K,

        @Nullable Boolean pumpsWhileOff,

        @Figure(
                label = "glycol",
                min = 0,
                max = 60,
                usual = 0,
                help = "ethylene glycol by volume as poured; 0 where the rules want plain water")
        @Nullable
        Double glycol_pct,

        @Called(value = "piece of the loop", alone = true, most = 60) @Nullable
        List<LoopPieceDocument> pieces,

        @Called(value = "", alone = true) @Nullable Radiator radiator,
        @Called(value = "tank", alone = true) @Nullable Tank tank,
        @Called(value = "chiller", alone = true) @Nullable Chiller chiller,
        @Called(value = "raw water", alone = true) @Nullable RawWater raw) {
    WaterLoopSpec core(Place at) {
        List<LoopPiece> all = pieces == null ? List.of() : LoopPieceDocument.core(pieces, at);
        Optional<io.enthalpa.core.waterloop.RadiatorSpec> cooled =
                Optional.ofNullable(radiator).map(r -> r.core(at.to("radiator")));
        try {
            return new WaterLoopSpec(
                    new GlycolWater(PCT.si(glycol_pct).orElse(0)),
                    L_MIN.si(flow_L_min),
                    L.si(volume_L),
                    all,
                    cooled,
                    Optional.ofNullable(tank).map(Tank::core),
                    Optional.ofNullable(chiller).map(Chiller::core),
                    Optional.ofNullable(raw).map(RawWater::core),
                    soak_W_K == null ? 0 : soak_W_K,
                    !Boolean.FALSE.equals(pumpsWhileOff),
                    Boolean.TRUE.equals(flowGuessed));
        } catch (EnthalpaFault fault) {
            throw at.inside(fault, "");
        }
    }

    static WaterLoop of(WaterLoopSpec l) {
        return new WaterLoop(
                L_MIN.of(l.measured()),
                l.guessed() ? true : null,
                L.of(l.volume()),
                l.soak() > 0 ? l.soak() : null,
                l.whileOff() ? null : false,
                l.coolant().share() > 0 ? PCT.of(l.coolant().share()) : null,
                l.pieces().isEmpty()
                        ? null
                        : l.pieces().stream().map(LoopPieceDocument::of).toList(),
                l.radiator().map(Radiator::of).orElse(null),
                l.tank().map(Tank::of).orElse(null),
                l.chiller().map(Chiller::of).orElse(null),
                l.raw().map(RawWater::of).orElse(null));
    }

    @Part(value = "core/water/tank", says = "a tank, with ice or without")
    record Tank(
            @Figure(
                    label = "tank holds",
                    min = 0.2,
                    max = 500,
                    usual = 8,
                    help = "street and strip about 20 L, ice about 38 L; common practice, no source")
            double holds_L,

            @Nullable Boolean baffled,
            @Nullable Boolean refilled,

            @Figure(
                    label = "water at the start",
                    min = -20,
                    max = 95,
                    usual = 20,
                    help = "empty: as soaked after the drive to the start, or ice water")
            @Nullable
            Double start_C,

            @Figure(label = "ice", min = 0, max = 400, usual = 0, help = "put in before the start") @Nullable
            Double ice_kg,

            @Figure(
                    label = "ice pieces",
                    min = 5,
                    max = 400,
                    usual = 30,
                    help = "edge: cubes 25-35 mm, broken block 60-100 mm; common practice, no source")
            @Nullable
            Double icePiece_mm,

            IceSpec.@Nullable Stir stirred,

            @Figure(
                    label = "cap holds",
                    min = 0,
                    max = 250,
                    usual = 90,
                    help = "printed on it: 50-110 kPa, or 0.5-1.1 bar; empty or 0: open; common practice, no source")
            @Nullable
            Double cap_kPa) {
        TankSpec core() {
            double mass = KG.si(ice_kg).orElse(0);
            IceSpec ice = mass <= 0
                    ? IceSpec.NONE
                    : new IceSpec(
                            mass,
                            MM.si(icePiece_mm).orElse(IceSpec.NONE.piece()),
                            stirred == null ? IceSpec.Stir.RETURNED : stirred);
            return new TankSpec(
                    L.si(holds_L),
                    Boolean.TRUE.equals(baffled),
                    C.si(start_C),
                    ice,
                    Boolean.TRUE.equals(refilled),
                    KPA.si(cap_kPa).orElse(0));
        }

        static Tank of(TankSpec t) {
            boolean ice = t.ice().mass() > 0;
            return new Tank(
                    L.of(t.capacity()),
                    t.baffled(),
                    t.refilled(),
                    C.of(t.start()),
                    ice ? KG.of(t.ice().mass()) : null,
                    ice ? MM.of(t.ice().piece()) : null,
                    ice ? t.ice().stir() : null,
                    t.cap() > 0 ? KPA.of(t.cap()) : null);
        }
    }

    @Part(value = "core/water/chiller", says = "cold from the car's air conditioning")
    record Chiller(
            @Figure(
                    label = "chiller capacity",
                    min = 0.1,
                    max = 60,
                    usual = 4,
                    help =
                            "at 20 °C water and 25 °C outside; a car's air conditioning gives 3-6 kW; common practice, no source")
            double capacity_kW,

            @Figure(label = "coldest water", min = -25, max = 40, usual = 4, help = "where its thermostat stops")
            double coldest_C,

            @Figure(
                    label = "cut out from boost",
                    min = -50,
                    max = 600,
                    usual = 20,
                    help = "full throttle cuts the compressor out in most cars")
            double dropOutBoost_kPa,

            @Nullable Boolean whileWaiting) {
        ChillerSpec core() {
            return new ChillerSpec(
                    KW.si(capacity_kW), C.si(coldest_C), KPA.si(dropOutBoost_kPa), Boolean.TRUE.equals(whileWaiting));
        }

        static Chiller of(ChillerSpec c) {
            return new Chiller(KW.of(c.capacity()), C.of(c.coldest()), KPA.of(c.dropOutBoost()), c.whileWaiting());
        }
    }

    @Part(value = "core/water/raw", says = "sea, lake or mains water that passes once")
    record RawWater(
            @Figure(
                    label = "raw water",
                    min = -2,
                    max = 45,
                    usual = 18,
                    help = "the warmest sea, lake or mains of the season")
            double temperature_C,

            @Figure(
                    label = "fouling, water side",
                    min = 0,
                    max = 3,
                    usual = 0.15,
                    help = "clean 0; sea water 0.1-0.2; TEMA's allowances, from memory")
            @Nullable
            Double fouling_m2K_kW) {
        RawWaterSpec core() {
            return new RawWaterSpec(
                    C.si(temperature_C), M2K_KW.si(fouling_m2K_kW).orElse(0));
        }

        static RawWater of(RawWaterSpec r) {
            return new RawWater(C.of(r.temperature()), M2K_KW.of(r.fouling()));
        }
    }
}

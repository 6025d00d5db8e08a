package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.M2K_KW;
import static io.enthalpa.formats.document.Suffix.MM;

import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.exchanger.FinType;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.fault.EnthalpaFault;
import org.jspecify.annotations.Nullable;

@Part(value = "core/block", says = "its geometry")
record Block(
        FinnedBlock.Construction layers,

        @Figure(
                label = "plate or tube wall",
                min = 0.1,
                max = 5,
                usual = 0.5,
                help = "bar-and-plate 0.4-0.6 mm, tubes 0.3-0.5 mm; common practice, no source")
        double plate_mm,

        @Figure(
                label = "bar width",
                min = 0.2,
                max = 30,
                usual = 5,
                help = "closing bars 4-8 mm; nose of a tube about 1 mm; common practice, no source")
        double bar_mm,

        @Figure(
                label = "metal's conductivity",
                min = 10,
                max = 400,
                usual = FinnedBlock.BRAZING_SHEET,
                help = "brazing sheet 170-190; copper 380; stainless 16; Incropera & DeWitt, from memory")
        @Nullable
        Double conductivity_W_mK,

        @Figure(
                label = "fouling, charge side",
                min = 0,
                max = 5,
                usual = 0.05,
                help = "clean 0; oil film behind a blower 0.1-0.3; common practice, no source")
        @Nullable
        Double chargeFouling_m2K_kW,

        @Figure(
                label = "fouling, cooling side",
                min = 0,
                max = 5,
                usual = 0,
                help = "clean 0; flies and dust 0.2-0.5; sea water 0.1-0.2; common practice, no source")
        @Nullable
        Double coldFouling_m2K_kW,

        @Called("charge fin") Fin chargeFin,
        @Called("cooling fin") Fin coldFin) {
    FinnedBlock core(Place owner, Coolant coolant) {
        Place at = owner.to("block");
        FinSpec charge = chargeFin.core(at.to("chargeFin"));
        FinSpec cold = coldFin.core(at.to("coldFin"));
        try {
            return new FinnedBlock(
                    layers,
                    coolant,
                    charge,
                    cold,
                    MM.si(plate_mm),
                    MM.si(bar_mm),
                    conductivity_W_mK == null ? FinnedBlock.BRAZING_SHEET : conductivity_W_mK,
                    M2K_KW.si(chargeFouling_m2K_kW).orElse(0),
                    M2K_KW.si(coldFouling_m2K_kW).orElse(0));
        } catch (EnthalpaFault fault) {
            throw at.inside(fault, "");
        }
    }

    static Block of(FinnedBlock b) {
        return new Block(
                b.construction(),
                MM.of(b.plate()),
                MM.of(b.bar()),
                b.conductivity(),
                M2K_KW.of(b.chargeFouling()),
                M2K_KW.of(b.coldFouling()),
                Fin.of(b.charge()),
                Fin.of(b.cold()));
    }

    @Part(value = "core/block/fin", says = "a fin")
    record Fin(
            FinType type,

            @Figure(
                    label = "fin height",
                    min = 0.5,
                    max = 40,
                    usual = 6,
                    help = "between the plates: height of the layer")
            double gap_mm,

            @Figure(
                    label = "fin pitch",
                    min = 0.3,
                    max = 30,
                    usual = 2,
                    help = "from fin to fin: 25.4 over fins per inch")
            double pitch_mm,

            @Figure(
                    label = "fin thickness",
                    min = 0.03,
                    max = 3,
                    usual = 0.15,
                    help = "0.08-0.3 mm is usual; common practice, no source")
            double thickness_mm,

            @Figure(
                    label = "strip length or louvre pitch",
                    min = 0.5,
                    max = 50,
                    usual = 3,
                    help = "offset strips 2-6 mm, louvres 0.9-1.7 mm; common practice, no source; none of a plain fin")
            @Nullable
            Double interval_mm,

            @Figure(
                    label = "louvre angle",
                    min = 8,
                    max = 40,
                    usual = 27,
                    help = "20-30° is usual; common practice, no source; of a louvred fin")
            @Nullable
            Double louvreAngle_deg) {
        FinSpec core(Place at) {
            double interval =
                    type == FinType.PLAIN ? MM.si(interval_mm).orElse(0) : MM.si(at.need("interval_mm", interval_mm));
            double angle = type == FinType.LOUVRED
                    ? DEG.si(at.need("louvreAngle_deg", louvreAngle_deg))
                    : DEG.si(louvreAngle_deg).orElse(0);
            return new FinSpec(type, MM.si(gap_mm), MM.si(pitch_mm), MM.si(thickness_mm), interval, angle);
        }

        static Fin of(FinSpec f) {
            return new Fin(
                    f.type(),
                    MM.of(f.gap()),
                    MM.of(f.pitch()),
                    MM.of(f.thickness()),
                    f.type() == FinType.PLAIN ? null : Double.valueOf(MM.of(f.interval())),
                    f.type() == FinType.LOUVRED ? Double.valueOf(DEG.of(f.louvreAngle())) : null);
        }
    }
}

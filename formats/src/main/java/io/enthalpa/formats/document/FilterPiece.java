package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.KG_S;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.chargepath.Intake;
import io.enthalpa.core.chargepath.PathElement;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

@Part(value = "filter", says = "filter and intake in front of the blower", named = true)
record FilterPiece(
        @Kind("filter") String kind,
        String name,

        @Figure(label = "filter outlet bore", min = 10, max = 400, usual = 76, help = "inside")
        double bore_mm,

        @Figure(
                label = "filter loss",
                min = 0,
                max = 30,
                usual = 1.5,
                help = "clean panel filter with box 1-2.5 kPa at full flow; common practice, no source")
        double loss_kPa,

        @Figure(
                label = "flow at that loss",
                min = 0.005,
                max = 10,
                usual = 0.15,
                help = "the flow the loss was read at")
        double flow_kg_s,

        @Figure(
                label = "intake warm-up",
                min = 0,
                max = 60,
                usual = 3,
                help = "cold snorkel 1-4 K, open filter in the bay 10-25 K; common practice, no source")
        double heatGain_K,

        @Figure(
                label = "loss when due for change",
                min = 0,
                max = 40,
                usual = 3,
                help = "about twice the clean loss; common practice, no source")
        @Nullable
        Double dirtyLoss_kPa,

        @Figure(label = "how dirty", min = 0, max = 100, usual = 0, help = "0 is clean, 100 due for change") @Nullable
        Double soiling_pct,

        @Figure(
                label = "drawn from the bay",
                min = 0,
                max = 100,
                usual = 0,
                help =
                        "of its air, on top of the warm-up: sealed box 0-10, open filter in the bay 60-100 %; common practice, no source")
        @Nullable
        Double bayShare_pct,

        Intake.@Nullable From drawsFrom,

        @Figure(
                label = "ram kept",
                min = 0,
                max = 100,
                usual = 100 * Intake.SCOOPED,
                help =
                        "of the pressure of the air that is met on the road; a scoop that looks forwards about half, nothing elsewhere; common practice, no source")
        @Nullable
        Double ram_pct,

        @Nullable String id)
        implements Piece {
    /** Dirty filters lose about twice as much (common practice, no source); for files that do not say. */
    private static final double DIRTY_TIMES = 2;

    @Override
    public PathElement core(Place at) {
        double loss = KPA.si(loss_kPa);
        double dirty = KPA.si(dirtyLoss_kPa).orElse(DIRTY_TIMES * loss);
        if (dirty < loss) {
            throw at.contradiction(
                    "dirtyLoss_kPa",
                    "loss when due for change",
                    Piece.kPa(dirty),
                    "at least the clean loss, " + Piece.kPa(loss),
                    "");
        }
        Intake.From from = drawsFrom == null ? Intake.From.OUTSIDE : drawsFrom;
        return new PathElement.Filter(
                name,
                MM.si(bore_mm),
                loss,
                KG_S.si(flow_kg_s),
                heatGain_K,
                dirty,
                PCT.si(soiling_pct).orElse(0),
                PCT.si(bayShare_pct).orElse(from.bayShare()),
                Intake.of(from, PCT.si(ram_pct)));
    }

    static FilterPiece of(PathElement.Filter f) {
        return new FilterPiece(
                "filter",
                f.name(),
                MM.of(f.bore()),
                KPA.of(f.loss()),
                KG_S.of(f.flow()),
                f.heatGain(),
                KPA.of(f.dirtyLoss()),
                PCT.of(f.soiling()),
                f.bayShare() == f.intake().from().bayShare() ? null : PCT.of(f.bayShare()),
                f.intake().from() == Intake.From.OUTSIDE ? null : f.intake().from(),
                f.intake().equals(Intake.of(f.intake().from(), OptionalDouble.empty()))
                        ? null
                        : PCT.of(f.intake().ram()),
                null);
    }
}

package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.L;
import static io.enthalpa.formats.document.Suffix.L_MIN;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.engine.InjectionSpec;
import org.jspecify.annotations.Nullable;

@Part(value = "injection", says = "water and methanol sprayed into the charge", named = true)
record InjectionPiece(
        @Kind("injection") String kind,
        String name,

        @Figure(label = "pipe bore", min = 10, max = 400, usual = 63, help = "inside, where the nozzle stands")
        double bore_mm,

        @Figure(
                label = "methanol in the mix",
                min = 0,
                max = 100,
                usual = 50,
                help = "by volume; half and half is usual; common practice, no source")
        double alcohol_pct,

        @Figure(
                label = "nozzle flow",
                min = 0.01,
                max = 20,
                usual = 0.4,
                help = "all nozzles together, at the pressure they are rated for")
        double nozzleFlow_L_min,

        @Figure(
                label = "rated at",
                min = 50,
                max = 3000,
                usual = 700,
                help = "pressure difference that the nozzle's flow is given at")
        double ratedPressure_kPa,

        @Figure(label = "pump pressure", min = 100, max = 3000, usual = 1000, help = "at the nozzle, above outside air")
        double pumpPressure_kPa,

        @Figure(label = "starts at boost", min = 0, max = 500, usual = 40, help = "controller setting")
        double startBoost_kPa,

        @Figure(
                label = "full at boost",
                min = 0,
                max = 500,
                usual = 90,
                help = "controller setting; straight between start and full")
        double fullBoost_kPa,

        @Figure(label = "tank", min = 0.1, max = 400, usual = 5, help = "usable content")
        double tank_L,

        @Figure(
                label = "evaporates before the plenum",
                min = 0,
                max = 100,
                usual = 50,
                help =
                        "40-70 % with fine nozzles 300 mm or more ahead; the rest in the cylinder; common practice, no source")
        double evaporated_pct,

        @Nullable String id)
        implements Piece {
    @Override
    public PathElement core(Place at) {
        InjectionSpec spec = new InjectionSpec(
                PCT.si(alcohol_pct),
                L_MIN.si(nozzleFlow_L_min),
                KPA.si(ratedPressure_kPa),
                KPA.si(pumpPressure_kPa),
                KPA.si(startBoost_kPa),
                KPA.si(fullBoost_kPa),
                L.si(tank_L),
                PCT.si(evaporated_pct));
        if (spec.fullBoost() < spec.startBoost()) {
            throw at.contradiction(
                    "fullBoost_kPa",
                    "full at boost",
                    Piece.kPa(spec.fullBoost()),
                    "at least where it starts, " + Piece.kPa(spec.startBoost()),
                    "");
        }
        return new PathElement.Injection(name, MM.si(bore_mm), spec);
    }

    static InjectionPiece of(PathElement.Injection i) {
        InjectionSpec s = i.spec();
        return new InjectionPiece(
                "injection",
                i.name(),
                MM.of(i.bore()),
                PCT.of(s.alcoholShare()),
                L_MIN.of(s.nozzleFlow()),
                KPA.of(s.ratedPressure()),
                KPA.of(s.pumpPressure()),
                KPA.of(s.startBoost()),
                KPA.of(s.fullBoost()),
                L.of(s.tank()),
                PCT.of(s.evaporated()),
                null);
    }
}

package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.CM2;
import static io.enthalpa.formats.document.Suffix.KG;
import static io.enthalpa.formats.document.Suffix.L;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.W_K;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PlenumWallSpec;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

@Part(value = "plenum", says = "where the path ends", named = true)
record PlenumPiece(
        @Kind("plenum") String kind,
        String name,

        @Figure(
                label = "plenum inlet bore",
                min = 10,
                max = 400,
                usual = 63,
                help = "throttle body or plenum neck, inside")
        double bore_mm,

        @Figure(
                label = "plenum volume",
                min = 0.05,
                max = 100,
                usual = USUAL_L,
                help = "plenum and runners up to the valves; counts for filling only")
        @Nullable
        Double volume_L,

        @Called("wall") @Nullable PlenumWall wall,
        @Nullable String id)
        implements Piece {
    static final double USUAL_L = 3;

    @Override
    public PathElement core(Place at) {
        return new PathElement.Plenum(
                name,
                MM.si(bore_mm),
                L.si(volume_L).orElse(L.si(USUAL_L)),
                Optional.ofNullable(wall).map(PlenumWall::core));
    }

    static PlenumPiece of(PathElement.Plenum p) {
        return new PlenumPiece(
                "plenum",
                p.name(),
                MM.of(p.bore()),
                L.of(p.volume()),
                p.wall().map(PlenumWall::of).orElse(null),
                null);
    }

    @Part(value = "plenum/wall", says = "its metal, which the charge warms and cools")
    record PlenumWall(
            @Figure(
                    label = "metal of the plenum",
                    min = 0.2,
                    max = 200,
                    usual = 4,
                    help = "with its runners; aluminium")
            double mass_kg,

            @Figure(label = "inside area", min = 50, max = 100000, usual = 1500, help = "of plenum and runners")
            double area_cm2,

            @Figure(
                    label = "engine at its flange",
                    min = 40,
                    max = 160,
                    usual = 92,
                    help = "about the coolant's temperature")
            double head_C,

            @Figure(
                    label = "through the gasket",
                    min = 0,
                    max = 300,
                    usual = 12,
                    help = "plain gasket 8-25 W/K, thick plastic spacer 1-3; common practice, no source")
            double toHead_W_K) {
        PlenumWallSpec core() {
            return new PlenumWallSpec(KG.si(mass_kg), CM2.si(area_cm2), C.si(head_C), W_K.si(toHead_W_K));
        }

        static PlenumWall of(PlenumWallSpec w) {
            return new PlenumWall(KG.of(w.mass()), CM2.of(w.area()), C.of(w.head()), W_K.of(w.toHead()));
        }
    }
}

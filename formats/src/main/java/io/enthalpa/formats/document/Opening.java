package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.coolingair.OpeningSpec;
import java.util.List;
import org.jspecify.annotations.Nullable;

@Part(value = "airWay/opening", says = "the hole in the bodywork")
record Opening(
        @Figure(label = "opening width", min = 10, max = 3000, usual = 600, help = "hole in the bodywork")
        double width_mm,

        @Figure(label = "opening height", min = 10, max = 2000, usual = 200, help = "hole in the bodywork")
        double height_mm,

        @Figure(
                label = "pressure at the opening",
                min = -50,
                max = 120,
                usual = 90,
                help =
                        "of the road wind's: facing it 85-100, scoop 60-80, sidepod 50-70, under-tray 30-50 %; common practice, no source")
        double pressure_pct,

        @Figure(
                label = "open share of the grille",
                min = 5,
                max = 100,
                usual = 80,
                help = "mesh 60-75, bars 75-90, none 100 %; common practice, no source")
        double open_pct,

        @Nullable Boolean roundedLip,

        @Called(value = "wall", alone = true, most = 20) @Nullable
        List<Wall> walls) {
    OpeningSpec core() {
        return new OpeningSpec(
                MM.si(width_mm),
                MM.si(height_mm),
                PCT.si(pressure_pct),
                PCT.si(open_pct),
                Boolean.TRUE.equals(roundedLip),
                walls == null ? List.of() : walls.stream().map(Wall::core).toList());
    }

    static Opening of(OpeningSpec o) {
        return new Opening(
                MM.of(o.width()),
                MM.of(o.height()),
                PCT.of(o.pressure()),
                PCT.of(o.open()),
                o.rounded(),
                o.walls().stream().map(Wall::of).toList());
    }

    @Part(value = "airWay/opening/wall", says = "what stands before the opening", named = true)
    record Wall(
            String name,

            @Figure(label = "width", min = 1, max = 3000, usual = 520, help = "of what stands before the opening")
            double width_mm,

            @Figure(label = "height", min = 1, max = 2000, usual = 110, help = "of what stands before the opening")
            double height_mm,

            @Figure(
                    label = "off the middle",
                    min = -2000,
                    max = 2000,
                    usual = 0,
                    help = "to the right, middle to middle of the opening")
            double across_mm,

            @Figure(
                    label = "above the middle",
                    min = -2000,
                    max = 2000,
                    usual = 0,
                    help = "middle to middle of the opening")
            double up_mm,

            @Nullable String id)
            implements Named {
        OpeningSpec.Wall core() {
            return new OpeningSpec.Wall(name, MM.si(width_mm), MM.si(height_mm), MM.si(across_mm), MM.si(up_mm));
        }

        static Wall of(OpeningSpec.Wall w) {
            return new Wall(w.name(), MM.of(w.width()), MM.of(w.height()), MM.of(w.across()), MM.of(w.up()), null);
        }
    }
}

package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.MM;

import io.enthalpa.core.chargepath.HotNeighbour;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PipeWallSpec;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

@Part(value = "pipe", says = "tube or hose with its bends", named = true)
record PipePiece(
        @Kind("pipe") String kind,
        String name,
        PipeMaterial material,

        @Figure(
                label = "outside diameter",
                min = 10,
                max = 440,
                usual = 63.5,
                help = "of tube, which is sold so; the bore is less by two walls")
        @Nullable
        Double outside_mm,

        @Figure(
                label = "bore",
                min = LEAST_BORE_MM,
                max = 400,
                usual = 63,
                help = "inside; of hose, which is sold so, or of tube in place of its outside")
        @Nullable
        Double bore_mm,

        @Figure(label = "straight length", min = 0, max = 20000, usual = 1000, help = "bends not counted")
        double length_mm,

        @Called(value = "bend", most = Bend.MOST) List<Bend> bends,
        @Called("wall") @Nullable PipeWall wall,
        @Nullable String id)
        implements Piece {
    static final double LEAST_BORE_MM = 10;

    @Override
    public PathElement core(Place at) {
        double thick = wall == null ? material.usualWall() : wall.thickness(material);
        double bore = bore(at, thick);
        double size = material.isTube() ? bore + 2 * thick : bore;
        PipeSpec spec = new PipeSpec(material, bore, MM.si(length_mm), Bend.all(bends, at, bore, size));
        return wall == null
                ? new PathElement.Pipe(name, spec)
                : new PathElement.Pipe(name, spec, wall.core(at.to("wall"), spec));
    }

    /** @param thick m @return m */
    private double bore(Place at, double thick) {
        if (outside_mm == null) {
            return MM.si(at.need("bore_mm", bore_mm));
        }
        double outside = MM.si((double) outside_mm);
        if (bore_mm != null) {
            throw at.contradiction(
                    "bore_mm", "bore", Piece.mm(MM.si((double) bore_mm)), "left out beside the outside diameter", "");
        }
        if (!material.isTube()) {
            throw at.contradiction(
                    "outside_mm",
                    "outside diameter",
                    Piece.mm(outside),
                    "left out of hose, which is sold by its bore",
                    "Give its bore.");
        }
        double bore = outside - 2 * thick;
        double least = MM.si(LEAST_BORE_MM);
        if (bore < least) {
            throw at.contradiction(
                    "outside_mm",
                    "outside diameter",
                    Piece.mm(outside),
                    "at least %.1f mm with a wall of %.1f mm".formatted(MM.of(least + 2 * thick), MM.of(thick)),
                    "Take larger tube, or a thinner wall.");
        }
        return bore;
    }

    static PipePiece of(PathElement.Pipe pipe) {
        PipeSpec p = pipe.spec();
        return new PipePiece(
                "pipe",
                pipe.name(),
                p.material(),
                p.material().isTube() ? MM.of(pipe.outside()) : null,
                p.material().isTube() ? null : MM.of(p.bore()),
                MM.of(p.length()),
                Bend.of(p),
                pipe.wall().equals(PipeWallSpec.usual(p.material())) ? null : PipeWall.of(pipe.wall()),
                null);
    }

    @Part(value = "pipe/bends", says = "a bend, or a mitre")
    record Bend(
            @Figure(label = "bend angle", min = 0, max = 180, usual = 90, help = "as cut")
            double angle_deg,

            @Nullable Boolean mitre,

            @Figure(
                    label = "bend radius",
                    min = 7,
                    max = 2000,
                    usual = 95,
                    help =
                            "of the centre line; empty: stock, 1.5 times the tube's outside or the hose's bore; none of a mitre")
            @Nullable
            Double radius_mm,

            @Nullable String id) {
        static final int MOST = 40;
        private static final double TIGHTEST = 0.7;

        /** @param size m, what stock of the pipe goes by: outside of tube, bore of hose */
        static List<PipeSpec.Bend> all(List<Bend> bends, Place pipe, double bore, double size) {
            List<PipeSpec.Bend> all = new ArrayList<>();
            for (int i = 0; i < bends.size(); i++) {
                all.add(bends.get(i).core(pipe.to("bends", i, bends.get(i)), bore, size));
            }
            return all;
        }

        private PipeSpec.Bend core(Place at, double bore, double size) {
            if (Boolean.TRUE.equals(mitre)) {
                if (angle_deg > 120.001) {
                    throw at.contradiction(
                            "angle_deg",
                            "mitre angle",
                            "%.0f °".formatted(angle_deg),
                            "at most 120 °",
                            "Cut it as two mitres.");
                }
                return PipeSpec.Bend.mitre(DEG.si(angle_deg));
            }
            if (radius_mm == null) {
                return PipeSpec.Bend.stock(DEG.si(angle_deg), size);
            }
            double radius = MM.si((double) radius_mm);
            if (radius < TIGHTEST * bore) {
                throw at.contradiction(
                        "radius_mm",
                        "bend radius",
                        Piece.mm(radius),
                        "at least 0.7 times the bore, " + Piece.mm(TIGHTEST * bore),
                        "Take a wider bend or a smaller pipe; stock has 1.5 times the pipe's size.");
            }
            return new PipeSpec.Bend(DEG.si(angle_deg), radius);
        }

        static List<Bend> of(PipeSpec pipe) {
            return pipe.bends().stream()
                    .map(b -> b.isMitre()
                            ? new Bend(DEG.of(b.angle()), true, null, null)
                            : new Bend(DEG.of(b.angle()), null, b.stock() ? null : MM.of(b.radius()), null))
                    .toList();
        }
    }

    @Part(value = "pipe/wall", says = "what differs from stock tube in the engine bay")
    record PipeWall(
            @Figure(
                    label = "wall",
                    min = 0.3,
                    max = 20,
                    usual = 1.6,
                    help = "stock: aluminium 1.6, steel 1.5, stainless 1.2, silicone 5 mm; common practice, no source")
            @Nullable
            Double thickness_mm,

            @Nullable Boolean outside,

            @Figure(
                    label = "wrap",
                    min = 0,
                    max = 50,
                    usual = 0,
                    help = "fibre or foam round it; one layer of tape 1.5-2 mm")
            @Nullable
            Double wrap_mm,

            @Called(value = "hot neighbour", alone = true) @Nullable
            Hot hot) {
        PipeWallSpec core(Place at, PipeSpec pipe) {
            Optional<HotNeighbour> beside = Optional.ofNullable(hot)
                    .map(h -> new HotNeighbour(
                            C.si(h.temperature_C),
                            MM.si(h.width_mm),
                            MM.si(h.distance_mm),
                            MM.si(h.along_mm),
                            h.shielded));
            if (beside.isPresent() && beside.get().along() > pipe.developed()) {
                throw at.to("hot")
                        .contradiction(
                                "along_mm",
                                "along",
                                Piece.mm(beside.get().along()),
                                "at most the pipe's own length, " + Piece.mm(pipe.developed()),
                                "");
            }
            return new PipeWallSpec(
                    thickness(pipe.material()),
                    !Boolean.TRUE.equals(outside),
                    MM.si(wrap_mm).orElse(0),
                    beside);
        }

        /** @return m */
        double thickness(PipeMaterial material) {
            return MM.si(thickness_mm).orElse(material.usualWall());
        }

        static PipeWall of(PipeWallSpec w) {
            return new PipeWall(
                    MM.of(w.thickness()),
                    w.inBay() ? null : true,
                    w.wrap() > 0 ? MM.of(w.wrap()) : null,
                    w.neighbour()
                            .map(h -> new Hot(
                                    C.of(h.temperature()),
                                    MM.of(h.width()),
                                    MM.of(h.distance()),
                                    MM.of(h.along()),
                                    h.shielded()))
                            .orElse(null));
        }
    }

    @Part(value = "pipe/wall/hot", says = "something hot beside it")
    record Hot(
            @Figure(
                    label = "hot neighbour",
                    min = 30,
                    max = 1000,
                    usual = 600,
                    help = "turbine housing 500-750, manifold 400-700, silencer 200-400 °C; common practice, no source")
            double temperature_C,

            @Figure(label = "its width", min = 5, max = 2000, usual = 120, help = "across the pipe")
            double width_mm,

            @Figure(label = "from the pipe's middle", min = 5, max = 3000, usual = 100, help = "to its face")
            double distance_mm,

            @Figure(label = "along", min = 10, max = 10000, usual = 250, help = "length of pipe that it stands beside")
            double along_mm,

            boolean shielded) {}
}

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

        @Figure(label = "bore", min = 10, max = 400, usual = 63, help = "inside")
        double bore_mm,

        @Figure(label = "straight length", min = 0, max = 20000, usual = 1000, help = "bends not counted")
        double length_mm,

        @Called(value = "bend", most = Bend.MOST) List<Bend> bends,
        @Called("wall") @Nullable PipeWall wall,
        @Nullable String id)
        implements Piece {
    @Override
    public PathElement core(Place at) {
        PipeSpec spec = new PipeSpec(material, MM.si(bore_mm), MM.si(length_mm), Bend.all(bends, at, MM.si(bore_mm)));
        return wall == null
                ? new PathElement.Pipe(name, spec)
                : new PathElement.Pipe(name, spec, wall.core(at.to("wall"), spec));
    }

    static PipePiece of(PathElement.Pipe pipe) {
        PipeSpec p = pipe.spec();
        return new PipePiece(
                "pipe",
                pipe.name(),
                p.material(),
                MM.of(p.bore()),
                MM.of(p.length()),
                Bend.of(p),
                pipe.wall().equals(PipeWallSpec.usual(p.material())) ? null : PipeWall.of(pipe.wall()),
                null);
    }

    @Part(value = "pipe/bends", says = "a bend, or a mitre")
    record Bend(
            @Figure(label = "bend angle", min = 1, max = 180, usual = 90, help = "as cut")
            double angle_deg,

            @Nullable Boolean mitre,

            @Figure(
                    label = "bend radius",
                    min = 7,
                    max = 2000,
                    usual = 95,
                    help = "of the centre line; 1.5 times the bore is standard stock; none of a mitre")
            @Nullable
            Double radius_mm,

            @Nullable String id) {
        static final int MOST = 40;
        private static final double TIGHTEST = 0.7;

        static List<PipeSpec.Bend> all(List<Bend> bends, Place pipe, double bore) {
            List<PipeSpec.Bend> all = new ArrayList<>();
            for (int i = 0; i < bends.size(); i++) {
                all.add(bends.get(i).core(pipe.to("bends", i, bends.get(i)), bore));
            }
            return all;
        }

        private PipeSpec.Bend core(Place at, double bore) {
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
            double radius = MM.si(at.need("radius_mm", radius_mm));
            if (radius < TIGHTEST * bore) {
                throw at.contradiction(
                        "radius_mm",
                        "bend radius",
                        Piece.mm(radius),
                        "at least 0.7 times the bore, " + Piece.mm(TIGHTEST * bore),
                        "Take a wider bend or a smaller pipe; standard stock has 1.5 times the bore.");
            }
            return new PipeSpec.Bend(DEG.si(angle_deg), radius);
        }

        static List<Bend> of(PipeSpec pipe) {
            return pipe.bends().stream()
                    .map(b -> b.isMitre()
                            ? new Bend(DEG.of(b.angle()), true, null, null)
                            : new Bend(DEG.of(b.angle()), null, MM.of(b.radius()), null))
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
                    MM.si(thickness_mm).orElse(pipe.material().usualWall()),
                    !Boolean.TRUE.equals(outside),
                    MM.si(wrap_mm).orElse(0),
                    beside);
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

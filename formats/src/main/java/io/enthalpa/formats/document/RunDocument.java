package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.MM;

import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

@Part(
        value = "run",
        says =
                "how a pipe of the option, or a hose of a water loop, is laid in the room; its length and bends follow from it")
record RunDocument(
        String of,
        @Nullable String loop,
        @Called("its beginning") @Nullable RunEnd from,

        @Called(value = "corner", alone = true, most = Centreline.MOST_CORNERS)
        List<RunCorner> corners,

        @Called("its end") @Nullable RunEnd to,

        @Called(value = "brace", alone = true, most = 20) @Nullable
        List<RunBrace> braces,

        @Called(value = "fitting", alone = true, most = 20) @Nullable
        List<RunFitting> fittings,

        @Called(value = "oval", alone = true, most = 20) @Nullable
        List<RunOval> ovals,

        @Nullable String id) {
    @Part(value = "run/end", says = "where it begins or ends; without one on what stands before or behind it")
    record RunEnd(double back_mm, double right_mm, double up_mm) implements PlaceInRoom {
        static RunEnd of(Vector3D p) {
            return new RunEnd(MM.of(p.getX()), MM.of(p.getY()), MM.of(p.getZ()));
        }
    }

    @Part(value = "run/corner", says = "where two straights of it would meet")
    record RunCorner(
            double back_mm,
            double right_mm,
            double up_mm,

            @Figure(
                    label = "bend radius",
                    min = 0,
                    max = 3000,
                    usual = 95,
                    help =
                            "of its middle line, 0 for a mitre; without one as of stock, 1.5 times the pipe's size; common practice, no source")
            @Nullable
            Double radius_mm,

            @Nullable String id)
            implements PlaceInRoom {}

    @Part(value = "run/brace", says = "what holds it between its ends")
    record RunBrace(
            @Figure(
                    label = "brace at",
                    min = 0,
                    max = 20000,
                    usual = 300,
                    help = "from where the pipe begins, along its middle")
            double at_mm,

            @Nullable String carrier,
            @Nullable Boolean hard,
            @Nullable String id) {
        Brace core() {
            return new Brace(MM.si(at_mm), carrier == null ? Carrier.BODY.name() : carrier, !Boolean.TRUE.equals(hard));
        }

        static RunBrace of(Brace b) {
            return new RunBrace(
                    MM.of(b.along()),
                    b.carrier().equals(Carrier.BODY.name()) ? null : b.carrier(),
                    b.rubber() ? null : true,
                    null);
        }
    }

    @Part(
            value = "run/fitting",
            says =
                    "what is welded or screwed into the wall of it; sizes that are not said are the usual ones of its kind")
    record RunFitting(
            Fitting.Kind kind,

            @Figure(
                    label = "fitting at",
                    min = 0,
                    max = 20000,
                    usual = 300,
                    help = "its middle, from where the pipe begins, along the pipe's middle")
            double at_mm,

            @Figure(
                    label = "looks",
                    min = -180,
                    max = 180,
                    usual = 0,
                    help =
                            "from straight up, clockwise in the way of the flow; where the pipe goes upright, from the rear")
            @Nullable
            Double clocked_deg,

            @Figure(label = "stands out", min = 2, max = 400, usual = 50, help = "from the tube") @Nullable
            Double out_mm,

            @Figure(label = "across", min = 4, max = 200, usual = 25, help = "the round that holds all of it") @Nullable
            Double across_mm,

            @Figure(label = "hole", min = 1, max = 150, usual = 12, help = "in the wall of the pipe") @Nullable
            Double hole_mm,

            @Nullable String id) {
        Fitting core() {
            return new Fitting(
                    kind,
                    MM.si(at_mm),
                    DEG.si(clocked_deg).orElse(0),
                    new Fitting.Size(MM.si(out_mm), MM.si(across_mm), MM.si(hole_mm)));
        }

        static RunFitting of(Fitting f) {
            return new RunFitting(
                    f.kind(),
                    MM.of(f.along()),
                    f.clock() == 0 ? null : Double.valueOf(DEG.of(f.clock())),
                    MM.of(f.size().out()),
                    MM.of(f.size().across()),
                    MM.of(f.size().hole()),
                    null);
        }
    }

    @Part(
            value = "run/oval",
            says =
                    "where a tube is made flat to pass a tight place: two flats with half a round at either side, its ends led over to the round besides")
    record RunOval(
            @Figure(
                    label = "oval at",
                    min = 0,
                    max = 20000,
                    usual = 300,
                    help = "its middle, from where the pipe begins, along the pipe's middle")
            double at_mm,

            @Figure(label = "flat for", min = 5, max = 2000, usual = 100, help = "all along; the ends come besides")
            double length_mm,

            @Figure(
                    label = "height",
                    min = 10,
                    max = 250,
                    usual = 45,
                    help = "outside, from flat to flat; no less than half the tube")
            double height_mm,

            @Figure(
                    label = "flat looks",
                    min = -180,
                    max = 180,
                    usual = 0,
                    help =
                            "a flat of it, from straight up, clockwise in the way of the flow; where the pipe goes upright, from the rear")
            @Nullable
            Double clocked_deg,

            @Nullable Boolean pressed,
            @Nullable String id) {
        Oval core() {
            return new Oval(
                    MM.si(at_mm),
                    MM.si(length_mm),
                    MM.si(height_mm),
                    DEG.si(clocked_deg).orElse(0),
                    Boolean.TRUE.equals(pressed));
        }

        static RunOval of(Oval o) {
            return new RunOval(
                    MM.of(o.along()),
                    MM.of(o.length()),
                    MM.of(o.height()),
                    o.clock() == 0 ? null : Double.valueOf(DEG.of(o.clock())),
                    o.pressed() ? true : null,
                    null);
        }
    }

    /** @param carriers that the room has */
    Run core(Place at, Set<String> carriers) {
        List<Brace> held = new ArrayList<>();
        for (int i = 0; braces != null && i < braces.size(); i++) {
            RoomDocument.checkCarrier(braces.get(i).carrier(), carriers, at.to("braces", i, braces.get(i)));
            held.add(braces.get(i).core());
        }
        return new Run(
                of,
                Optional.ofNullable(loop),
                Optional.ofNullable(from).map(PlaceInRoom::vector),
                corners.stream()
                        .map(c -> new Run.Corner(c.vector(), MM.si(c.radius_mm)))
                        .toList(),
                Optional.ofNullable(to).map(PlaceInRoom::vector),
                held,
                fittings == null
                        ? List.of()
                        : fittings.stream().map(RunFitting::core).toList(),
                ovals == null ? List.of() : ovals.stream().map(RunOval::core).toList());
    }

    static RunDocument of(Run r) {
        return new RunDocument(
                r.of(),
                r.loop().orElse(null),
                r.from().map(RunEnd::of).orElse(null),
                r.corners().stream().map(RunDocument::corner).toList(),
                r.to().map(RunEnd::of).orElse(null),
                r.braces().isEmpty()
                        ? null
                        : r.braces().stream().map(RunBrace::of).toList(),
                r.fittings().isEmpty()
                        ? null
                        : r.fittings().stream().map(RunFitting::of).toList(),
                r.ovals().isEmpty() ? null : r.ovals().stream().map(RunOval::of).toList(),
                null);
    }

    private static RunCorner corner(Run.Corner c) {
        OptionalDouble radius = c.radius();
        RunEnd at = RunEnd.of(c.at());
        return new RunCorner(at.back_mm, at.right_mm, at.up_mm, MM.of(radius), null);
    }
}

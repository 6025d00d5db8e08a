package io.enthalpa.server.answers;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.envelope.LargestCore;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fit.Against;
import io.enthalpa.core.fit.AirBehind;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Body;
import io.enthalpa.core.fit.Clocking;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.GapRow;
import io.enthalpa.core.fit.WayOut;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Solid;
import io.enthalpa.core.space.Way;
import io.enthalpa.core.trial.RoomForCore;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.PipesCsv;
import io.enthalpa.formats.RoomShapes;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.problem.NotThereException;
import io.enthalpa.server.work.Work;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What can be asked of a body in its room: put against something, the ways it comes out, the largest core that passes there. Stateless. */
@RestController
@RequestMapping("/api/preview")
class FitController {
    /** m: farther than any room. */
    private static final double FAR = 1000;

    private final Work work;
    private final KnownAnswers known;

    FitController(Work work, KnownAnswers known) {
        this.work = work;
        this.known = known;
    }

    /** An option in its room, and one of its bodies. */
    private record InRoom(BuildOption option, RoomSpec room, Fit fit, int body) {
        /** @param place of the body, "/stands/0" */
        static InRoom of(Build build, String letter, String place) {
            BuildOption option = build.option(letter);
            RoomSpec room = roomOf(build);
            Fit fit = Fit.of(option, room);
            for (int i = 0; i < fit.bodies().size(); i++) {
                if (FitView.stand(fit.bodies().get(i)).equals(place)) {
                    return new InRoom(option, room, fit, i);
                }
            }
            throw refused("/place", "place", place, "a body that has a place, as in /stands/0");
        }

        Body own() {
            return fit.bodies().get(body);
        }
    }

    static RoomSpec roomOf(Build build) {
        return build.room().orElseThrow(() -> refused("/document", "room", "none", "a build with a measured room"));
    }

    static EnthalpaFault refused(String pointer, String name, String value, String allowed) {
        String told = value.length() > 60 ? value.substring(0, 60) + "..." : value;
        return EnthalpaFault.of(FaultKind.MALFORMED, pointer, name, "\"" + told + "\"", allowed, "");
    }

    /**
     * @param place   of the body, "/stands/0"
     * @param against place of an obstacle or of another body
     * @param side    of that, on which the body shall stand
     * @param centred on it across
     */
    record AgainstRequest(
            JsonNode document, String option, String place, String against, Way side, Double gap_mm, boolean centred) {}

    record PlaceAnswer(double back_mm, double right_mm, double up_mm) {}

    /** Where the body comes to; 422 when it would not meet what it is put against. */
    @PostMapping("/against")
    PlaceAnswer against(@RequestBody AgainstRequest request) {
        InRoom in = InRoom.of(
                BuildFile.read(Asked.document(request.document())),
                Asked.text(request.option(), "option"),
                Asked.text(request.place(), "place"));
        if (request.side() == null) {
            throw refused("/side", "side", "", "one of " + List.of(Way.values()));
        }
        double gap = EnthalpaFault.within("gap", Asked.number(request.gap_mm(), "gap_mm"), 0, 2000, "mm") / 1000;
        String against = Asked.text(request.against(), "against");
        if (against.equals(request.place())) {
            throw refused("/against", "against", against, "something else than the body itself");
        }
        Thing target = thing(in.fit, in.room, "/against", against);
        Stand there = Against.of(in.own(), target.solid, target.name, request.side(), gap, request.centred());
        Vector3D m = there.middle();
        return new PlaceAnswer(FitView.tape(m.getX()), FitView.tape(m.getY()), FitView.tape(m.getZ()));
    }

    /** An obstacle or a body by its place. */
    private record Thing(String name, Solid solid) {}

    private static Thing thing(Fit fit, RoomSpec room, String pointer, String place) {
        for (int k = 0; k < fit.solids().size(); k++) {
            if (FitView.place(k).equals(place)) {
                return new Thing(room.obstacles().get(k).name(), fit.solids().get(k));
            }
        }
        return fit.bodies().stream()
                .filter(b -> FitView.stand(b).equals(place))
                .findFirst()
                .map(b -> new Thing(b.name(), b.solid()))
                .orElseThrow(() -> refused(
                        pointer,
                        pointer.substring(1),
                        place,
                        "an obstacle or a body that has a place, as in /room/obstacles/0"));
    }

    /** @param place of an obstacle or a body @param against place of another */
    record BetweenRequest(JsonNode document, String option, String place, String against) {}

    /** The gap of the two, less than 0 when one stands in the other, and where it is least: back, right, up. */
    record BetweenAnswer(double gap_mm, List<Double> from_mm, List<Double> to_mm) {}

    /** Between any two, however far apart; 422 of two planes. */
    @PostMapping("/between")
    BetweenAnswer between(@RequestBody BetweenRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        RoomSpec room = roomOf(build);
        Fit fit = Fit.of(build.option(Asked.text(request.option(), "option")), room);
        Thing from = thing(fit, room, "/place", Asked.text(request.place(), "place"));
        Thing to = thing(fit, room, "/against", Asked.text(request.against(), "against"));
        if (from.solid.half().isPresent() && to.solid.half().isPresent()) {
            throw refused(
                    "/against", "against", to.name, "something that has an end, for " + from.name + " is a plane");
        }
        Gap gap = Gaps.between(from.solid, to.solid, FAR).orElseThrow();
        return new BetweenAnswer(
                FitView.mm(gap.value()),
                FitView.point(gap.apart().onA()),
                FitView.point(gap.apart().onB()));
    }

    /** @param place of the body, "/stands/0" */
    record BodyRequest(JsonNode document, String option, String place) {}

    /** @param after_mm that the body comes before it strikes @param movable whether it can be taken or moved out of the way */
    record InWayView(String place, String name, double after_mm, boolean movable) {}

    /** @param inWay what it would strike, the first first; empty when it comes out */
    record WayOutView(Way way, double length_mm, List<InWayView> inWay) {}

    record WaysOutAnswer(List<WayOutView> ways) {}

    /** What is asked of a body in the room, of the page's questions of its kind only the newest. */
    private <T> T about(@Nullable String page, String what, BodyRequest request, Function<InRoom, T> answer) {
        JsonNode document = Asked.document(request.document());
        String letter = Asked.text(request.option(), "option");
        String place = Asked.text(request.place(), "place");
        return work.now(page, what, () -> answer.apply(InRoom.of(BuildFile.read(document), letter, place)));
    }

    @PostMapping("/ways-out")
    WaysOutAnswer waysOut(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody BodyRequest request) {
        return about(page, "waysOut", request, in -> {
            return new WaysOutAnswer(WayOut.of(in.fit, in.body, in.room).stream()
                    .map(out -> new WayOutView(
                            out.way(),
                            FitView.mm(out.length()),
                            out.inWay().stream()
                                    .map(w -> new InWayView(
                                            w.obstacle().isPresent()
                                                    ? FitView.place(w.obstacle().getAsInt())
                                                    : FitView.stand(in.fit
                                                            .bodies()
                                                            .get(w.other().orElseThrow())),
                                            w.name(),
                                            FitView.mm(w.after()),
                                            w.movable()))
                                    .toList()))
                    .toList());
        });
    }

    /**
     * @param clocked_deg clockwise from straight up, seen from its inlet
     * @param spare_mm    that the nearest has beyond what is asked, less than 0 when it is short of it; empty when nothing is near
     * @param name        of the nearest
     */
    record ClockingView(
            double clocked_deg,
            @Nullable Double spare_mm,
            @Nullable String name,
            boolean clear) {}

    record SpanView(double from_deg, double to_deg) {}

    /** @param clear spans, the second before the first where one goes over the top @param best the one with most to spare, a number of the ways */
    record ClockingAnswer(List<ClockingView> ways, List<SpanView> clear, int best) {}

    /** What a blower's housing comes to, clocked all round; 422 when it has no scroll. */
    @PostMapping("/clocking")
    ClockingAnswer clocking(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody BodyRequest request) {
        return about(page, "clocking", request, in -> {
            if (!Bodies.hasScroll(in.option, in.own().stand())
                    || in.own().stand().scroll().isEmpty()) {
                throw refused(
                        "/place",
                        "place",
                        request.place(),
                        "a turbo or centrifugal blower that is said how it is clocked");
            }
            List<Clocking> all = Clocking.of(in.option, in.room, in.fit, in.body);
            List<ClockingView> ways = all.stream()
                    .map(c -> new ClockingView(
                            Math.rint(Math.toDegrees(c.clocked())),
                            c.worst().map(w -> FitView.mm(-w.missing())).orElse(null),
                            c.worst().map(GapRow::name).orElse(null),
                            c.isClear()))
                    .toList();
            List<SpanView> clear = Clocking.clear(all).stream()
                    .map(s -> new SpanView(
                            ways.get(s.from()).clocked_deg(), ways.get(s.to()).clocked_deg()))
                    .toList();
            return new ClockingAnswer(ways, clear, Clocking.best(all));
        });
    }

    /**
     * @param place      of a core, "/stands/0"
     * @param back_mm    a place that must lie in it; its own where left out
     * @param deepest_mm of its block; as deep as it is where left out
     * @param airBehind  whether the free air that is usual behind a core cooled by air is asked; yes where left out
     */
    record LargestRequest(
            JsonNode document,
            String option,
            String place,
            @Nullable Double back_mm,
            @Nullable Double right_mm,
            @Nullable Double up_mm,
            @Nullable Double deepest_mm,
            @Nullable Boolean airBehind) {}

    @PostMapping("/largest-core")
    LargestCoreView.LargestAnswer largestCore(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody LargestRequest request) {
        JsonNode document = Asked.document(request.document());
        String letter = Asked.text(request.option(), "option");
        String place = Asked.text(request.place(), "place");
        String what = Stream.of(
                        letter,
                        place,
                        request.back_mm(),
                        request.right_mm(),
                        request.up_mm(),
                        request.deepest_mm(),
                        request.airBehind())
                .map(String::valueOf)
                .collect(Collectors.joining(" "));
        return work.now(
                page,
                "largestCore",
                () -> known.about(document).or("largest core " + what, LargestCoreView.LargestAnswer.class, () -> {
                    Build build = BuildFile.read(document);
                    InRoom in = InRoom.of(build, letter, place);
                    if (in.own().stand().what() != Stand.What.CORE) {
                        throw refused("/place", "place", place, "a core's place");
                    }
                    Vector3D now = in.own().stand().middle();
                    Vector3D at = new Vector3D(
                            metres("back", request.back_mm(), now.getX()),
                            metres("right", request.right_mm(), now.getY()),
                            metres("up", request.up_mm(), now.getZ()));
                    double deepest = request.deepest_mm() == null
                            ? Bodies.core(in.option, in.own().stand())
                                    .spec()
                                    .size()
                                    .depth()
                            : EnthalpaFault.within("depth", request.deepest_mm(), 20, 400, "mm") / 1000;
                    boolean air = in.own().face().isPresent() && !Boolean.FALSE.equals(request.airBehind());
                    LargestCore.Wanted wanted = new LargestCore.Wanted(at, deepest, air ? AirBehind.WANTED : 0);
                    return LargestCoreView.of(in.option, RoomForCore.of(build, letter, in.body, wanted), in.room);
                }));
    }

    /** Room and bodies as a file of shapes; how is stl, obj or glb; as csv its laid pipes, point by point and bend by bend. */
    @PostMapping("/room/{how}")
    ResponseEntity<byte[]> shapes(@PathVariable String how, @RequestBody ShapesRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        BuildOption option = build.option(Asked.text(request.option(), "option"));
        RoomSpec room = roomOf(build);
        Fit fit = Fit.of(option, room);
        RoomShapes shapes = RoomShapes.of(fit, room);
        return switch (how) {
            case "stl" -> file("model/stl", shapes.stl());
            case "obj" -> file("model/obj", shapes.obj().getBytes(StandardCharsets.UTF_8));
            case "glb" -> file("model/gltf-binary", shapes.glb());
            case "csv" -> file("text/csv", PipesCsv.of(fit.pipes().all()).getBytes(StandardCharsets.UTF_8));
            default -> throw new NotThereException("a room as " + how + "; stl, obj, glb and csv are there");
        };
    }

    record ShapesRequest(JsonNode document, String option) {}

    private static ResponseEntity<byte[]> file(String type, byte[] bytes) {
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(type)).body(bytes);
    }

    private static double metres(String label, @Nullable Double mm, double now) {
        return mm == null ? now : EnthalpaFault.within(label, mm, -10_000, 10_000, "mm") / 1000;
    }
}

package io.enthalpa.core.fit;

import io.enthalpa.core.route.JointsSpec;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A clamp that no tool comes to.
 *
 * @param body    its number among the bodies
 * @param element the clamp, "inlet clamp"
 */
public record ToolRoom(int body, String element) {
    public static final Method METHOD = Method.of(
                    "tool-room",
                    "Room for the tool at a clamp",
                    "Round each clamp, of ports and of laid pipes on what they are joined to, a bar as broad as the band is held to it in eight ways, 40 mm outwards: one of them must "
                            + "be free of everything, for a clamp can be turned on its hose before it is tightened.")
            .source(Citation.commonPractice("40 mm on one side of a clamp's screw"))
            .leavesOut("The way of the hand to there.");
    /** m; common practice, no source. */
    static final double WANTED = 40e-3;

    private static final int WAYS = 8;
    /** m that a bar may scrape along its own core by. */
    private static final double TOUCH = 1e-6;

    /**
     * @param bodies those that stand, then the pipes
     * @return the clamps that no tool comes to
     */
    static List<ToolRoom> of(List<Body> bodies, Pipework pipes, List<Solid> solids) {
        List<ToolRoom> all = new ArrayList<>();
        int standing = bodies.size() - pipes.all().size();
        for (int i = 0; i < bodies.size(); i++) {
            List<Solid> others = new ArrayList<>(solids);
            for (int j = 0; j < bodies.size(); j++) {
                if (j != i) {
                    others.add(bodies.get(j).solid());
                }
            }
            if (i >= standing) {
                for (Band clamp : bands(pipes, pipes.all().get(i - standing))) {
                    if (isShut(clamp.band, others)) {
                        all.add(new ToolRoom(i, clamp.name));
                    }
                }
                continue;
            }
            for (Solid.Part part : bodies.get(i).solid().parts()) {
                if (part.element().endsWith(Spigot.CLAMP) && part.convex() instanceof Frustum band) {
                    List<Solid> around = new ArrayList<>(others);
                    around.add(rest(bodies.get(i), part.element()));
                    if (isShut(band, around)) {
                        all.add(new ToolRoom(i, part.element()));
                    }
                }
            }
        }
        return all;
    }

    private record Band(String name, Frustum band) {}

    /** Of a pipe at its ends, where what it is joined by has one: in the middle of what the joint sits on. */
    private static List<Band> bands(Pipework pipes, Laid laid) {
        List<Band> all = new ArrayList<>();
        boolean first = pipes.run(laid).from().isEmpty() && pipes.isClamped(laid, JointsSpec.End.START);
        boolean last = laid.behind().isPresent() && pipes.isClamped(laid, JointsSpec.End.END);
        if (first) {
            all.add(new Band("first" + Spigot.CLAMP, band(laid, Pipework.STUB / 2)));
        }
        if (last) {
            all.add(new Band("last" + Spigot.CLAMP, band(laid, laid.line().length() - Pipework.STUB / 2)));
        }
        return all;
    }

    private static Frustum band(Laid laid, double along) {
        Vector3D middle = laid.line().at(along);
        Vector3D half = laid.line().heading(along).scalarMultiply(Spigot.CLAMP_WIDTH / 2);
        double radius = laid.pipe().outside() / 2 + Spigot.CLAMP_OUT;
        return Frustum.cylinder(middle.subtract(half), middle.add(half), radius);
    }

    /** The body without the clamp itself. */
    private static Solid rest(Body body, String clamp) {
        return Solid.of(body.solid().parts().stream()
                .filter(p -> !p.element().equals(clamp))
                .toList());
    }

    private static boolean isShut(Frustum band, List<Solid> around) {
        Vector3D axis = band.to().subtract(band.from());
        double width = axis.getNorm();
        Vector3D middle = band.from().add(0.5, axis);
        Vector3D along = axis.normalize();
        Vector3D out = along.orthogonal();
        return IntStream.range(0, WAYS).noneMatch(i -> {
            Vector3D way = out.scalarMultiply(Math.cos(2 * Math.PI * i / WAYS))
                    .add(Math.sin(2 * Math.PI * i / WAYS), along.crossProduct(out));
            Vector3D at = middle.add(band.radius() + WANTED / 2, way);
            // Its length outwards, its breadth along the pipe.
            Rotation turn = new Rotation(Vector3D.PLUS_I, Vector3D.PLUS_J, way, along);
            Solid bar = Solid.of("tool", Hull.box(new Pose(at, turn), WANTED, width, width));
            return around.stream()
                    .allMatch(s -> Gaps.between(bar, s, 0)
                            .filter(g -> g.value() < -TOUCH)
                            .isEmpty());
        });
    }
}

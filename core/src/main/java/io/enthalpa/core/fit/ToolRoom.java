package io.enthalpa.core.fit;

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
                    "Round each clamp a bar as broad as the band is held to it in eight ways, 40 mm outwards: one of them must be free of everything, for a clamp can be "
                            + "turned on its hose before it is tightened.")
            .source(Citation.commonPractice("40 mm on one side of a clamp's screw"))
            .leavesOut("The way of the hand to there.");
    /** m; common practice, no source. */
    static final double WANTED = 40e-3;

    private static final int WAYS = 8;
    /** m that a bar may scrape along its own core by. */
    private static final double TOUCH = 1e-6;

    /** @return the clamps that no tool comes to */
    static List<ToolRoom> of(List<Body> bodies, List<Solid> solids) {
        List<ToolRoom> all = new ArrayList<>();
        for (int i = 0; i < bodies.size(); i++) {
            List<Solid> others = new ArrayList<>(solids);
            for (int j = 0; j < bodies.size(); j++) {
                if (j != i) {
                    others.add(bodies.get(j).solid());
                }
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

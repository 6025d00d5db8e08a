package io.enthalpa.core.envelope;

import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.fit.CoreBody;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A box that a core with its tanks may fill, in the core's own axes from the place that was pointed at.
 * Where it is deeper than the core may be, the core stands in it as near to the place as it can.
 *
 * @param faces    m, front, rear, left, right, bottom, top
 * @param frame    the place that was pointed at and how the core is turned there
 * @param template the core whose tanks, ports and turning it has
 * @param deepest  m
 * @param behind   m of free air that its block wants behind it
 */
record Box(double[] faces, Pose frame, CoreSpec template, double deepest, double behind) {
    /** m: no block is thinner, lower or shorter. */
    static final double THINNEST = 20e-3;

    /** m: what stands in the free air wanted keeps as much from a slab that is smaller by as much all round. */
    static final double AIR_GAP = 1e-3;

    /** m: a point nearer than asked by less is missed. */
    private static final double FINE = 0.1e-3;

    static final int SIDES = 6;

    Box with(int side, double face) {
        double[] other = faces.clone();
        other[side] = face;
        return new Box(other, frame, template, deepest, behind);
    }

    /** @return 1 for faces whose number grows as the box does, -1 for the others */
    static int outwards(int side) {
        return side % 2 == 0 ? -1 : 1;
    }

    /** @return the own axis that a face is square to */
    static Vector3D axis(int side) {
        return switch (side / 2) {
            case 0 -> Vector3D.PLUS_I;
            case 1 -> Vector3D.PLUS_J;
            default -> Vector3D.PLUS_K;
        };
    }

    /** @return the box of a core of some size round the place */
    Box round(CoreSize size) {
        double along = size.width() / 2 + tank();
        double across = size.height() / 2;
        double right = onEnd() ? across : along;
        double up = onEnd() ? along : across;
        double deep = size.depth() / 2;
        return new Box(new double[] {-deep, deep, -right, right, -up, up}, frame, template, deepest, behind);
    }

    private double tank() {
        return template.tanks().depth();
    }

    private boolean onEnd() {
        return template.isOnEnd();
    }

    double depth() {
        return Math.min(faces[1] - faces[0], deepest);
    }

    private double along() {
        return (onEnd() ? faces[5] - faces[4] : faces[3] - faces[2]) - 2 * tank();
    }

    private double across() {
        return onEnd() ? faces[3] - faces[2] : faces[5] - faces[4];
    }

    /** @return m3 of the block; 0 where there is none */
    double volume() {
        return depth() < THINNEST || along() < THINNEST || across() < THINNEST || !carriesPorts()
                ? 0
                : depth() * along() * across();
    }

    private boolean carriesPorts() {
        return template.tanks().fitOn(size());
    }

    CoreSize size() {
        return new CoreSize(along(), across(), depth());
    }

    /** @return m, the middle of the block */
    Vector3D middle() {
        double deep = depth();
        double front = Math.max(faces[0], Math.min(faces[1] - deep, -deep / 2));
        return new Vector3D(front + deep / 2, (faces[2] + faces[3]) / 2, (faces[4] + faces[5]) / 2);
    }

    CoreSpec spec() {
        return template.withSize(size());
    }

    /** @return where the middle of the block stands in the room */
    Vector3D place() {
        return frame.toRoom(middle());
    }

    /** @return the core in it, in the room */
    Solid core() {
        Pose there = pose();
        return Solid.of(CoreBody.parts(spec()).stream()
                .map(p -> new Solid.Part(p.element(), p.convex().moved(there)))
                .toList());
    }

    /** @return the free air that its block wants behind it, in the room, smaller by {@link #AIR_GAP} all round */
    Solid air() {
        double[] slab = slab();
        Vector3D middle = new Vector3D((slab[0] + slab[1]) / 2, (slab[2] + slab[3]) / 2, (slab[4] + slab[5]) / 2);
        return Solid.of(
                "air",
                Hull.box(
                        Pose.at(middle.getX(), middle.getY(), middle.getZ()).in(frame),
                        slab[1] - slab[0],
                        slab[3] - slab[2],
                        slab[5] - slab[4]));
    }

    private double[] slab() {
        double rear = middle().getX() + depth() / 2;
        double level = onEnd() ? 0 : tank();
        double upright = onEnd() ? tank() : 0;
        return new double[] {
            rear + AIR_GAP,
            rear + behind - AIR_GAP,
            faces[2] + level + AIR_GAP,
            faces[3] - level - AIR_GAP,
            faces[4] + upright + AIR_GAP,
            faces[5] - upright - AIR_GAP
        };
    }

    /** @return what must miss some neighbour: the core, or the air behind it */
    Solid of(Neighbour neighbour) {
        return neighbour.isOfAir() ? air() : core();
    }

    /**
     * @return where to look from for a point that a neighbour has in the way: the place itself; of the air behind a block that begins beside the
     *     place its middle, for what strikes it all along would else be cut off it slice by slice
     */
    Vector3D from(Neighbour neighbour) {
        if (!neighbour.isOfAir()) {
            return frame.at();
        }
        double[] slab = slab();
        return frame.toRoom(new Vector3D(0, orMiddle(slab[2], slab[3]), orMiddle(slab[4], slab[5])));
    }

    private static double orMiddle(double low, double high) {
        return low <= 0 && high >= 0 ? 0 : (low + high) / 2;
    }

    /** @return the point of block and tanks, or of the air behind, nearest to one of the room */
    Vector3D nearest(Vector3D point, Neighbour neighbour) {
        Vector3D own = frame.toOwn(point);
        double deep = depth();
        double middle = middle().getX();
        double[] of = neighbour.isOfAir()
                ? slab()
                : new double[] {middle - deep / 2, middle + deep / 2, faces[2], faces[3], faces[4], faces[5]};
        return frame.toRoom(new Vector3D(
                within(own.getX(), of[0], of[1]), within(own.getY(), of[2], of[3]), within(own.getZ(), of[4], of[5])));
    }

    /** @return whether the core in it keeps a gap from a point of a neighbour, to {@link #FINE}; no core misses everything */
    boolean misses(Vector3D point, double gap, Neighbour neighbour) {
        if (volume() == 0) {
            return true;
        }
        double asked = gap - FINE;
        if (nearest(point, neighbour).distance(point) < asked) {
            return false;
        }
        return neighbour.isOfAir() || portsMiss(Solid.of("point", Hull.ball(point, 0)), asked);
    }

    /** @return whether its ports and clamps keep a gap from something */
    boolean portsMiss(Solid other, double gap) {
        if (volume() == 0) {
            return true;
        }
        Pose there = pose();
        for (Solid.Part port : ports()) {
            Solid alone = Solid.of(port.element(), port.convex().moved(there));
            if (Gaps.between(alone, other, gap).filter(g -> g.value() < gap).isPresent()) {
                return false;
            }
        }
        return true;
    }

    private List<Solid.Part> ports() {
        return CoreBody.parts(spec()).stream()
                .filter(part -> part.convex() instanceof Frustum)
                .toList();
    }

    private Pose pose() {
        Vector3D m = middle();
        return Pose.at(m.getX(), m.getY(), m.getZ()).in(frame);
    }

    private static double within(double value, double low, double high) {
        return Math.max(low, Math.min(high, value));
    }
}

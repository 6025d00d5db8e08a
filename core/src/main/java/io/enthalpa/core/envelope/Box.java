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
 */
record Box(double[] faces, Pose frame, CoreSpec template, double deepest) {
    /** m: no block is thinner, lower or shorter. */
    static final double THINNEST = 20e-3;

    /** m: a point nearer than asked by less is missed. */
    private static final double FINE = 0.1e-3;

    static final int SIDES = 6;

    Box with(int side, double face) {
        double[] other = faces.clone();
        other[side] = face;
        return new Box(other, frame, template, deepest);
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
        return new Box(new double[] {-deep, deep, -right, right, -up, up}, frame, template, deepest);
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

    /** @return the point of block and tanks nearest to one of the room */
    Vector3D nearest(Vector3D point) {
        Vector3D own = frame.toOwn(point);
        double deep = depth();
        double middle = middle().getX();
        return frame.toRoom(new Vector3D(
                within(own.getX(), middle - deep / 2, middle + deep / 2),
                within(own.getY(), faces[2], faces[3]),
                within(own.getZ(), faces[4], faces[5])));
    }

    /** @return whether the core in it keeps a gap from a point of the room, to {@link #FINE}; no core misses everything */
    boolean misses(Vector3D point, double gap) {
        if (volume() == 0) {
            return true;
        }
        double asked = gap - FINE;
        if (nearest(point).distance(point) < asked) {
            return false;
        }
        return portsMiss(Solid.of("point", Hull.ball(point, 0)), asked);
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

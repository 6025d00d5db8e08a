package io.enthalpa.core.fit;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import io.enthalpa.core.space.Way;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Puts a body against something: on one side of it, a gap off, as one holds a core to a bar. */
public final class Against {
    public static final Method METHOD = Method.of(
                    "put-against",
                    "Put against",
                    "The body comes from the side asked for, from where it is clear, and goes on by what its gap has to spare: no point of it can pass the gap "
                            + "asked, and it stands where the gap is as asked, to 0.01 mm. Centred: the middle of the body, of a core the middle of its block, "
                            + "lies on the middle of what it is put against; otherwise it keeps where it was across.")
            .source(Citation.commonPractice("a core is held against the bar it hangs from"))
            .leavesOut("What else stands in the way: the list of gaps tells it.");
    /** m */
    private static final double NEAR = 1e-6;

    private static final int MOST_STEPS = 500;
    /** m: farther than any room. */
    private static final double FAR = 100;
    /** A plane that lies flatter than this along the way is not met. */
    private static final double LEAST_SLOPE = 0.2;

    private final Body body;
    private final Solid target;
    private final String name;
    private final Way side;
    private final double gap;

    private Against(Body body, Solid target, String name, Way side, double gap) {
        this.body = body;
        this.target = target;
        this.name = name;
        this.side = side;
        this.gap = gap;
    }

    /**
     * @param name    of the target
     * @param side    of the target on which the body shall stand
     * @param gap     m between them
     * @param centred on it across that way
     * @return where the body's middle comes to, its turns as they are
     * @throws EnthalpaFault when it would not meet the target
     */
    public static Stand of(Body body, Solid target, String name, Way side, double gap, boolean centred) {
        Against against = new Against(body, target, name, side, gap);
        Vector3D across = centred ? against.toMiddle() : Vector3D.ZERO;
        Vector3D by = target.half().isPresent() ? against.toPlane(across) : against.toSolid(across);
        return body.stand().at(body.stand().middle().add(by));
    }

    private Vector3D toMiddle() {
        if (target.half().isPresent()) {
            return Vector3D.ZERO;
        }
        Vector3D way =
                target.bounds().orElseThrow().middle().subtract(body.stand().middle());
        return way.subtract(side.vector().scalarMultiply(way.dotProduct(side.vector())));
    }

    private Vector3D toPlane(Vector3D across) {
        double slope = side.vector().dotProduct(target.half().orElseThrow().normal());
        if (slope < LEAST_SLOPE) {
            throw missed("a side that it can be met from");
        }
        double there = gap(across).orElseThrow().value();
        return across.add((gap - there) / slope, side.vector());
    }

    private Vector3D toSolid(Vector3D across) {
        Bounds box = target.bounds().orElseThrow();
        Bounds own = body.solid().bounds().orElseThrow();
        Way back = side.opposite();
        // From where its box is clear of the other's it comes nearer.
        double shift = side.reach(box) + back.reach(own) + gap;
        double passed = -back.reach(box) - side.reach(own) - gap;
        for (int i = 0; i < MOST_STEPS; i++) {
            double spare = gap(across.add(shift, side.vector())).orElseThrow().value() - gap;
            if (spare < NEAR) {
                return across.add(shift, side.vector());
            }
            shift -= spare;
            if (shift < passed) {
                throw missed("centred on it, or moved across until it meets it");
            }
        }
        return across.add(shift, side.vector());
    }

    private Optional<Gap> gap(Vector3D by) {
        return Gaps.between(body.solid().moved(new Pose(by, Rotation.IDENTITY)), target, FAR);
    }

    private EnthalpaFault missed(String allowed) {
        return EnthalpaFault.of(
                FaultKind.CONTRADICTION,
                "side",
                body.name() + " put against " + name,
                "it would pass by it",
                allowed,
                "Take another side or centre it.");
    }
}

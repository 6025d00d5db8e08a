package io.enthalpa.core.fit;

import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import io.enthalpa.core.space.Way;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A straight way along which a body is put in and taken out.
 *
 * @param way    it comes out
 * @param length m, until it is past all that was measured
 * @param inWay  what it would strike, the first first; empty when it comes out
 */
public record WayOut(Way way, double length, List<InWay> inWay) {
    public static final Method METHOD = Method.of(
                    "way-out",
                    "In and out",
                    "The body is drawn straight along each of the six ways until it is past all that was measured. All that it sweeps is one shape (its parts, each "
                            + "with the way added), so that nothing is stepped over; how far it comes before it strikes is halved down to half a millimetre. "
                            + "The bonnet is open and the car off the ground.")
            .source(Citation.commonPractice("what cannot be taken out again was not fitted but built in"))
            .leavesOut(
                    "Ways with a turn or a tilt, hands and tools; what hangs on it, as hoses: pipes on its ports come off first.");

    /**
     * @param name     of what stands in the way
     * @param obstacle its number in the room; empty when it is another body
     * @param other    number of the other body; empty when it is an obstacle
     * @param after    m that the body comes before it strikes
     * @param movable  whether the build says what it costs to move it; of a body, whether it comes out itself: always
     */
    public record InWay(String name, OptionalInt obstacle, OptionalInt other, double after, boolean movable) {}

    /** m: sliding along something is not striking it. */
    private static final double TOUCH = 1e-5;
    /** m */
    private static final double FINE = 0.5e-3;

    public boolean isFree() {
        return inWay.isEmpty();
    }

    /** @return of a body along each way, those that come out first, then the one that comes farthest */
    public static List<WayOut> of(Fit fit, int body, RoomSpec room) {
        List<WayOut> all = new ArrayList<>();
        for (Way way : Way.values()) {
            all.add(new Search(fit, body, room, way).search());
        }
        all.sort(Comparator.comparingDouble(out -> out.isFree() ? -1e6 + out.length : -out.inWay.get(0).after));
        return all;
    }

    private record Search(Fit fit, int body, RoomSpec room, Way way) {
        WayOut search() {
            double length = length();
            List<InWay> found = new ArrayList<>();
            for (int k = 0; k < room.obstacles().size(); k++) {
                Obstacle o = room.obstacles().get(k);
                if (o.nature() != Nature.BONNET && o.nature() != Nature.GROUND) {
                    look(
                            found,
                            fit.solids().get(k),
                            length,
                            o.name(),
                            OptionalInt.of(k),
                            OptionalInt.empty(),
                            o.moving().isPresent());
                }
            }
            for (int j = 0; j < fit.bodies().size(); j++) {
                if (j != body && !fit.isJoined(body, j)) {
                    Body other = fit.bodies().get(j);
                    look(found, other.solid(), length, other.name(), OptionalInt.empty(), OptionalInt.of(j), true);
                }
            }
            found.sort(Comparator.comparingDouble(InWay::after));
            return new WayOut(way, length, List.copyOf(found));
        }

        private Solid solid() {
            return fit.bodies().get(body).solid();
        }

        /** m, until its last point is past the farthest of all that has an end. */
        private double length() {
            double far = way.reach(solid().bounds().orElseThrow());
            for (Solid s : fit.solids()) {
                far = Math.max(far, s.bounds().map(way::reach).orElse(Double.NEGATIVE_INFINITY));
            }
            for (Body other : fit.bodies()) {
                far = Math.max(far, way.reach(other.solid().bounds().orElseThrow()));
            }
            Bounds own = solid().bounds().orElseThrow();
            return far + way.opposite().reach(own);
        }

        private void look(
                List<InWay> found,
                Solid against,
                double length,
                String name,
                OptionalInt obstacle,
                OptionalInt other,
                boolean movable) {
            if (strikes(against, length)) {
                found.add(new InWay(name, obstacle, other, until(against, length), movable));
            }
        }

        /** m that it comes for certain. */
        private double until(Solid against, double length) {
            double clear = 0;
            double struck = length;
            while (struck - clear > FINE) {
                double middle = (clear + struck) / 2;
                if (strikes(against, middle)) {
                    struck = middle;
                } else {
                    clear = middle;
                }
            }
            return clear;
        }

        /** All that it sweeps is the body half way, shifted by half the way to either side. */
        private boolean strikes(Solid against, double length) {
            Vector3D half = way.vector().scalarMultiply(length / 2);
            Motion sweep = new Motion(
                    Vector3D.ZERO,
                    Vector3D.PLUS_I,
                    0,
                    new Vector3D(Math.abs(half.getX()), Math.abs(half.getY()), Math.abs(half.getZ())));
            return Gaps.strike(solid().moved(new Pose(half, Rotation.IDENTITY)), sweep, against, Motion.STILL, TOUCH);
        }
    }
}

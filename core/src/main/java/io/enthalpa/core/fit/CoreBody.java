package io.enthalpa.core.fit;

import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A charge cooler as a body: block, tanks, ports and the clamp rings on them, about the middle of its block. How a core is turned is told as
 * seen from the front of the car: what looks left there points to the right as one sits.
 */
public final class CoreBody {
    /** m of metal round a port; common practice, no source. */
    private static final double PORT_WALL = 2e-3;
    /** m that hose and clamp band stand out from a port, and how wide the band is; common practice, no source. */
    private static final double CLAMP_OUT = 8e-3;

    private static final double CLAMP_WIDTH = 15e-3;
    /** How the names of clamps end. */
    static final String CLAMP = " clamp";

    private final CoreSpec spec;
    private final EndTankSpec tanks;
    /** Unit vectors: from the inlet's tank to the other, and across the passages, the inlet's side of an offset port being less than 0. */
    private final Vector3D along;

    private final Vector3D across;
    private final double half;
    private final double side;
    private final List<Solid.Part> parts = new ArrayList<>();

    private CoreBody(CoreSpec spec) {
        this.spec = spec;
        this.tanks = spec.tanks();
        this.along = switch (spec.inletTowards()) {
            case LEFT -> Vector3D.MINUS_J;
            case RIGHT -> Vector3D.PLUS_J;
            case UP -> Vector3D.MINUS_K;
            case DOWN -> Vector3D.PLUS_K;
        };
        this.across = spec.isOnEnd() ? Vector3D.MINUS_J : Vector3D.MINUS_K;
        this.half = spec.size().width() / 2;
        this.side = spec.size().height() / 2;
    }

    /** @return its parts, the middle of its block at the origin, its face square to the rearward axis */
    public static List<Solid.Part> parts(CoreSpec spec) {
        CoreBody body = new CoreBody(spec);
        body.build();
        return body.parts;
    }

    private void build() {
        box("block", -half, half, -side, side);
        if (tanks.isOpen()) {
            return;
        }
        double end = half + tanks.depth();
        if (spec.arrangement().isTwoPass()) {
            box("inlet tank", -end, -half, -side, 0);
            box("outlet tank", -end, -half, 0, side);
            box("turning tank", half, end, -side, side);
            port("inlet", point(-end, -side / 2), along.negate(), tanks.portBore());
            port("outlet", point(-end, side / 2), along.negate(), tanks.outletBore());
            return;
        }
        box("inlet tank", -end, -half, -side, side);
        box("outlet tank", half, end, -side, side);
        double middle = half + tanks.depth() / 2;
        if (tanks.place() == EndTankSpec.PortPlace.END) {
            port("inlet", point(-middle, -side), across.negate(), tanks.portBore());
        } else {
            port("inlet", point(-end, -shift()), along.negate(), tanks.portBore());
        }
        if (tanks.outlets() == 2) {
            port("first outlet", point(end, -side / 2), along, tanks.outletBore());
            port("second outlet", point(end, side / 2), along, tanks.outletBore());
        } else if (tanks.place() == EndTankSpec.PortPlace.END) {
            port("outlet", point(middle, side), across, tanks.outletBore());
        } else {
            port("outlet", point(end, shift()), along, tanks.outletBore());
        }
    }

    /** m that an offset port stands off the middle: half way to the end of the tank, as far as it has room. */
    private double shift() {
        return tanks.place() == EndTankSpec.PortPlace.OFFSET
                ? Math.min(side / 2, Math.max(side - tanks.portBore() / 2, 0))
                : 0;
    }

    private Vector3D point(double u, double v) {
        return along.scalarMultiply(u).add(across.scalarMultiply(v));
    }

    private void box(String element, double fromU, double toU, double fromV, double toV) {
        Vector3D middle = point((fromU + toU) / 2, (fromV + toV) / 2);
        double wide = spec.isOnEnd() ? toV - fromV : toU - fromU;
        double high = spec.isOnEnd() ? toU - fromU : toV - fromV;
        parts.add(new Solid.Part(
                element,
                Hull.box(new Pose(middle, Pose.ORIGIN.turn()), spec.size().depth(), wide, high)));
    }

    private void port(String role, Vector3D root, Vector3D out, double bore) {
        double radius = bore / 2 + PORT_WALL;
        Vector3D tip = root.add(tanks.stub(), out);
        parts.add(new Solid.Part(role + " port", Frustum.cylinder(root, tip, radius)));
        if (tanks.stub() > CLAMP_WIDTH) {
            // A band sits a little in from the end of its spigot.
            Vector3D band = root.add(tanks.stub() / 2, out);
            parts.add(new Solid.Part(
                    role + CLAMP,
                    Frustum.cylinder(
                            band.subtract(CLAMP_WIDTH / 2, out), band.add(CLAMP_WIDTH / 2, out), radius + CLAMP_OUT)));
        }
    }
}

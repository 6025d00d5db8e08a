package io.enthalpa.core.space;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Something long and round in pieces that are short. */
public final class Shorter {
    private Shorter() {}

    /** @param most m @return rods and cylinders in equal pieces no longer than that, that together are the whole; anything else as it is */
    public static List<Convex> of(Convex part, double most) {
        if (part instanceof Frustum f && f.radius() == f.other()) {
            return pieces(f.from(), f.to(), most, (a, b) -> Frustum.cylinder(a, b, f.radius()));
        }
        if (part instanceof Hull h && h.corners().size() == 2) {
            return pieces(h.corners().get(0), h.corners().get(1), most, (a, b) -> Hull.rod(a, b, h.rounding()));
        }
        return List.of(part);
    }

    private interface Piece {
        Convex between(Vector3D from, Vector3D to);
    }

    private static List<Convex> pieces(Vector3D from, Vector3D to, double most, Piece piece) {
        int count = Math.max(1, (int) Math.ceil(from.distance(to) / most - 1e-9));
        List<Convex> all = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            all.add(piece.between(on(from, to, (double) i / count), on(from, to, (i + 1.0) / count)));
        }
        return all;
    }

    private static Vector3D on(Vector3D from, Vector3D to, double share) {
        return from.scalarMultiply(1 - share).add(share, to);
    }
}

package io.enthalpa.core.router;

import io.enthalpa.core.space.Apart;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Separation;
import io.enthalpa.core.space.Solid;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * All that must be missed, and how strictly.
 *
 * @param ease m less than asked that is enough: 0 for a way that is to be made
 */
record Passage(List<Keepout> keepouts, double ease) {
    /** m beyond which nothing is near. */
    static final double FAR = 0.25;

    Passage {
        keepouts = List.copyOf(keepouts);
    }

    /** @return the same, asking for less */
    Passage eased(double by) {
        return new Passage(keepouts, by);
    }

    static double gap(Convex a, Convex b) {
        return Separation.between(a, b).gap();
    }

    /** @param more m that is asked besides */
    boolean isClear(Convex piece, double more) {
        Bounds box = piece.bounds();
        Solid solid = null;
        for (Keepout k : keepouts) {
            if (k.atLeast(box) < more - ease) {
                solid = solid == null ? Solid.of("", piece) : solid;
                if (!k.clears(solid, ease - more)) {
                    return false;
                }
            }
        }
        return true;
    }

    /**
     * @param spare   m that are left of the gap asked; less than 0 what is missing
     * @param keepout its number; -1 where nothing is near
     * @param at      m, the place on the piece
     * @param away    unit vector from what is near to the piece
     */
    record Tight(double spare, int keepout, Vector3D at, Vector3D away) {}

    Tight tightest(Vector3D at) {
        return tightest(Solid.of("", Hull.ball(at, 0)));
    }

    Tight tightest(Solid piece) {
        Bounds box = piece.bounds().orElseThrow();
        Tight least = new Tight(FAR, -1, box.middle(), Vector3D.PLUS_K);
        for (int i = 0; i < keepouts.size(); i++) {
            Keepout k = keepouts.get(i);
            if (k.atLeast(box) < least.spare) {
                Optional<Gap> gap = k.spare(piece, least.spare);
                if (gap.isPresent() && gap.get().value() < least.spare) {
                    Apart apart = gap.get().apart();
                    least = new Tight(
                            apart.gap(), i, apart.onA(), apart.towards().negate());
                }
            }
        }
        return least;
    }
}

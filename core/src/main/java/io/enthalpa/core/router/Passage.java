package io.enthalpa.core.router;

import io.enthalpa.core.space.Apart;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Separation;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** All that must be missed, and how strictly. */
final class Passage {
    /** m beyond which nothing is near. */
    static final double FAR = 0.25;

    private final List<Keepout> keepouts;
    private final double ease;
    /** What each never leaves; none for what lies beyond a plane. */
    private final Bounds[] boxes;

    /** @param ease m less than asked that is enough: 0 for a way that is to be made */
    Passage(List<Keepout> keepouts, double ease) {
        this(
                List.copyOf(keepouts),
                ease,
                keepouts.stream()
                        .map(k -> k.solid().bounds().map(k.others()::swept).orElse(null))
                        .toArray(Bounds[]::new));
    }

    private Passage(List<Keepout> keepouts, double ease, Bounds[] boxes) {
        this.keepouts = keepouts;
        this.ease = ease;
        this.boxes = boxes;
    }

    List<Keepout> keepouts() {
        return keepouts;
    }

    double ease() {
        return ease;
    }

    /** @return the same, asking for less */
    Passage eased(double by) {
        return new Passage(keepouts, by, boxes);
    }

    static double gap(Convex a, Convex b) {
        return Separation.between(a, b).gap();
    }

    /** @param more m that is asked besides */
    boolean isClear(Convex piece, double more) {
        Bounds box = piece.bounds();
        Solid solid = null;
        for (int i = 0; i < boxes.length; i++) {
            if (atLeast(i, box) < more - ease) {
                solid = solid == null ? Solid.of("", piece) : solid;
                if (!keepouts.get(i).clears(solid, ease - more)) {
                    return false;
                }
            }
        }
        return true;
    }

    /** @return what a piece does not keep its gaps from; empty where there is no such thing */
    Optional<Passage> against(Convex piece) {
        Bounds box = piece.bounds();
        Solid solid = null;
        List<Keepout> near = new ArrayList<>();
        List<Bounds> nearBoxes = new ArrayList<>();
        for (int i = 0; i < boxes.length; i++) {
            if (atLeast(i, box) < -ease) {
                solid = solid == null ? Solid.of("", piece) : solid;
                if (!keepouts.get(i).clears(solid, ease)) {
                    near.add(keepouts.get(i));
                    nearBoxes.add(boxes[i]);
                }
            }
        }
        return near.isEmpty()
                ? Optional.empty()
                : Optional.of(new Passage(near, ease, nearBoxes.toArray(Bounds[]::new)));
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
            if (atLeast(i, box) < least.spare) {
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

    /** @return m that a keepout is off a box at least, less what is asked, whatever both do */
    private double atLeast(int keepout, Bounds box) {
        Keepout k = keepouts.get(keepout);
        Bounds swept = k.own().isStill() ? box : k.own().swept(box);
        double off = boxes[keepout] == null ? k.beyond(swept) : swept.gap(boxes[keepout]);
        return off - Math.max(k.still(), k.moved());
    }
}

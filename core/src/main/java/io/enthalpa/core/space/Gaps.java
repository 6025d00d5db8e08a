package io.enthalpa.core.space;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The least gap between two solids, still or over all that their carriers may do. Pairs of parts are left out by their boxes alone where
 * these are farther apart than the least found so far.
 */
public final class Gaps {
    public static final Method METHOD = Method.of(
                    "gap",
                    "Gap, standing and moved",
                    "Every body and obstacle is a set of convex parts. Two parts outside one another: their nearest points; in one another: the "
                            + "least shift that parts them, counted less than 0. Both searches know between which bounds the answer lies and give the safer "
                            + "one, to 0.01 mm. As the carriers move: shifts along the car are added to the shape, which is exact; a roll is halved until the "
                            + "plane that parts the two at one angle is known to part them at all angles beside it.")
            .formula("strays from its tangent by r w^2/2 for a roll of w to either side at a distance r from the axis")
            .source(
                    Citation.fromMemory(
                            "Gilbert, Johnson & Keerthi",
                            1988,
                            "a fast procedure for computing the distance between complex objects in three-dimensional space"),
                    Citation.fromMemory(
                            "van den Bergen",
                            2001,
                            "proximity queries and penetration depth computation on 3D game objects"))
            .leavesOut(
                    "Of a body of several parts in another how deep each part stands is told, not the shift that parts all at once. Shifts and roll "
                            + "come all at once, which is a little more than an engine does.");
    /** A plane does not roll; how far it is shifted counts with the travel. */
    private static final Motion STANDS = Motion.STILL;

    /** m: farther than any room. */
    private static final double FAR = 1000;

    /** m: parts as near as that are as near as one another, and the first of them is told. */
    private static final double ALIKE = 1e-8;

    private final Solid a;
    private final Solid b;
    private final Motion motionA;
    private final Motion motionB;
    private final double[][] travel;
    private final double within;
    private Apart best;
    private int partA;
    private int partB;
    /** m, that the parts come to that are nearest. */
    private double least;
    /** m: no parts come nearer. */
    private double sure;
    /** m: of what is deeper than this nobody asks how deep. */
    private double enough = Double.NEGATIVE_INFINITY;

    private Gaps(Solid a, Motion motionA, Solid b, Motion motionB, double within) {
        this.a = a;
        this.b = b;
        this.motionA = motionA;
        this.motionB = motionB;
        this.travel = Motion.travel(motionA, motionB);
        this.within = within;
        this.least = within;
        this.sure = within;
    }

    /** @param within m, beyond which nobody asks @return empty when they are farther apart */
    public static Optional<Gap> between(Solid a, Solid b, double within) {
        return moved(a, Motion.STILL, b, Motion.STILL, within);
    }

    /** @return the least that it can come to when each moves as its carrier does */
    public static Optional<Gap> moved(Solid a, Motion ofA, Solid b, Motion ofB, double within) {
        Optional<Gap> gap = new Gaps(a, ofA, b, ofB, within).search();
        if (gap.filter(g -> g.value() <= 0).isPresent() || !a.holds(b) && !b.holds(a)) {
            return gap;
        }
        // Nothing passes through the surface, and the one is inside: at least as deep as it is far from that.
        return gap.or(() -> new Gaps(a, ofA, b, ofB, FAR).search()).map(Gaps::inside);
    }

    /** @param deep m @return whether they come into one another by more than that as each moves, without asking by how much */
    public static boolean strike(Solid a, Motion ofA, Solid b, Motion ofB, double deep) {
        Gaps gaps = new Gaps(a, ofA, b, ofB, 0);
        gaps.enough = -deep;
        return gaps.search().map(g -> g.value() < -deep).orElseGet(() -> a.holds(b) || b.holds(a));
    }

    /** @return whether they stand in one another, without asking how deep; of what touches to a thousandth of a millimetre it may say either */
    public static boolean meet(Solid a, Solid b) {
        if (a.half().isPresent() || b.half().isPresent()) {
            return between(a, b, 0).filter(g -> g.value() < 0).isPresent();
        }
        return a.size() > 0 && b.size() > 0 && meet(a, a.tree, b, b.tree) || a.holds(b) || b.holds(a);
    }

    private static boolean meet(Solid a, BoxTree x, Solid b, BoxTree y) {
        if (x.bounds().gap(y.bounds()) > 0) {
            return false;
        }
        if (x.isLeaf() && y.isLeaf()) {
            return Separation.meet(a.parts[x.part()], b.parts[y.part()]);
        }
        boolean splitX =
                y.isLeaf() || !x.isLeaf() && x.bounds().diagonal() > y.bounds().diagonal();
        return splitX
                ? meet(a, x.left(), b, y) || meet(a, x.right(), b, y)
                : meet(a, x, b, y.left()) || meet(a, x, b, y.right());
    }

    private static Gap inside(Gap g) {
        Apart apart = g.apart();
        return new Gap(
                new Apart(
                        -apart.gap(),
                        apart.loose(),
                        apart.onA(),
                        apart.onB(),
                        apart.towards().negate()),
                g.elementA(),
                g.elementB());
    }

    private Optional<Gap> search() {
        if (b.half().isPresent()) {
            beyond(a.parts, motionA, b.half().get(), (apart, i) -> take(apart, i, 0));
        } else if (a.half().isPresent()) {
            beyond(b.parts, motionB, a.half().get(), (apart, i) -> take(apart.turnedRound(), 0, i));
        } else if (a.size() > 0 && b.size() > 0) {
            Swept x = new Swept(a.tree, motionA);
            Swept y = new Swept(b.tree, motionB);
            visit(x, y, x.box.gap(y.box));
        }
        return best == null
                ? Optional.empty()
                : Optional.of(new Gap(
                        best.atLeast(sure),
                        a.half().isPresent() ? 0 : a.element[partA],
                        b.half().isPresent() ? 0 : b.element[partB]));
    }

    private interface Found {
        void take(Apart apart, int part);
    }

    /** The part that may come nearest first: most others are left out then. */
    private void beyond(Convex[] parts, Motion motion, Solid.HalfSpace half, Found found) {
        double[] keeps = new double[parts.length];
        for (int i = 0; i < parts.length; i++) {
            keeps[i] = atLeast(parts[i], motion, half);
        }
        IntStream.range(0, parts.length)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> keeps[i]))
                .takeWhile(i -> keeps[i] <= least + ALIKE)
                .forEachOrdered(i -> found.take(
                        Moved.between(
                                parts[i], motion, new Opposite.Half(half), STANDS, travel, least, Optional.empty()),
                        i));
    }

    /** What a part keeps from a plane at least, whatever both do. */
    private double atLeast(Convex part, Motion motion, Solid.HalfSpace half) {
        Vector3D n = half.normal();
        double moves = 0;
        for (double[] line : travel) {
            moves += Math.abs(n.dotProduct(new Vector3D(line)));
        }
        // The travel of the part is counted with the plane's.
        Motion turning = new Motion(motion.point(), motion.axis(), motion.roll(), Vector3D.ZERO);
        return -turning.swept(part.bounds()).reach(n.negate()) - half.on().dotProduct(n) - moves;
    }

    private void take(Apart apart, int i, int j) {
        double comesTo = apart.gap() + apart.loose();
        boolean nearer = comesTo < least - ALIKE;
        boolean alike = best == null || i < partA || i == partA && j < partB;
        sure = Math.min(sure, apart.gap());
        if (apart.gap() <= within && (nearer || comesTo <= least + ALIKE && alike)) {
            least = Math.min(least, comesTo);
            best = apart;
            partA = i;
            partB = j;
        }
    }

    /** Boxes that the boxes of a tree never leave, whatever its carrier does; each worked out once, when it is first asked for. */
    private static final class Swept {
        private final BoxTree of;
        private final Motion motion;
        private final Bounds box;
        private Swept left;
        private Swept right;

        Swept(BoxTree of, Motion motion) {
            this.of = of;
            this.motion = motion;
            this.box = motion.isStill() ? of.bounds() : motion.swept(of.bounds());
        }

        Swept left() {
            left = left == null ? new Swept(of.left(), motion) : left;
            return left;
        }

        Swept right() {
            right = right == null ? new Swept(of.right(), motion) : right;
            return right;
        }
    }

    /** @param keeps what the two boxes keep at least */
    private void visit(Swept x, Swept y, double keeps) {
        if (least < enough || keeps > least + ALIKE) {
            return;
        }
        if (x.of.isLeaf() && y.of.isLeaf()) {
            Convex p = a.parts[x.of.part()];
            Convex q = b.parts[y.of.part()];
            // Parts beside one another are mostly near the same place.
            Optional<Vector3D> hint = Optional.ofNullable(best).map(Apart::towards);
            take(
                    Moved.between(p, motionA, new Opposite.Shape(q), motionB, travel, least + ALIKE, hint),
                    x.of.part(),
                    y.of.part());
            return;
        }
        boolean splitX = y.of.isLeaf()
                || !x.of.isLeaf() && x.of.bounds().diagonal() > y.of.bounds().diagonal();
        Swept oneX = splitX ? x.left() : x;
        Swept oneY = splitX ? y : y.left();
        Swept otherX = splitX ? x.right() : x;
        Swept otherY = splitX ? y : y.right();
        double one = oneX.box.gap(oneY.box);
        double other = otherX.box.gap(otherY.box);
        if (one <= other) {
            visit(oneX, oneY, one);
            visit(otherX, otherY, other);
        } else {
            visit(otherX, otherY, other);
            visit(oneX, oneY, one);
        }
    }
}

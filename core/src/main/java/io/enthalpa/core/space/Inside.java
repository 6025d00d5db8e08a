package io.enthalpa.core.space;

import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Whether a place is inside a closed surface: a ray from it to far away passes through that an odd number of times. */
final class Inside {
    /** Along no axis, nor in a plane of two: edges and corners of drawn things lie there, and a ray through one counts wrongly. */
    private static final Vector3D RAY = new Vector3D(0.5477, 0.3217, 0.7724).normalize();

    private final Solid solid;

    Inside(Solid solid) {
        this.solid = solid;
    }

    boolean holds(double[] place) {
        return crossings(solid.tree, new Vector3D(place)) % 2 == 1;
    }

    private int crossings(BoxTree tree, Vector3D from) {
        if (!meets(tree.bounds(), from)) {
            return 0;
        }
        if (tree.isLeaf()) {
            return meets(((Hull) solid.parts[tree.part()]).corners(), from) ? 1 : 0;
        }
        return crossings(tree.left(), from) + crossings(tree.right(), from);
    }

    /** Slab by slab: the stretch of the ray between each pair of sides, as far as all have it. */
    private static boolean meets(Bounds box, Vector3D from) {
        double[] low = box.least();
        double[] high = box.most();
        double[] at = from.toArray();
        double[] along = RAY.toArray();
        double enters = 0;
        double leaves = Double.POSITIVE_INFINITY;
        for (int i = 0; i < 3; i++) {
            enters = Math.max(enters, (low[i] - at[i]) / along[i]);
            leaves = Math.min(leaves, (high[i] - at[i]) / along[i]);
        }
        return enters <= leaves;
    }

    /** The volumes of the three tetrahedra between the ray and the edges have one sign where it passes inside all of them. */
    private static boolean meets(List<Vector3D> corners, Vector3D from) {
        Vector3D a = corners.get(0).subtract(from);
        Vector3D b = corners.get(1).subtract(from);
        Vector3D c = corners.get(2).subtract(from);
        double ab = RAY.dotProduct(a.crossProduct(b));
        double bc = RAY.dotProduct(b.crossProduct(c));
        double ca = RAY.dotProduct(c.crossProduct(a));
        boolean through = ab > 0 && bc > 0 && ca > 0 || ab < 0 && bc < 0 && ca < 0;
        double away = a.dotProduct(b.crossProduct(c)) / (ab + bc + ca);
        return through && away > 0;
    }
}

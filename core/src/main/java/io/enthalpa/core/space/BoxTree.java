package io.enthalpa.core.space;

import java.util.Arrays;
import java.util.Comparator;
import java.util.function.ToDoubleFunction;

/** Boxes round convex parts, boxes round those, two by two, up to one round all. */
final class BoxTree {
    static final BoxTree NONE = new BoxTree(null, -1, null, null);
    private final Bounds bounds;
    /** Of a leaf; -1 above. */
    private final int part;

    private final BoxTree left;
    private final BoxTree right;

    private BoxTree(Bounds bounds, int part, BoxTree left, BoxTree right) {
        this.bounds = bounds;
        this.part = part;
        this.left = left;
        this.right = right;
    }

    static BoxTree over(Convex[] parts) {
        Bounds[] boxes = new Bounds[parts.length];
        Integer[] order = new Integer[parts.length];
        for (int i = 0; i < boxes.length; i++) {
            boxes[i] = parts[i].bounds();
            order[i] = i;
        }
        return parts.length == 0 ? NONE : over(boxes, order, 0, order.length);
    }

    /** Halved in the middle along the axis on which the boxes' middles lie farthest apart. */
    private static BoxTree over(Bounds[] boxes, Integer[] order, int from, int to) {
        Bounds all = boxes[order[from]];
        for (int i = from + 1; i < to; i++) {
            all = all.with(boxes[order[i]]);
        }
        if (to - from == 1) {
            return new BoxTree(all, order[from], null, null);
        }
        ToDoubleFunction<Bounds> along = longest(all);
        Arrays.sort(order, from, to, Comparator.comparingDouble(i -> along.applyAsDouble(boxes[i])));
        int middle = (from + to) / 2;
        return new BoxTree(all, -1, over(boxes, order, from, middle), over(boxes, order, middle, to));
    }

    private static ToDoubleFunction<Bounds> longest(Bounds all) {
        double x = all.maxX() - all.minX();
        double y = all.maxY() - all.minY();
        double z = all.maxZ() - all.minZ();
        if (x >= y && x >= z) {
            return b -> b.minX() + b.maxX();
        }
        return y >= z ? b -> b.minY() + b.maxY() : b -> b.minZ() + b.maxZ();
    }

    /** @return the same boxes in boxes, round the same parts elsewhere: no looser than that these lie beside other ones now */
    BoxTree round(Convex[] there) {
        if (this == NONE || isLeaf()) {
            return this == NONE ? this : new BoxTree(there[part].bounds(), part, null, null);
        }
        BoxTree one = left.round(there);
        BoxTree two = right.round(there);
        return new BoxTree(one.bounds.with(two.bounds), -1, one, two);
    }

    Bounds bounds() {
        return bounds;
    }

    boolean isLeaf() {
        return part >= 0;
    }

    int part() {
        return part;
    }

    BoxTree left() {
        return left;
    }

    BoxTree right() {
        return right;
    }
}

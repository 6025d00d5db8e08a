package io.enthalpa.core.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A body or an obstacle where it stands: convex parts, each belonging to a named element of it ("right tank"), in a tree of boxes; or all
 * that lies below a plane (a bonnet seen from its upper side, the ground).
 */
public final class Solid {
    private final List<String> elements;
    private final Optional<HalfSpace> beyond;
    final Convex[] parts;
    final int[] element;
    final BoxTree tree;
    private final boolean surface;
    private final boolean filled;
    /** By the axes they are seen along: the same for as long as it stands there. */
    private final Map<String, List<List<double[]>>> shadows = new ConcurrentHashMap<>();

    private Solid(
            List<String> elements,
            Optional<HalfSpace> beyond,
            Convex[] parts,
            int[] element,
            BoxTree tree,
            boolean surface,
            boolean filled) {
        this.elements = elements;
        this.beyond = beyond;
        this.parts = parts;
        this.element = element;
        this.tree = tree;
        this.surface = surface;
        this.filled = filled;
    }

    /** A part and the element of the body it belongs to. */
    public record Part(String element, Convex convex) {}

    public static Solid of(List<Part> parts) {
        List<String> names = parts.stream().map(Part::element).distinct().toList();
        Convex[] convex = parts.stream().map(Part::convex).toArray(Convex[]::new);
        int[] element = parts.stream().mapToInt(p -> names.indexOf(p.element())).toArray();
        return new Solid(names, Optional.empty(), convex, element, BoxTree.over(convex), false, false);
    }

    /** @param filled whether the triangles go all round something that is out of bounds too */
    static Solid surface(String element, Convex[] triangles, boolean filled) {
        return new Solid(
                List.of(element),
                Optional.empty(),
                triangles,
                new int[triangles.length],
                BoxTree.over(triangles),
                true,
                filled);
    }

    public static Solid of(String element, Convex... parts) {
        List<Part> all = new ArrayList<>();
        for (Convex part : parts) {
            all.add(new Part(element, part));
        }
        return of(all);
    }

    /** All on the far side of a plane. */
    public static Solid beyond(String element, HalfSpace half) {
        return new Solid(List.of(element), Optional.of(half), new Convex[0], new int[0], BoxTree.NONE, false, false);
    }

    public List<String> elements() {
        return elements;
    }

    /** @return the plane, of what lies beyond one */
    public Optional<HalfSpace> half() {
        return beyond;
    }

    /** @return its convex parts and the element each belongs to */
    public List<Part> parts() {
        List<Part> all = new ArrayList<>();
        for (int i = 0; i < parts.length; i++) {
            all.add(new Part(elements.get(element[i]), parts[i]));
        }
        return all;
    }

    /** @return whether its parts are the triangles of a surface */
    public boolean isSurface() {
        return surface;
    }

    /** @return its outlines to draw, m, of a surface: {@link Shadow#of} */
    public List<List<double[]>> shadow(int across, int second) {
        return shadows.computeIfAbsent(across + " " + second, key -> Shadow.of(this, across, second));
    }

    /** @return whether any part of another begins inside its surface; false of what is no closed surface */
    boolean holds(Solid other) {
        if (!filled) {
            return false;
        }
        double[] p = new double[3];
        for (Convex part : other.parts) {
            part.support(1, 0, 0, p);
            if (new Inside(this).holds(p)) {
                return true;
            }
        }
        return false;
    }

    /** @return how many convex parts it has */
    public int size() {
        return parts.length;
    }

    /** @return the box that holds it; empty for what lies beyond a plane */
    public Optional<Bounds> bounds() {
        return parts.length == 0 ? Optional.empty() : Optional.of(tree.bounds());
    }

    /** @return the same after a movement of the room */
    public Solid moved(Pose movement) {
        if (beyond.isPresent()) {
            return beyond(elements.get(0), beyond.get().moved(movement));
        }
        Convex[] there = new Convex[parts.length];
        for (int i = 0; i < there.length; i++) {
            there[i] = parts[i].moved(movement);
        }
        return new Solid(elements, beyond, there, element, tree.round(there), surface, filled);
    }

    /**
     * All on one side of a plane.
     *
     * @param on     a point of the plane
     * @param normal unit vector out of what is filled
     */
    public record HalfSpace(Vector3D on, Vector3D normal) {
        /** @return m that a shape stands clear of it, less than 0 inside, and the shape's place */
        Apart from(Convex shape, double[][] travel) {
            double[] p = new double[3];
            shape.support(-normal.getX(), -normal.getY(), -normal.getZ(), p);
            Vector3D lowest = new Vector3D(p).subtract(shape.rounding(), normal);
            for (double[] line : travel) {
                Vector3D way = new Vector3D(line);
                lowest = lowest.subtract(Math.signum(way.dotProduct(normal)), way);
            }
            double gap = lowest.subtract(on).dotProduct(normal);
            return new Apart(gap, 0, lowest, lowest.subtract(gap, normal), normal.negate());
        }

        HalfSpace moved(Pose movement) {
            return new HalfSpace(movement.toRoom(on), movement.turn().applyTo(normal));
        }
    }
}

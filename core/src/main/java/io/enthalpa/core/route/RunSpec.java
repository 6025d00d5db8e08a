package io.enthalpa.core.route;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The middle line of a pipe by its corners: where its straights would meet, each rounded by a bend. A bend all the way back has no such corner;
 * it is two of a right angle with nothing between them.
 *
 * @param from    m, where it begins
 * @param corners in the order of the flow
 * @param to      m, where it ends
 */
public record RunSpec(Vector3D from, List<Corner> corners, Vector3D to) {
    /**
     * @param at     m, where the straights on both sides would meet
     * @param radius m of the bend's middle line; 0 for a mitre
     */
    public record Corner(Vector3D at, double radius) {}

    public RunSpec {
        corners = List.copyOf(corners);
    }

    /** @return its ends and corners in order */
    public List<Vector3D> points() {
        List<Vector3D> all = new ArrayList<>();
        all.add(from);
        corners.forEach(c -> all.add(c.at));
        all.add(to);
        return all;
    }

    /** @return what a pipe on the other side of the car is: left for right */
    public RunSpec mirrored() {
        return new RunSpec(
                mirrored(from),
                corners.stream().map(c -> new Corner(mirrored(c.at), c.radius)).toList(),
                mirrored(to));
    }

    /** @param p m @return as far to the other side of the datum */
    public static Vector3D mirrored(Vector3D p) {
        return new Vector3D(p.getX(), -p.getY(), p.getZ());
    }

    /** @return the same against the flow */
    public RunSpec reversed() {
        List<Corner> back = new ArrayList<>(corners);
        java.util.Collections.reverse(back);
        return new RunSpec(to, back, from);
    }
}

package io.enthalpa.core.fit;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** How one may begin to lay a pipe. */
final class Starting {
    /** rad: a first bend that would turn farther back is left to the hand. */
    private static final double MOST_TURN = Math.toRadians(150);
    /** rad: what turns farther back does so in two bends. */
    private static final double FAR_BACK = Math.toRadians(110);
    /** m: less far aside it does not matter which way round. */
    private static final double ASIDE = 0.01;
    /** Radii between the corners of two right angles, with some straight. */
    private static final double BETWEEN = 2.5;
    /** Angles settle at once: each moves its corner by little. */
    private static final int ROUNDS = 30;
    /** m of a pipe of which one end is known. */
    private static final double OPEN = 0.4;

    private Starting() {}

    /** @param radius m, of the bends it begins with */
    static Run of(String of, double radius, Optional<PipeEnd> start, Optional<PipeEnd> finish) {
        if (start.isPresent() && finish.isPresent()) {
            return new Run(of, Optional.empty(), least(of, start.get(), finish.get(), radius), Optional.empty());
        }
        Optional<Vector3D> from = start.isPresent()
                ? Optional.empty()
                : Optional.of(finish.map(e -> e.at().add(OPEN, e.heading())).orElse(Vector3D.ZERO));
        Optional<Vector3D> to = finish.isPresent()
                ? Optional.empty()
                : Optional.of(start.map(e -> e.at().add(OPEN, e.heading())).orElse(new Vector3D(OPEN, 0, 0)));
        return new Run(of, from, List.of(), to);
    }

    /** With one bend before each port where that can be made, otherwise with two before one where it would turn far back. */
    private static List<Run.Corner> least(String of, PipeEnd start, PipeEnd finish, double radius) {
        List<Run.Corner> few = square(start, finish, radius, List.of(), List.of());
        List<RunSpec.Corner> bends =
                few.stream().map(c -> new RunSpec.Corner(c.at(), radius)).toList();
        try {
            Centreline.of(new RunSpec(start.at(), bends, finish.at()), of);
            return few;
        } catch (EnthalpaFault tooLong) {
            return square(start, finish, radius, roundBack(start, finish, radius), roundBack(finish, start, radius));
        }
    }

    /** A corner before each port, as far out as its own bend takes, or those that lead round back. */
    private static List<Run.Corner> square(
            PipeEnd start, PipeEnd finish, double radius, List<Vector3D> before, List<Vector3D> behind) {
        double first = radius;
        double last = radius;
        for (int i = 0; i < ROUNDS; i++) {
            Vector3D way = corner(finish, behind, last).subtract(corner(start, before, first));
            if (way.getNorm() == 0) {
                break;
            }
            first = radius * Math.tan(Math.min(MOST_TURN, Vector3D.angle(start.heading(), way)) / 2);
            last = radius * Math.tan(Math.min(MOST_TURN, Vector3D.angle(finish.heading(), way.negate())) / 2);
        }
        List<Vector3D> all = new ArrayList<>(before);
        if (before.isEmpty()) {
            all.add(corner(start, before, first));
        }
        if (behind.isEmpty()) {
            all.add(corner(finish, behind, last));
        }
        for (int i = behind.size() - 1; i >= 0; i--) {
            all.add(behind.get(i));
        }
        return all.stream()
                .map(at -> new Run.Corner(at, OptionalDouble.empty()))
                .toList();
    }

    /** The last of the corners before a port. */
    private static Vector3D corner(PipeEnd end, List<Vector3D> back, double tangent) {
        return back.isEmpty() ? end.at().add(Pipework.STUB + tangent, end.heading()) : back.get(back.size() - 1);
    }

    /** A right angle out of the port, aside to where the other end is, and one more: room for both bends between. */
    private static List<Vector3D> roundBack(PipeEnd end, PipeEnd other, double radius) {
        Vector3D way = other.at().subtract(end.at());
        if (Vector3D.angle(end.heading(), way) <= FAR_BACK) {
            return List.of();
        }
        Vector3D aside = way.subtract(end.heading().scalarMultiply(way.dotProduct(end.heading())));
        Vector3D side =
                aside.getNorm() > ASIDE ? aside.normalize() : end.heading().orthogonal();
        Vector3D out = end.at().add(Pipework.STUB + radius, end.heading());
        return List.of(out, out.add(BETWEEN * radius, side));
    }
}

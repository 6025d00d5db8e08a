package io.enthalpa.core.fit;

import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunSpec;
import io.enthalpa.core.route.TurnList;
import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A pipe laid otherwise, as that is written. */
public final class Relaid {
    private Relaid() {}

    /** @param usual m, radius of a bend that says none @return as they are written, to a hundredth of a millimetre */
    static List<Run.Corner> corners(RunSpec spec, double usual) {
        return spec.corners().stream()
                .map(c -> new Run.Corner(
                        told(c.at()), c.radius() == usual ? OptionalDouble.empty() : OptionalDouble.of(c.radius())))
                .toList();
    }

    private static Vector3D told(Vector3D p) {
        return new Vector3D(told(p.getX()), told(p.getY()), told(p.getZ()));
    }

    private static double told(double m) {
        return Math.rint(m * 1e5) / 1e5;
    }

    /**
     * @param pipes among which it is laid
     * @param steps lengths, turns and bends, one for each corner; NaN for the radius of stock
     * @param last  m of straight behind the last
     * @return the pipe from where it begins, so cut and put together; an end that is on a port stays there, and the last bend takes up what is left
     */
    public static Run turned(Pipework pipes, Laid l, List<TurnList.Step> steps, double last) {
        TurnList now = l.turns();
        List<TurnList.Step> bent = steps.stream()
                .map(s -> Double.isNaN(s.radius())
                        ? new TurnList.Step(s.length(), s.turn(), s.angle(), l.usualRadius())
                        : s)
                .toList();
        RunSpec spec = new TurnList(now.from(), now.heading(), bent, last).run();
        Run run = pipes.run(l);
        return run.withEnd(run.to().map(typed -> told(spec.to()))).withCorners(corners(spec, l.usualRadius()));
    }
}

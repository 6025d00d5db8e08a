package io.enthalpa.core.fit;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.route.Run;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** How one may begin to lay a pipe. */
final class Starting {
    /** rad: a first bend that would turn farther back is left to the hand. */
    private static final double MOST_TURN = Math.toRadians(150);
    /** Angles settle at once: each moves its corner by little. */
    private static final int ROUNDS = 30;
    /** m of a pipe of which one end is known. */
    private static final double OPEN = 0.4;

    private Starting() {}

    static Run of(PathElement.Pipe pipe, Optional<PipeEnd> start, Optional<PipeEnd> finish) {
        if (start.isPresent() && finish.isPresent()) {
            return new Run(
                    pipe.name(),
                    Optional.empty(),
                    square(start.get(), finish.get(), Pipework.stockRadius(pipe)),
                    Optional.empty());
        }
        Optional<Vector3D> from = start.isPresent()
                ? Optional.empty()
                : Optional.of(finish.map(e -> e.at().add(OPEN, e.heading())).orElse(Vector3D.ZERO));
        Optional<Vector3D> to = finish.isPresent()
                ? Optional.empty()
                : Optional.of(start.map(e -> e.at().add(OPEN, e.heading())).orElse(new Vector3D(OPEN, 0, 0)));
        return new Run(pipe.name(), from, List.of(), to);
    }

    /** A corner before each port, as far out as its own bend takes. */
    private static List<Run.Corner> square(PipeEnd start, PipeEnd finish, double radius) {
        double first = radius;
        double last = radius;
        for (int i = 0; i < ROUNDS; i++) {
            Vector3D way = finish.at()
                    .add(Pipework.STUB + last, finish.heading())
                    .subtract(start.at().add(Pipework.STUB + first, start.heading()));
            if (way.getNorm() == 0) {
                break;
            }
            first = radius * Math.tan(Math.min(MOST_TURN, Vector3D.angle(start.heading(), way)) / 2);
            last = radius * Math.tan(Math.min(MOST_TURN, Vector3D.angle(finish.heading(), way.negate())) / 2);
        }
        return List.of(
                new Run.Corner(start.at().add(Pipework.STUB + first, start.heading()), OptionalDouble.empty()),
                new Run.Corner(finish.at().add(Pipework.STUB + last, finish.heading()), OptionalDouble.empty()));
    }
}

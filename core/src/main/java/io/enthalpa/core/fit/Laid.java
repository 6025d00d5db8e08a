package io.enthalpa.core.fit;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.loss.OvalSection;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.loss.PipeSpec.Bend;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunSpec;
import io.enthalpa.core.route.TurnList;
import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.router.Ribbon;
import io.enthalpa.core.space.Solid;
import io.enthalpa.core.waterloop.LoopPiece;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A pipe, or a hose of a water loop, as it is laid.
 *
 * @param run    its number among the runs of the option
 * @param spot   of the pipe; of a hose that of the core on whose water it is
 * @param pipe   of a hose a pipe of its size
 * @param hose   empty of a pipe of the charge
 * @param before what it begins on
 * @param behind what it ends on
 * @param fittings in its wall
 * @param ovals  where it is flat, those that cannot be left out
 */
public record Laid(
        int run,
        Spot spot,
        PathElement.Pipe pipe,
        Optional<Hose> hose,
        RunSpec spec,
        Centreline line,
        Optional<Joined> before,
        Optional<Joined> behind,
        List<Fitting> fittings,
        List<Oval> ovals) {
    /** m: no wider than a line of a drawing. */
    private static final double DRAWN = 1e-3;

    /**
     * A hose of a loop.
     *
     * @param piece its number in the loop, from 0
     */
    public record Hose(int piece, LoopPiece.Hose hose) {}

    /**
     * A port that a pipe comes on.
     *
     * @param body its number among the bodies that have a place
     * @param name of the body
     * @param off  rad that the pipe is out of square with it
     * @param fork where two legs come on it
     */
    public record Joined(int body, String name, OpenPort port, double off, Optional<Fork> fork) {
        private static Optional<Joined> of(Optional<PipeEnd> end, Vector3D away, List<Body> bodies) {
            return end.filter(e -> e.port().isPresent())
                    .map(e -> new Joined(
                            e.body(),
                            bodies.get(e.body()).name(),
                            e.port().get(),
                            Vector3D.angle(e.port().get().out(), away),
                            e.fork()));
        }
    }

    /**
     * @param start  empty where the run says where it begins
     * @param finish likewise
     * @throws io.enthalpa.core.fault.EnthalpaFault when it cannot be made so
     */
    static Laid of(
            int number,
            Run run,
            Spot spot,
            PathElement.Pipe pipe,
            Optional<Hose> hose,
            Optional<PipeEnd> start,
            Optional<PipeEnd> finish,
            List<Body> bodies) {
        double usual = usualRadius(pipe, hose);
        RunSpec spec = new RunSpec(
                run.from().orElseGet(() -> start.orElseThrow().at()),
                run.corners().stream()
                        .map(c -> new RunSpec.Corner(c.at(), c.radius().orElse(usual)))
                        .toList(),
                run.to().orElseGet(() -> finish.orElseThrow().at()));
        Centreline line = Centreline.of(spec, run.of());
        List<Vector3D> points = spec.points();
        int n = points.size();
        Vector3D first = points.get(1).subtract(points.get(0)).normalize();
        Vector3D last = points.get(n - 1).subtract(points.get(n - 2)).normalize();
        Optional<Joined> before = Joined.of(start, first, bodies);
        Optional<Joined> behind = Joined.of(finish, last.negate(), bodies);
        List<Oval> ovals = Ovals.seated(run, pipe, Seats.of(line, before.isPresent(), behind.isPresent()));
        return new Laid(number, spot, pipe, hose, spec, line, before, behind, run.fittings(), ovals);
    }

    static double usualRadius(PathElement.Pipe pipe, Optional<Hose> hose) {
        return hose.map(h -> h.hose.leastRadius()).orElseGet(() -> Pipework.stockRadius(pipe));
    }

    /** @return m, of the middle line of a bend that says none: that of stock, of a hose the least it bears */
    public double usualRadius() {
        return usualRadius(pipe, hose);
    }

    /** Where what goes on from it begins. */
    PipeEnd end() {
        return new PipeEnd(spec.to(), line.heading(line.length()), Optional.empty(), -1, Optional.empty());
    }

    /** m that must be clear of all else. */
    static double outside(PathElement.Pipe pipe) {
        return pipe.outside() + 2 * pipe.wall().wrap();
    }

    /** @return m that must be clear of all else */
    public double outside() {
        return outside(pipe);
    }

    /** @return as it is drawn: with few parts */
    public Solid drawn() {
        return solid(DRAWN);
    }

    /** As its gaps are taken. */
    Solid solid() {
        return solid(Centreline.STRAY);
    }

    /** Flat where it is, with the arms of a Y it ends on and what is in its wall. */
    private Solid solid(double stray) {
        List<Solid.Part> parts =
                new ArrayList<>(line.solid(pipe.name(), outside(), stray, (from, to) -> Ovals.straight(this, from, to))
                        .parts());
        Stream.of(before, behind)
                .flatMap(Optional::stream)
                .flatMap(j -> j.fork().stream())
                .forEach(fork -> parts.add(fork.arm(outside())));
        parts.addAll(Fittings.parts(this));
        return Solid.of(parts);
    }

    /** @return what it has to spare all along */
    public List<Ribbon.Spot> ribbon(List<Keepout> keepouts) {
        return Ribbon.of(line, (along, half) -> Ovals.slice(this, along, half), keepouts);
    }

    /** @return as it is cut and put together */
    public TurnList turns() {
        return TurnList.of(spec, pipe.name());
    }

    /** @return of a pipe, as long and bent as it is laid */
    public PathElement.Pipe piece() {
        PipeSpec laid = asLaid();
        return pipe.withSpec(laid).withWall(pipe.wall().within(laid.developed()));
    }

    /** Length, bends and flat stretches as they are laid. */
    PipeSpec asLaid() {
        List<Bend> bends = new ArrayList<>();
        for (Centreline.Bend b : line.bends()) {
            boolean stock = hose.isEmpty() && b.radius() == usualRadius();
            bends.add(new Bend(b.angle(), b.radius(), stock));
        }
        List<OvalSection> flat = ovals.stream().map(o -> Ovals.section(o, pipe)).toList();
        return new PipeSpec(pipe.spec().material(), pipe.spec().bore(), line.straight(), bends, flat);
    }
}

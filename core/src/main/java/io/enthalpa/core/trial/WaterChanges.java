package io.enthalpa.core.trial;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement.Core;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.Pieces.Placed;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.loss.StandardSizes;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/** What would help the water of a core at full load: wider narrow places, better ports, a second pump, a deeper radiator, finer ice. */
public final class WaterChanges {
    /** Below this a change is not worth a cut, K. */
    private static final double WORTH = 0.1;

    private static final double FINE_ICE = 25e-3;

    private final Trials trials;
    private final BuildOption option;
    private final Placed<Core> core;
    private final WaterLoopSpec loop;
    private final LoopResult now;
    private final double intake;
    private final List<WaterChange> found = new ArrayList<>();

    private WaterChanges(Trials trials, BuildOption option, Placed<Core> core, SteadyResult result) {
        this.trials = trials;
        this.option = option;
        this.core = core;
        this.loop = core.piece().loop().orElseThrow();
        this.now = loop(result, core.spot());
        this.intake = result.path().intakeTemperature();
    }

    /** Kinds of changes to a loop. */
    public enum Help {
        WIDER,
        CORNER_PORTS,
        FED_FROM_BELOW,
        CORNER_PORTS_FED_FROM_BELOW,
        SECOND_PUMP,
        DEEPER_RADIATOR,
        FINER_ICE
    }

    /**
     * A change with what it does.
     *
     * @param what   kind
     * @param of     names of what it changes
     * @param from   m, bore, depth or edge now; NaN where no size changes
     * @param to     m
     * @param share  of all losses that it takes now; empty when it is not about a loss
     * @param option with it
     * @param flow   m3/s with it
     * @param times  the flow now
     * @param intake K that the intake changes by
     * @param water  K that the water at the core changes by
     */
    public record WaterChange(
            Help what,
            List<String> of,
            double from,
            double to,
            OptionalDouble share,
            BuildOption option,
            double flow,
            double times,
            double intake,
            double water) {}

    /** @return those that help, best first; empty when no water-cooled core stands there */
    public static Optional<List<WaterChange>> of(Build build, String letter, Spot spot) {
        BuildOption option = build.option(letter);
        Trials trials = new Trials(build, letter);
        return Pieces.of(Core.class, option.path()).stream()
                .filter(placed ->
                        placed.spot().equals(spot) && placed.piece().loop().isPresent())
                .findFirst()
                .map(core -> trials.steady(option)
                        .map(result -> new WaterChanges(trials, option, core, result).search())
                        .orElse(List.of()));
    }

    private List<WaterChange> search() {
        if (loop.measured().isEmpty()) {
            bores();
            secondPump();
        }
        ports();
        sinks();
        found.sort(Comparator.comparingDouble(WaterChange::intake));
        return List.copyOf(found);
    }

    private static LoopResult loop(SteadyResult result, Spot spot) {
        return result.loops().stream()
                .filter(l -> l.slot().spot().equals(spot))
                .findFirst()
                .orElseThrow();
    }

    /** The narrowest pieces together to the bore that the rest has; to the next one; and every hose one size up. */
    private void bores() {
        List<LoopPiece> pieces = loop.pieces();
        List<Integer> bored = IntStream.range(0, pieces.size())
                .filter(i -> pieces.get(i).bore() > 0 && !(pieces.get(i) instanceof LoopPiece.Pump))
                .boxed()
                .toList();
        if (bored.isEmpty()) {
            return;
        }
        double[] sorted =
                bored.stream().mapToDouble(i -> pieces.get(i).bore()).sorted().toArray();
        double narrow = sorted[0];
        double usual = sorted[sorted.length * 3 / 4];
        List<Integer> narrowest =
                bored.stream().filter(i -> pieces.get(i).bore() < 1.05 * narrow).toList();
        if (usual > 1.08 * narrow) {
            widen(narrowest, Math.max(StandardSizes.FITTINGS.nearest(usual), usual));
        }
        widen(narrowest, next(narrow));
        bored.stream()
                .filter(i -> pieces.get(i) instanceof LoopPiece.Hose)
                .mapToDouble(i -> pieces.get(i).bore())
                .min()
                .ifPresent(thinHose -> widen(bored, next(thinHose)));
    }

    private static double next(double bore) {
        return StandardSizes.FITTINGS.above(bore * 1.03).orElse(StandardSizes.upTo(bore * 1.2, 1e-3));
    }

    private void widen(List<Integer> which, double to) {
        List<LoopPiece> pieces = new ArrayList<>(loop.pieces());
        List<String> names = new ArrayList<>();
        double from = Double.POSITIVE_INFINITY;
        double share = 0;
        for (int i : which) {
            LoopPiece piece = pieces.get(i);
            if (piece.bore() < to - 1e-5) {
                pieces.set(i, piece.withBore(to));
                names.add(piece.name());
                from = Math.min(from, piece.bore());
                share += now.flow().pieces().get(i).share();
            }
        }
        if (!names.isEmpty()) {
            tryOne(Help.WIDER, names, from, to, OptionalDouble.of(share), l -> l.withPieces(pieces));
        }
    }

    private void ports() {
        for (int i = 0; i < loop.pieces().size(); i++) {
            if (loop.pieces().get(i) instanceof LoopPiece.CoreSide side) {
                int index = i;
                CorePorts now = side.ports();
                boolean corners = now.layout() == CorePorts.Layout.OPPOSITE_CORNERS;
                boolean below = now.feed() == CorePorts.Feed.BOTTOM;
                CorePorts.Layout best = CorePorts.Layout.OPPOSITE_CORNERS;
                CorePorts.Feed bottom = CorePorts.Feed.BOTTOM;
                if (!corners) {
                    ports(Help.CORNER_PORTS, index, side, new CorePorts(best, now.feed(), now.boss()));
                }
                if (!below) {
                    ports(Help.FED_FROM_BELOW, index, side, new CorePorts(now.layout(), bottom, now.boss()));
                }
                if (!corners && !below) {
                    ports(Help.CORNER_PORTS_FED_FROM_BELOW, index, side, new CorePorts(best, bottom, now.boss()));
                }
            }
        }
    }

    private void ports(Help what, int index, LoopPiece.CoreSide side, CorePorts ports) {
        List<LoopPiece> pieces = Candidates.replaced(loop.pieces(), index, side.withPorts(ports));
        tryOne(what, List.of(side.name()), Double.NaN, Double.NaN, OptionalDouble.empty(), l -> l.withPieces(pieces));
    }

    private void secondPump() {
        for (int i = 0; i < loop.pieces().size(); i++) {
            if (loop.pieces().get(i) instanceof LoopPiece.Pump pump) {
                List<LoopPiece> pieces = new ArrayList<>(loop.pieces());
                pieces.add(
                        i + 1,
                        new LoopPiece.Pump(
                                "second " + pump.name(), pump.spec(), pump.bore(), pump.beside(), pump.height()));
                tryOne(
                        Help.SECOND_PUMP,
                        List.of(pump.name()),
                        Double.NaN,
                        Double.NaN,
                        OptionalDouble.empty(),
                        l -> l.withPieces(pieces));
                return;
            }
        }
    }

    private void sinks() {
        loop.radiator().ifPresent(radiator -> {
            CoreSize size = radiator.size();
            double depth = StandardSizes.upTo(size.depth() * 1.3, 2e-3);
            tryOne(
                    Help.DEEPER_RADIATOR,
                    List.of("radiator"),
                    size.depth(),
                    depth,
                    OptionalDouble.empty(),
                    l -> l.withRadiator(new RadiatorSpec(size.withDepth(depth), radiator.basis(), radiator.air())));
        });
        loop.tank()
                .filter(tank -> tank.ice().mass() > 0 && tank.ice().piece() > 1.2 * FINE_ICE)
                .ifPresent(tank -> tryOne(
                        Help.FINER_ICE,
                        List.of("ice"),
                        tank.ice().piece(),
                        FINE_ICE,
                        OptionalDouble.empty(),
                        l -> l.withTank(tank.withIce(new IceSpec(
                                tank.ice().mass(), FINE_ICE, tank.ice().stir())))));
    }

    private void tryOne(
            Help what,
            List<String> of,
            double from,
            double to,
            OptionalDouble share,
            UnaryOperator<WaterLoopSpec> change) {
        boolean known = found.stream().anyMatch(c -> c.what() == what && c.to() == to && c.of().equals(of));
        Optional<WaterLoopSpec> changed = known ? Optional.empty() : Loops.made(loop, change);
        changed.map(l -> option.withLoop(core, before -> l))
                .ifPresent(other -> trials.steady(other).ifPresent(result -> {
                    LoopResult then = loop(result, core.spot());
                    double gain = result.path().intakeTemperature() - intake;
                    if (gain < -WORTH) {
                        double flow = then.flow().flow();
                        double times = flow / now.flow().flow();
                        double water = then.waterIn() - now.waterIn();
                        found.add(new WaterChange(what, of, from, to, share, other, flow, times, gain, water));
                    }
                }));
    }
}

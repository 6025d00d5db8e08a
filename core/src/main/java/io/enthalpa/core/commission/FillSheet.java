package io.enthalpa.core.commission;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.commission.Step.Kind;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.LoopHeights;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** How a water loop is filled so that no air stays in it: litres by part, order, what to open where, room for the water to grow. */
public final class FillSheet {
    public static final Method METHOD = Method.of(
                    "fill-and-bleed",
                    "Filling and bleeding a loop",
                    "Air gathers at every place of the loop that is higher than its neighbours on both sides; each is opened, the lowest first, while water is poured in at the tank, until what comes is without bubbles. The water grows "
                            + "from 15 °C to what the loop sees at most; the tank needs that room above it.")
            .formula("growth = V (rho(15 °C) / rho(hottest) - 1)")
            .source(
                    GlycolWater.CONDE,
                    Citation.commonPractice(
                            "lowest bleed first; squeeze the hoses; run the pump only with water in it"))
            .leavesOut("Air that comes out of cold water as it warms: look again after the first drive.");
    /** K of water from the tap. */
    private static final double TAP = 288.15;
    /** K that a loop without pressure is filled for at least. */
    private static final double HOT = 353.15;
    /** m by which a place must be higher than its neighbours to hold air that matters. */
    private static final double HOLDS = 5e-3;

    /** Share of its room that a tank is filled to. */
    private static final double FILLED = 0.9;

    private FillSheet() {}

    /**
     * @param core  whose loop it is
     * @param steps in order
     */
    public record Loop(String core, List<Step> steps) {
        public Loop {
            steps = List.copyOf(steps);
        }
    }

    /** @return a list for each loop; none where no core is cooled by water */
    public static List<Loop> of(Build build, String letter) {
        return new Answer(build, letter)
                .steady().loops().stream()
                        .map(l -> new Loop(l.slot().element().name(), l.spec().isOpen() ? open(l) : closed(l)))
                        .toList();
    }

    private static List<Step> open(LoopResult loop) {
        List<Step> steps = new ArrayList<>();
        steps.add(Step.of(Kind.FILL_DRY));
        steps.add(Step.of(Kind.FILL_OPEN));
        steps.add(bucket(loop));
        return steps;
    }

    private static List<Step> closed(LoopResult loop) {
        WaterLoopSpec spec = loop.spec();
        List<Step> steps = new ArrayList<>(litres(spec));
        double hottest = Math.max(loop.hottest(), HOT);
        double grows =
                spec.volume() * (spec.coolant().density(TAP) / spec.coolant().density(hottest) - 1);
        steps.add(Step.of(Kind.FILL_GROWS)
                .with("grows", grows, Quantity.VOLUME)
                .with("hot", hottest, Quantity.TEMPERATURE));
        spec.tank()
                .ifPresentOrElse(
                        tank -> {
                            if (tank.capacity() * (1 - FILLED) < grows) {
                                steps.add(Step.of(Kind.FILL_NO_ROOM)
                                        .with("leave", grows, Quantity.VOLUME)
                                        .with("holds", tank.capacity(), Quantity.VOLUME));
                            }
                            steps.add(Step.of(Kind.FILL_CAP)
                                    .plain("open", tank.cap() > 0 ? 0 : 1)
                                    .with("boils", loop.boiling(), Quantity.TEMPERATURE));
                        },
                        () -> steps.add(Step.of(Kind.FILL_NO_TANK).with("grows", grows, Quantity.VOLUME)));
        steps.add(Step.of(Kind.FILL_DRY));
        steps.addAll(air(loop));
        steps.add(Step.of(Kind.FILL_SLOWLY));
        steps.add(Step.of(Kind.FILL_SQUEEZE));
        steps.add(Step.of(Kind.FILL_RUN));
        steps.add(Step.of(Kind.FILL_WATCH));
        steps.add(bucket(loop));
        steps.add(Step.of(Kind.FILL_WARM));
        return steps;
    }

    private static Step bucket(LoopResult loop) {
        double flow = loop.flow().flow();
        return Step.of(Kind.FILL_BUCKET)
                .with("flow", flow, Quantity.VOLUME_FLOW)
                .with("time", flow > 0 ? 5e-3 / flow : 0, Quantity.TIME);
    }

    private static List<Step> litres(WaterLoopSpec spec) {
        List<Step> steps = new ArrayList<>();
        steps.add(Step.of(Kind.FILL_ALL).with("volume", spec.volume(), Quantity.VOLUME));
        double tank = spec.tank().map(t -> t.capacity()).orElse(0.0);
        double hoses = spec.pieces().stream()
                .mapToDouble(p -> p.bore() == 0
                        ? 0
                        : p.area()
                                * (p instanceof LoopPiece.Hose hose
                                        ? hose.spec().developed()
                                        : p instanceof LoopPiece.Fitting f ? f.length() : 0))
                .sum();
        if (tank > 0) {
            steps.add(Step.of(Kind.FILL_TANK).with("volume", tank, Quantity.VOLUME));
        }
        if (hoses > 0) {
            steps.add(Step.of(Kind.FILL_HOSES).with("volume", hoses, Quantity.VOLUME));
        }
        double rest = spec.volume() - tank - hoses;
        if (rest > 0 && rest < spec.volume()) {
            steps.add(Step.of(Kind.FILL_REST)
                    .with("volume", rest, Quantity.VOLUME)
                    .plain("radiator", spec.radiator().isPresent() ? 1 : 0));
        }
        if (spec.coolant().share() > 0) {
            steps.add(Step.of(Kind.FILL_GLYCOL)
                    .with("glycol", spec.volume() * spec.coolant().share(), Quantity.VOLUME)
                    .with("water", spec.volume() * (1 - spec.coolant().share()), Quantity.VOLUME)
                    .with("share", spec.coolant().share(), Quantity.SHARE)
                    .with("freezes", spec.coolant().freezing(), Quantity.TEMPERATURE));
        }
        return steps;
    }

    private static List<Step> air(LoopResult loop) {
        List<Step> steps = new ArrayList<>();
        if (loop.spec().ports().feed() == CorePorts.Feed.TOP) {
            steps.add(Step.of(Kind.FILL_FED_TOP, loop.slot().element().name()));
        }
        List<LoopPiece> pieces = loop.spec().pieces();
        List<LoopPiece> pockets = pockets(pieces);
        Optional<LoopPiece> tank =
                pieces.stream().filter(LoopPiece.Tank.class::isInstance).findFirst();
        for (LoopPiece pocket : pockets) {
            double over = tank.map(t -> pocket.height() - t.height()).orElse(0.0);
            steps.add(Step.of(
                            over > LoopHeights.BEARABLE
                                    ? Kind.FILL_HOLDS_AIR
                                    : over > 0 ? Kind.FILL_HIGH_SPOT : Kind.FILL_POCKET,
                            pocket.name())
                    .with("over", Math.abs(over), Quantity.LENGTH));
        }
        if (pockets.isEmpty() && !pieces.isEmpty()) {
            steps.add(Step.of(Kind.FILL_NO_POCKET));
        }
        return steps;
    }

    /** @return pieces higher than those on both sides, the lowest first; never the tank, which is open above */
    static List<LoopPiece> pockets(List<LoopPiece> pieces) {
        int n = pieces.size();
        List<LoopPiece> found = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            LoopPiece piece = pieces.get(i);
            boolean rises = piece.height() > differing(pieces, i, -1) + HOLDS;
            // Of a level stretch only its first piece is told.
            boolean first =
                    piece.height() != pieces.get(Math.floorMod(i - 1, n)).height();
            if (!(piece instanceof LoopPiece.Tank)
                    && rises
                    && first
                    && piece.height() > differing(pieces, i, 1) + HOLDS) {
                found.add(piece);
            }
        }
        found.sort(java.util.Comparator.comparingDouble(LoopPiece::height));
        return found;
    }

    /** @return height of the next piece that way that stands at another height; its own where all are level */
    private static double differing(List<LoopPiece> pieces, int from, int step) {
        int n = pieces.size();
        for (int k = 1; k < n; k++) {
            LoopPiece next = pieces.get(Math.floorMod(from + step * k, n));
            if (next.height() != pieces.get(from).height() || next instanceof LoopPiece.Tank) {
                return next.height();
            }
        }
        return pieces.get(from).height();
    }
}

package io.enthalpa.core.sizing;

import io.enthalpa.core.loss.PerformanceCurve;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.loss.StandardSizes;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.PumpSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The pieces of a loop as it is usually built, in the order of the water: pump, hoses, core and whatever takes the heat. Invented, of usual
 * proportions: lengths and heights as in a car, one pump that moves about 25 L/min through them where the size is 1, a raw
 * water pump about 65.
 */
public final class UsualLoop {
    private static final double PER_MINUTE = 1e-3 / 60;
    private static final double HOSE_BORE = 19e-3;
    private static final double RAW_BORE = 25e-3;
    private static final double HOSE_LENGTH = 1.0;
    private static final double PUMP_EFFICIENCY = 0.25;
    private static final double RAW_PUMP_EFFICIENCY = 0.35;
    private static final double CHILLER_LOSS = 8e3;
    private static final double CHILLER_FLOW = 20 * PER_MINUTE;
    /** A hose runs below the tank's cap, so that the loop fills. */
    private static final double HIGHEST_HOSE = 0.62;

    private final double scale;

    private UsualLoop(double size) {
        this.scale = Math.min(Math.max(size, 0.5), 2.5);
    }

    /**
     * @param size        1 for a charge flow of {@link GenericParts#FLOW}
     * @param loop        whose parts the pieces are for
     * @param engineSpeed rad/s at which a raw water pump, which the engine drives, moves what it should
     * @return the loop with its pieces
     */
    static WaterLoopSpec drawn(double size, WaterLoopSpec loop, double engineSpeed) {
        UsualLoop usual = new UsualLoop(size);
        return loop.withPieces(loop.isOpen() ? usual.open(engineSpeed) : usual.closed(loop));
    }

    /**
     * @param engineSpeed as above
     * @return a loop of which only a flow was known, with usual pieces for about that flow; one that was measured still counts, a guess
     *     gives way to what the pump moves
     */
    public static WaterLoopSpec drawn(WaterLoopSpec loop, double engineSpeed) {
        double flow = loop.measured().orElse(CHILLER_FLOW);
        WaterLoopSpec drawn = drawn(flow / CHILLER_FLOW, loop, engineSpeed);
        return loop.guessed() ? drawn.pumped() : drawn;
    }

    private List<LoopPiece> closed(WaterLoopSpec loop) {
        double bore = StandardSizes.HOSES.nearest(HOSE_BORE * Math.sqrt(scale));
        List<LoopPiece> stations = new ArrayList<>();
        loop.tank().ifPresent(t -> stations.add(new LoopPiece.Tank(t.ice().mass() > 0 ? "ice tank" : "tank", 0.65)));
        stations.add(pump("pump", bore, OptionalDouble.empty(), 45, 0, 32, 20, 5, 40));
        loop.chiller()
                .ifPresent(c ->
                        stations.add(new LoopPiece.ChillerSide("chiller", CHILLER_LOSS, CHILLER_FLOW * scale, 0.4)));
        stations.add(new LoopPiece.CoreSide("core", CorePorts.BEST, 0.52));
        loop.radiator().ifPresent(r -> stations.add(new LoopPiece.RadiatorSide("radiator", 0.35)));
        List<LoopPiece> pieces = new ArrayList<>();
        for (int i = 0; i < stations.size(); i++) {
            pieces.add(stations.get(i));
            pieces.add(hose(stations.get(i), stations.get((i + 1) % stations.size()), bore));
        }
        return pieces;
    }

    private List<LoopPiece> open(double engineSpeed) {
        double bore = StandardSizes.HOSES.nearest(RAW_BORE * Math.sqrt(scale));
        LoopPiece source = new LoopPiece.Source("water in", -0.45);
        LoopPiece pump =
                pump("raw water pump", bore, OptionalDouble.of(engineSpeed), 160, 0, 150, 20, 120, 40, 70, 60, 20, 75);
        LoopPiece core = new LoopPiece.CoreSide("core", CorePorts.BEST, 0.6);
        LoopPiece outfall = new LoopPiece.Outfall("outfall", 0.18);
        return List.of(
                source,
                hose(source, pump, bore),
                pump,
                hose(pump, core, bore),
                core,
                hose(core, outfall, bore),
                outfall);
    }

    private static LoopPiece hose(LoopPiece from, LoopPiece to, double bore) {
        PipeSpec spec = new PipeSpec(
                PipeMaterial.SILICONE,
                bore,
                HOSE_LENGTH,
                Collections.nCopies(2, PipeSpec.Bend.stock(Math.PI / 2, bore)));
        return new LoopPiece.Hose(
                from.name() + " to " + to.name(),
                spec,
                1,
                Math.min(Math.max(from.height(), to.height()), HIGHEST_HOSE));
    }

    /** @param curve kPa and L/min in turn, of size 1 */
    private LoopPiece pump(String name, double bore, OptionalDouble driven, double... curve) {
        List<PerformanceCurve.Point> points = new ArrayList<>();
        for (int i = 0; i < curve.length; i += 2) {
            points.add(new PerformanceCurve.Point(curve[i + 1] * PER_MINUTE * scale, curve[i] * 1e3));
        }
        PumpSpec spec = new PumpSpec(
                new PerformanceCurve(points, PerformanceCurve.Machine.PUMP, name),
                1,
                driven,
                driven.isPresent() ? RAW_PUMP_EFFICIENCY : PUMP_EFFICIENCY);
        return new LoopPiece.Pump(name, spec, bore, 1, driven.isPresent() ? 0.3 : 0.25);
    }
}

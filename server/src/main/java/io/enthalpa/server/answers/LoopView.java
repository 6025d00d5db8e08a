package io.enthalpa.server.answers;

import io.enthalpa.core.place.Subject;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.PieceLoss;
import io.enthalpa.formats.document.Pointers;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the water of a core does at full load. Temperatures along the loop stand with its pieces. */
public record LoopView(
        String place,
        String core,
        boolean open,
        boolean measured,
        boolean guessed,
        double flow_L_min,
        double head_kPa,
        double pumpPower_W,
        double waterIn_C,
        double waterOut_C,
        double heat_kW,
        @Nullable RadiatorView radiator,
        double chiller_kW,
        boolean chillerOut,
        @Nullable Double pullDown_s,
        double ice_kW,
        @Nullable Double iceLasts_s,
        double rise_K_min,
        double freezing_C,
        double boiling_C,
        int narrowest,
        int highest,
        double overCap_mm,
        boolean sweats,
        List<HeadView> heads,
        List<LoopPieceView> pieces,
        List<OnLoopView> cores) {

    /** A core on the loop, with its part of the water. */
    public record OnLoopView(String place, String name, double flow_L_min, double in_C, double out_C, double heat_kW) {}

    /** What the pumps give and the loop takes at a flow. */
    public record HeadView(double flow_L_min, double given_kPa, double taken_kPa) {}

    /** The radiator and the air that meets it. */
    public record RadiatorView(
            double heat_kW, double airFlow_kg_s, double faceSpeed_m_s, double airIn_C, double airOut_C) {}

    /** A piece with what it costs; of a pump the loss is what it gives, below zero. */
    public record LoopPieceView(
            String place,
            String name,
            double loss_kPa,
            double share_pct,
            double velocity_m_s,
            double reynolds,
            boolean laminar,
            double in_C,
            double out_C) {}

    static LoopView of(LoopResult loop) {
        return new LoopView(
                Pointers.of(loop.slot().spot()),
                loop.slot().element().name(),
                loop.spec().isOpen(),
                loop.spec().measured().isPresent(),
                loop.spec().guessed(),
                loop.flow().flow() * 60e3,
                loop.flow().head() / 1000,
                loop.flow().power(),
                loop.waterIn() - 273.15,
                loop.waterOut() - 273.15,
                loop.heat() / 1000,
                radiator(loop),
                loop.chiller() / 1000,
                loop.chillerOut(),
                orNull(loop.pullDown()),
                loop.ice() / 1000,
                orNull(loop.iceLasts()),
                loop.rise() * 60,
                loop.spec().coolant().freezing() - 273.15,
                loop.boiling() - 273.15,
                loop.flow().narrowest(),
                loop.heights().highest(),
                loop.heights().over() * 1000,
                loop.sweats(),
                loop.heads().stream()
                        .map(h -> new HeadView(h.flow() * 60e3, h.given() / 1000, h.taken() / 1000))
                        .toList(),
                pieces(loop),
                loop.cores().stream().map(c -> onLoop(loop, c)).toList());
    }

    private static OnLoopView onLoop(LoopResult loop, CoreResult core) {
        return new OnLoopView(
                Pointers.of(core.slot().spot()),
                core.slot().element().name(),
                core.coldFlow() / loop.spec().coolant().density(loop.waterIn()) * 60e3,
                core.coldIn() - 273.15,
                core.coldOut() - 273.15,
                core.heat() / 1000);
    }

    private static @Nullable RadiatorView radiator(LoopResult loop) {
        return loop.air() == null
                ? null
                : new RadiatorView(
                        loop.radiator() / 1000,
                        loop.air().flow(),
                        loop.air().speed(),
                        loop.air().inlet() - 273.15,
                        loop.airOut() - 273.15);
    }

    private static List<LoopPieceView> pieces(LoopResult loop) {
        double[] in = new double[loop.flow().pieces().size() + 1];
        temperatures(loop, in);
        List<LoopPieceView> views = new ArrayList<>();
        for (int i = 0; i < loop.flow().pieces().size(); i++) {
            PieceLoss p = loop.flow().pieces().get(i);
            views.add(new LoopPieceView(
                    Pointers.of(new Subject.LoopPiece(loop.slot().spot(), i)),
                    p.piece().name(),
                    p.loss() / 1000,
                    100 * p.share(),
                    p.velocity(),
                    p.reynolds(),
                    p.isLaminar(),
                    in[i] - 273.15,
                    in[i + 1] - 273.15));
        }
        return views;
    }

    /** Walks the water from the core round; what radiator, chiller and ice take is gone behind them. */
    private static void temperatures(LoopResult loop, double[] in) {
        int n = in.length - 1;
        int core = 0;
        while (core < n && !(loop.flow().pieces().get(core).piece() instanceof LoopPiece.CoreSide)) {
            core++;
        }
        double perKelvin = (loop.heat() / Math.max(loop.waterOut() - loop.waterIn(), 1e-9));
        double now = loop.waterIn();
        for (int k = 0; k < n; k++) {
            int i = (core + k) % n;
            in[i] = now;
            LoopPiece piece = loop.flow().pieces().get(i).piece();
            if (piece instanceof LoopPiece.CoreSide) {
                now = loop.waterOut();
            } else if (piece instanceof LoopPiece.RadiatorSide) {
                now -= loop.radiator() / perKelvin;
            } else if (piece instanceof LoopPiece.ChillerSide) {
                now -= loop.chiller() / perKelvin;
            } else if (piece instanceof LoopPiece.Tank) {
                now = loop.rise() > 0 ? loop.waterIn() : now - loop.ice() / perKelvin;
            } else if (piece instanceof LoopPiece.Source) {
                now = loop.waterIn();
                in[i] = now;
            }
            if (i == n - 1) {
                in[n] = now;
            }
        }
    }

    private static @Nullable Double orNull(double value) {
        return Double.isFinite(value) ? value : null;
    }
}

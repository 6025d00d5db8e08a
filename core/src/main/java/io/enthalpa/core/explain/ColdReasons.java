package io.enthalpa.core.explain;

import io.enthalpa.core.coolingair.AirWay;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.coolingair.OtherExchanger;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.loss.FittingLoss;
import io.enthalpa.core.loss.FrictionFactor;
import io.enthalpa.core.loss.PerformanceCurve;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.steady.AirWayResult;
import io.enthalpa.core.steady.AirWayResult.LayerResult;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.CoresOnLoop;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopHeights;
import io.enthalpa.core.waterloop.LoopHydraulics;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.LoopSinks;
import io.enthalpa.core.waterloop.PieceLoss;
import io.enthalpa.core.waterloop.Radiator;
import java.util.ArrayList;
import java.util.List;

/** Opens what water and cooling air do. */
final class ColdReasons {
    private final List<Reason> reasons = new ArrayList<>();
    private Subject here;

    private ColdReasons(Subject here) {
        this.here = here;
    }

    static List<Reason> ofLoop(LoopResult loop) {
        ColdReasons r = new ColdReasons(new Subject.Loop(loop.slot().spot()));
        r.loop(loop);
        if (loop.cores().size() > 1) {
            loop.cores().forEach(core -> r.reasons.add(onLoop(loop, core)));
        }
        for (int i = 0; i < loop.flow().pieces().size(); i++) {
            r.here = new Subject.LoopPiece(loop.slot().spot(), i);
            r.piece(loop.flow().pieces().get(i), loop);
        }
        return r.reasons;
    }

    /** What one of several cores on a loop gets of its water. */
    private static Reason onLoop(LoopResult loop, CoreResult core) {
        double density = loop.spec().coolant().density(loop.waterIn());
        return new Reason(
                core.slot().spot(),
                volume("water through it", core.coldFlow() / density),
                CoresOnLoop.METHOD,
                List.of(
                        volume("water of the loop", loop.flow().flow()),
                        Figure.plain("cores on the loop", loop.cores().size()),
                        Reasons.temperature("into the first core", loop.waterIn()),
                        Reasons.temperature("into this one", core.coldIn()),
                        power("its heat", core.heat()),
                        power("heat of all", loop.heat())));
    }

    static List<Reason> ofWay(AirWayResult way, int index) {
        ColdReasons r = new ColdReasons(new Subject.Way(index));
        r.add(
                volume("air through the opening", way.flow().total()),
                AirWay.METHOD,
                Reasons.pressure(
                        "road wind between opening and exit", way.flow().wind()),
                Reasons.pressure("fan", way.flow().fan()),
                Reasons.pressure("warm air rising", way.flow().buoyancy()),
                Reasons.pressure("lost at the opening", way.flow().inLoss()),
                Reasons.pressure("lost in the stack", way.flow().stackLoss()),
                Reasons.pressure("lost at the exit", way.flow().outLoss()),
                volume("round the stack", way.flow().bypass()),
                Figure.plain("free opening, m2", way.spec().opening().area()));
        for (int k = 0; k < way.layers().size(); k++) {
            LayerResult layer = way.layers().get(k);
            r.here = new Subject.Layer(index, k);
            r.add(
                    Reasons.temperature("air behind it", layer.airOut()),
                    way.spec().layers().get(k).isOther() ? OtherExchanger.METHOD : AirWay.METHOD,
                    Reasons.temperature("air before it", layer.airIn()),
                    new Figure("air at its face", layer.speed(), Quantity.SPEED),
                    power("heat to the air", layer.heat()));
            if (way.spec().layers().get(k).isOther()) {
                r.add(
                        Reasons.temperature("its hot side", layer.hot()),
                        OtherExchanger.METHOD,
                        power("heat it has to give", layer.asked()),
                        power("heat to the air", layer.heat()),
                        Reasons.temperature(
                                "the most it may",
                                way.spec().layers().get(k).other().hot()));
            }
        }
        return r.reasons;
    }

    /** The air of a core that stands in no way. */
    static Reason faceShare(CoreResult core) {
        return new Reason(
                core.slot().spot(),
                new Figure("outside air at the face", core.faceSpeed(), Quantity.SPEED),
                FaceAirSpec.METHOD,
                List.of(Reasons.flow("coolant", core.coldFlow()), Reasons.temperature("coolant in", core.coldIn())));
    }

    private void add(Figure result, Method method, Figure... numbers) {
        reasons.add(new Reason(here, result, method, List.of(numbers)));
    }

    private static Figure power(String name, double w) {
        return new Figure(name, w, Quantity.POWER);
    }

    private static Figure volume(String name, double m3s) {
        return new Figure(name, m3s, Quantity.VOLUME_FLOW);
    }

    private void loop(LoopResult loop) {
        add(
                volume("water flow", loop.flow().flow()),
                LoopHydraulics.METHOD,
                Reasons.pressure("all losses", loop.flow().head()),
                power("pumps draw", loop.flow().power()),
                Reasons.temperature("water", loop.waterIn()));
        add(
                Reasons.temperature("water at the core", loop.waterIn()),
                LoopSinks.METHOD,
                power("heat from the charge", loop.heat()),
                power("radiator", loop.radiator()),
                power("chiller", loop.chiller()),
                power("ice", loop.ice()),
                Reasons.temperature("behind the core", loop.waterOut()));
        GlycolWater coolant = loop.spec().coolant();
        add(
                Reasons.temperature("freezes at", coolant.freezing()),
                coolant.share() > 0 ? GlycolWater.METHOD : Water.METHOD,
                Reasons.share("glycol", coolant.share()),
                new Figure("density", coolant.density(loop.waterIn()), Quantity.DENSITY),
                Figure.plain("viscosity, mPa s", 1000 * coolant.viscosity(loop.waterIn())));
        if (loop.spec().chiller().isPresent()) {
            add(
                    new Figure("pull-down", loop.pullDown(), Quantity.TIME),
                    ChillerSpec.METHOD,
                    power("capacity now", loop.chiller()));
        }
        if (loop.ice() > 0) {
            add(
                    new Figure("ice lasts", loop.iceLasts(), Quantity.TIME),
                    IceSpec.METHOD,
                    power("into the ice", loop.ice()));
        }
        if (loop.heights().highest() >= 0) {
            add(Reasons.length("highest place above the cap", loop.heights().over()), LoopHeights.METHOD);
        }
    }

    private void piece(PieceLoss piece, LoopResult loop) {
        Figure loss = Reasons.pressure("loss", piece.loss());
        Figure velocity = new Figure("water speed", piece.velocity(), Quantity.SPEED);
        if (piece.piece() instanceof LoopPiece.Pump) {
            add(
                    Reasons.pressure("pump gives", -piece.loss()),
                    PerformanceCurve.METHOD,
                    volume("flow", loop.flow().flow()),
                    velocity);
        } else if (piece.piece() instanceof LoopPiece.Hose) {
            add(
                    loss,
                    FrictionFactor.METHOD,
                    velocity,
                    Figure.plain("Reynolds number", piece.reynolds()),
                    Reasons.share("of all losses", piece.share()));
        } else if (piece.piece() instanceof LoopPiece.Fitting) {
            add(
                    loss,
                    FittingLoss.METHOD,
                    velocity,
                    Figure.plain("Reynolds number", piece.reynolds()),
                    Reasons.share("of all losses", piece.share()));
        } else if (piece.piece() instanceof LoopPiece.CoreSide core) {
            add(
                    Reasons.share(
                            "passages that see little water",
                            core.ports().spread().slow()),
                    CorePorts.METHOD,
                    Reasons.share(
                            "passages that see none", core.ports().spread().dry()),
                    loss,
                    Reasons.share("of all losses", piece.share()));
        } else if (piece.piece() instanceof LoopPiece.RadiatorSide) {
            add(
                    loss,
                    Radiator.METHOD,
                    Reasons.share("of all losses", piece.share()),
                    power("heat to the air", loop.radiator()),
                    Reasons.temperature("air before it", loop.air().inlet()),
                    Reasons.temperature("air behind it", loop.airOut()));
        }
    }
}

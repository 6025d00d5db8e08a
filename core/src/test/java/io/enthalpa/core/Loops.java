package io.enthalpa.core;

import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.WaterSpread;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.loss.FittingLoss;
import io.enthalpa.core.loss.PerformanceCurve;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.LoopHydraulics;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.PumpSpec;
import io.enthalpa.core.waterloop.Radiator;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.RawWaterSpec;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Invented water loops that the tests share, with one knob turned at a time. */
public final class Loops {
    public static final double LITRES = 1e-3 / 60;
    public GlycolWater coolant = GlycolWater.WATER;
    public double hose = 0.019;
    public double spigot = 0.0175;
    /** The radiator's inlet spigot; the same as the others unless told. */
    public double oddSpigot = 0.0175;

    public CorePorts ports = CorePorts.BEST;
    public double volume = 6e-3;
    /** W/K to the air round the loop. */
    public double soak;

    public boolean whileOff = true;
    public Optional<RadiatorSpec> radiator = Optional.of(Systems.radiator());
    public Optional<TankSpec> tank = Optional.of(TankSpec.PLAIN);
    public Optional<ChillerSpec> chiller = Optional.empty();
    public Optional<RawWaterSpec> raw = Optional.empty();
    public List<LoopPiece> pumps = List.of(pump("pump", 1));

    public static PerformanceCurve curve(double shutOff, double freeFlow) {
        return new PerformanceCurve(
                List.of(new PerformanceCurve.Point(0, shutOff), new PerformanceCurve.Point(freeFlow, 0)),
                PerformanceCurve.Machine.PUMP,
                "pump");
    }

    public static LoopPiece.Pump pump(String name, int beside) {
        return new LoopPiece.Pump(
                name, new PumpSpec(curve(42e3, 40 * LITRES), 1, OptionalDouble.empty(), 0.3), 0.019, beside, 0.2);
    }

    public static LoopPiece.Hose hose(String name, double bore, double length, double height) {
        return new LoopPiece.Hose(
                name,
                new PipeSpec(PipeMaterial.SILICONE, bore, length, List.of(new PipeSpec.Bend(Math.PI / 2, 3 * bore))),
                1,
                height);
    }

    public static LoopPiece.Fitting fitting(String name, FittingLoss type, double bore, double length) {
        return new LoopPiece.Fitting(name, type, bore, length, 1, 0.4);
    }

    private List<LoopPiece> pieces() {
        List<LoopPiece> pieces = new ArrayList<>();
        pieces.add(raw.isPresent() ? new LoopPiece.Source("sea", -0.3) : new LoopPiece.Tank("tank", 0.65));
        pieces.add(hose("to the pump", hose, 0.8, 0.5));
        pieces.addAll(pumps);
        pieces.add(hose("to the core", hose, 1.2, 0.5));
        pieces.add(fitting("core spigot", FittingLoss.SPIGOT, spigot, 0.03));
        pieces.add(new LoopPiece.CoreSide("core", ports, 0.5));
        pieces.add(fitting("core outlet", FittingLoss.SPIGOT, spigot, 0.03));
        pieces.add(hose("onwards", hose, 1.2, 0.6));
        if (radiator.isPresent()) {
            pieces.add(fitting("odd spigot", FittingLoss.SPIGOT, oddSpigot, 0.03));
            pieces.add(new LoopPiece.RadiatorSide("radiator", 0.3));
            pieces.add(hose("back", hose, 0.8, 0.6));
        }
        if (chiller.isPresent()) {
            pieces.add(new LoopPiece.ChillerSide("chiller", 6e3, 20 * LITRES, 0.4));
        }
        if (raw.isPresent()) {
            pieces.add(new LoopPiece.Outfall("overboard", 0.2));
        }
        return pieces;
    }

    public WaterLoopSpec spec() {
        return new WaterLoopSpec(
                coolant,
                OptionalDouble.empty(),
                volume,
                pieces(),
                radiator,
                raw.isPresent() ? Optional.empty() : tank,
                chiller,
                raw,
                soak,
                whileOff,
                false);
    }

    /** @return the standard engine with this loop round its core */
    public Systems systems() {
        Systems s = Systems.water();
        s.cooling = new CoolingSide.Water(spec());
        return s;
    }

    public LoopHydraulics hydraulics() {
        ChargeCooler core = new ChargeCooler(Systems.water().core(), coolant, WaterSpread.EVEN, 0);
        return new LoopHydraulics(
                spec(), core, radiator.map(r -> Radiator.of(r, coolant)).orElse(null));
    }
}

package io.enthalpa.core;

import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.FanSpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.coolingair.OtherExchanger;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.loss.PerformanceCurve;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Invented ways of the cooling air that the tests share, with one knob turned at a time. */
public final class Ways {
    public double spaceWidth = 0.9;
    public double spaceHeight = 0.6;
    public OpeningSpec opening = new OpeningSpec(0.6, 0.25, 0.9, 1, false, List.of());
    public double seal = 0.9;
    public boolean ducted;
    public List<Layer> layers = List.of(new Layer("core", Layer.Kind.CORE, 0, 0, 0.05, null));
    public Optional<FanSpec> fan = Optional.empty();
    public double exitArea = 0.12;
    public double exitPressure = -0.1;

    public static Layer condenser(double gap) {
        return new Layer(
                "condenser",
                Layer.Kind.CONDENSER,
                0,
                0,
                gap,
                new OtherExchanger(
                        new CoreSize(0.56, 0.34, 0.018), 8e3, 331.15, 4, 308.15, OptionalDouble.of(38), 331.15));
    }

    public static Layer engineRadiator(double gap) {
        return new Layer(
                "engine radiator",
                Layer.Kind.ENGINE_RADIATOR,
                0,
                0,
                gap,
                new OtherExchanger(
                        new CoreSize(0.6, 0.38, 0.034), 45e3, 368.15, 5, 308.15, OptionalDouble.of(95), 369.15));
    }

    public static FanSpec fan(boolean backwards) {
        return new FanSpec(
                new PerformanceCurve(
                        List.of(new PerformanceCurve.Point(0, 200), new PerformanceCurve.Point(0.8, 0)),
                        PerformanceCurve.Machine.FAN,
                        "fan"),
                backwards,
                100,
                true);
    }

    public static Ways random(Cases c) {
        Ways w = new Ways();
        w.opening = new OpeningSpec(
                c.between(0.2, 0.7),
                c.between(0.1, 0.3),
                c.between(0.4, 1.0),
                c.between(0.5, 1.0),
                c.between(0, 1) > 0,
                List.of());
        w.seal = c.between(0.3, 0.9);
        w.ducted = c.between(0, 1) > 0;
        w.exitArea = c.between(0.03, 0.2);
        w.exitPressure = c.between(-0.4, 0.2);
        w.fan = c.between(0, 1) > 0 ? Optional.of(fan(false)) : Optional.empty();
        Layer core = new Layer("core", Layer.Kind.CORE, c.between(-0.1, 0.1), c.between(-0.05, 0.05), 0.02, null);
        w.layers = c.between(0, 1) > 0
                ? List.of(core, condenser(0.02), engineRadiator(0.02))
                : List.of(condenser(0.05), core);
        return w;
    }

    public AirWaySpec spec() {
        return new AirWaySpec(
                "front", spaceWidth, spaceHeight, opening, seal, ducted, layers, fan, exitArea, exitPressure, 0.15);
    }
}

package io.enthalpa.core.waterloop;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fluid.GlycolWater;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The water side of a core as it is built.
 *
 * @param coolant  water, or water and glycol
 * @param measured m3/s that circulates, by bucket and watch or a guess; empty to solve it from pump and losses
 * @param volume   m3 of water in tank, hoses, core and radiator
 * @param pieces   in the order the water passes them; empty when only the measured flow is known
 * @param radiator gives the heat to air; empty without one
 * @param tank     reservoir; empty without one
 * @param chiller  empty without one
 * @param raw      water that passes once; empty for a closed loop
 * @param soak     W/K between the water and the air round hoses, tank and core; 0 where it is not counted
 * @param whileOff true when its pumps go on while the engine is off
 * @param guessed  true when the flow given is only a guess
 */
public record WaterLoopSpec(
        GlycolWater coolant,
        OptionalDouble measured,
        double volume,
        List<LoopPiece> pieces,
        Optional<RadiatorSpec> radiator,
        Optional<TankSpec> tank,
        Optional<ChillerSpec> chiller,
        Optional<RawWaterSpec> raw,
        double soak,
        boolean whileOff,
        boolean guessed) {
    public WaterLoopSpec(
            GlycolWater coolant,
            OptionalDouble measured,
            double volume,
            List<LoopPiece> pieces,
            Optional<RadiatorSpec> radiator,
            Optional<TankSpec> tank,
            Optional<ChillerSpec> chiller,
            Optional<RawWaterSpec> raw) {
        this(coolant, measured, volume, pieces, radiator, tank, chiller, raw, 0, true, false);
    }

    public WaterLoopSpec {
        pieces = List.copyOf(pieces);
        check(coolant, measured, pieces, radiator, tank, chiller, raw);
    }

    /** @return a closed loop of pure water with a measured flow and a radiator */
    public static WaterLoopSpec measured(double flow, double volume, RadiatorSpec radiator) {
        return new WaterLoopSpec(
                GlycolWater.WATER,
                OptionalDouble.of(flow),
                volume,
                List.of(),
                Optional.of(radiator),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** @return the core's ports; the best when the loop does not tell */
    public CorePorts ports() {
        return pieces.stream()
                .filter(LoopPiece.CoreSide.class::isInstance)
                .map(p -> ((LoopPiece.CoreSide) p).ports())
                .findFirst()
                .orElse(CorePorts.BEST);
    }

    /** @return m3 in hoses and fittings from the mixed part of the loop (tank, radiator, chiller) to the core; 0 where the pieces are not known */
    public double feedVolume() {
        return volumeFromCore(-1);
    }

    /** @return m3 from the core to the next mixed part */
    public double returnVolume() {
        return volumeFromCore(1);
    }

    private double volumeFromCore(int step) {
        int n = pieces.size();
        int core = 0;
        while (core < n && !(pieces.get(core) instanceof LoopPiece.CoreSide)) {
            core++;
        }
        double sum = 0;
        for (int k = 1; k < n; k++) {
            LoopPiece piece = pieces.get(Math.floorMod(core + step * k, n));
            if (piece.bore() == 0) {
                break;
            }
            sum += piece.area()
                    * (piece instanceof LoopPiece.Hose hose
                            ? hose.spec().developed()
                            : piece instanceof LoopPiece.Fitting f ? f.length() : 0);
        }
        return sum;
    }

    public boolean isOpen() {
        return raw.isPresent();
    }

    /** @param engineSpeed rad/s @return whether anything is meant to move the water */
    public boolean isPumped(double engineSpeed) {
        return engineSpeed > 0
                || whileOff
                        && (pieces.stream().noneMatch(LoopPiece.Pump.class::isInstance)
                                || pieces.stream()
                                        .anyMatch(p -> p instanceof LoopPiece.Pump pump
                                                && pump.spec().speed(0) > 0));
    }

    /** @return true when the engine drives one of its pumps */
    public boolean followsEngine() {
        return pieces.stream()
                .anyMatch(p -> p instanceof LoopPiece.Pump pump
                        && pump.spec().drivenAt().isPresent());
    }

    private static void check(
            GlycolWater coolant,
            OptionalDouble measured,
            List<LoopPiece> pieces,
            Optional<RadiatorSpec> radiator,
            Optional<TankSpec> tank,
            Optional<ChillerSpec> chiller,
            Optional<RawWaterSpec> raw) {
        if (pieces.isEmpty() && measured.isEmpty()) {
            throw contradiction(
                    "pieces",
                    "water loop",
                    "without pieces and without a measured flow",
                    "one or the other",
                    "Put in a pump and its hoses, or measure the flow with bucket and watch.");
        }
        if (measured.isEmpty() && pieces.stream().noneMatch(LoopPiece.Pump.class::isInstance)) {
            throw contradiction(
                    "pieces",
                    "water loop",
                    "without a pump",
                    "driven by at least one",
                    "Put a pump in, or give the flow you measured.");
        }
        if (!pieces.isEmpty()) {
            once(pieces, LoopPiece.CoreSide.class, "the core", true, "");
            once(pieces, LoopPiece.RadiatorSide.class, "the radiator", radiator.isPresent(), "radiator");
            once(pieces, LoopPiece.Tank.class, "the tank", tank.isPresent(), "tank");
            once(pieces, LoopPiece.ChillerSide.class, "the chiller", chiller.isPresent(), "chiller");
            ends(pieces, raw.isPresent());
        }
        tank.ifPresent(t -> {
            double most = t.capacity() * IceSpec.DENSITY;
            if (t.ice().mass() > most) {
                throw contradiction(
                        "tank/ice",
                        "ice in the tank",
                        "%.1f kg".formatted(t.ice().mass()),
                        "no more than the tank of %.1f L holds, %.1f kg".formatted(t.capacity() * 1000, most),
                        "Put in less, or take a bigger tank.");
            }
        });
        chiller.ifPresent(c -> {
            double least = coolant.freezing() + GlycolWater.MARGIN;
            if (c.coldest() < least) {
                throw contradiction(
                        "chiller/coldest",
                        "coldest water from the chiller",
                        celsius(c.coldest()),
                        "at least %s for %.0f %% glycol, which freezes at %s"
                                .formatted(celsius(least), 100 * coolant.share(), celsius(coolant.freezing())),
                        "Set it warmer, or mix in more glycol.");
            }
        });
    }

    private static void once(
            List<LoopPiece> pieces, Class<? extends LoopPiece> kind, String what, boolean wanted, String spec) {
        long count = pieces.stream().filter(kind::isInstance).count();
        if (count != (wanted ? 1 : 0)) {
            throw contradiction(
                    "pieces",
                    "water loop, " + what,
                    count == 0 ? "not among the pieces" : "there " + count + " times",
                    wanted ? "there once" : "left out, or described under \"" + spec + "\"",
                    "");
        }
    }

    private static void ends(List<LoopPiece> pieces, boolean open) {
        boolean source = pieces.get(0) instanceof LoopPiece.Source;
        boolean outfall = pieces.get(pieces.size() - 1) instanceof LoopPiece.Outfall;
        long loose = pieces.stream()
                .filter(p -> p instanceof LoopPiece.Source || p instanceof LoopPiece.Outfall)
                .count();
        if (open && !(source && outfall && loose == 2)) {
            throw contradiction(
                    "pieces",
                    "water line",
                    "not open at both ends",
                    "from a source at its start to an outfall at its end",
                    "");
        }
        if (!open && loose > 0) {
            throw contradiction(
                    "pieces",
                    "water loop",
                    "open-ended",
                    "closed: without source and outfall",
                    "Take them out, or say where the raw water comes from.");
        }
    }

    private static EnthalpaFault contradiction(
            String field, String label, String value, String allowed, String remedy) {
        return EnthalpaFault.of(FaultKind.CONTRADICTION, field, label, value, allowed, remedy);
    }

    private static String celsius(double t) {
        return "%.1f °C".formatted(t - 273.15);
    }

    /** @return the same loop, its flow found from its pump */
    public WaterLoopSpec pumped() {
        return new WaterLoopSpec(
                coolant, OptionalDouble.empty(), volume, pieces, radiator, tank, chiller, raw, soak, whileOff, false);
    }

    /** @return the same loop with another measured flow, m3/s */
    public WaterLoopSpec withMeasured(double flow) {
        return new WaterLoopSpec(
                coolant,
                OptionalDouble.of(flow),
                volume,
                pieces,
                radiator,
                tank,
                chiller,
                raw,
                soak,
                whileOff,
                guessed);
    }

    public WaterLoopSpec withVolume(double other) {
        return new WaterLoopSpec(
                coolant, measured, other, pieces, radiator, tank, chiller, raw, soak, whileOff, guessed);
    }

    public WaterLoopSpec withPieces(List<LoopPiece> others) {
        return new WaterLoopSpec(
                coolant, measured, volume, others, radiator, tank, chiller, raw, soak, whileOff, guessed);
    }

    public WaterLoopSpec withRadiator(RadiatorSpec other) {
        return new WaterLoopSpec(
                coolant, measured, volume, pieces, Optional.of(other), tank, chiller, raw, soak, whileOff, guessed);
    }

    public WaterLoopSpec withTank(TankSpec other) {
        return new WaterLoopSpec(
                coolant, measured, volume, pieces, radiator, Optional.of(other), chiller, raw, soak, whileOff, guessed);
    }

    public WaterLoopSpec withChiller(ChillerSpec other) {
        return new WaterLoopSpec(
                coolant, measured, volume, pieces, radiator, tank, Optional.of(other), raw, soak, whileOff, guessed);
    }
}

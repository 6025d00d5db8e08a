package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.CoreBasis;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.EndTankSpec.PortPlace;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.exchanger.PortElbow;
import io.enthalpa.core.exchanger.PortSeat;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.exchanger.PortTurn;
import io.enthalpa.core.exchanger.RatingCard;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.loss.BendLoss;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

@Part(value = "core", says = "a charge cooler, known by its card or by its geometry", named = true)
record CorePiece(
        @Kind("core") String kind,
        String name,
        String construction,
        Coolant cooledBy,

        @Figure(
                label = "core width",
                min = 30,
                max = 2500,
                usual = 500,
                help = "finned block along the charge, tanks not counted")
        double width_mm,

        @Figure(label = "core height", min = 30, max = 1500, usual = 250, help = "finned block")
        double height_mm,

        @Figure(label = "core depth", min = 10, max = 400, usual = 64, help = "finned block")
        double depth_mm,

        @Nullable Effectiveness arrangement,
        @Nullable PortSide inletTowards,

        @Figure(
                label = "core port bore",
                min = 10,
                max = 400,
                usual = 63,
                help = "inside; of the outlet too unless that has its own")
        double portBore_mm,

        @Figure(
                label = "core outlet bore",
                min = 10,
                max = 400,
                usual = 63,
                help = "inside, where it is other than the inlet's")
        @Nullable
        Double outletBore_mm,

        @Figure(
                label = "port stub",
                min = 0,
                max = 500,
                usual = 40,
                help = "that a port stands out of its tank: 35-50 for a hose and its clamp; common practice, no source")
        @Nullable
        Double portStub_mm,

        @Figure(
                label = "end tank depth",
                min = 0,
                max = 400,
                usual = 63,
                help =
                        "from the block's face to the back of the tank; the port's bore is usual, 0 for a block fed over its face")
        @Nullable
        Double tankDepth_mm,

        @Nullable PortPlace portPlace,
        @Nullable PortSide portTowards,
        @Nullable PortPlace outletPlace,
        @Nullable PortSide outletTowards,
        @Nullable Boolean dividedInlet,

        @Figure(
                label = "passages blocked",
                min = 0,
                max = 90,
                usual = 0,
                help = "by a boss, weld or dirt; share of the passages that get no air")
        @Nullable
        Double blocked_pct,

        @Figure(label = "outlets", min = 1, max = 2, usual = 1, help = "two for two banks") @Nullable
        Integer outlets,

        @Nullable PortTurn inletTurn,
        @Nullable PortTurn outletTurn,

        @Figure(
                label = "elbow radius",
                min = 7,
                max = 2000,
                usual = 63,
                help =
                        "of its middle line; empty for the port's bore, the tightest that is bought; common practice, no source")
        @Nullable
        Double elbowRadius_mm,

        @Figure(label = "elbow turns by", min = 10, max = 90, usual = 90, help = "a right angle where it is not said")
        @Nullable
        Double elbowAngle_deg,

        @Nullable Card card,
        @Nullable Block block,
        @Nullable FaceAir air,
        @Nullable WaterLoop water,
        @Nullable SharesLoop sharesLoop,
        @Nullable String id)
        implements Piece {
    @Override
    public PathElement core(Place at) {
        CoreSize size = new CoreSize(MM.si(width_mm), MM.si(height_mm), MM.si(depth_mm));
        EndTankSpec tanks = new EndTankSpec(
                MM.si(portBore_mm),
                MM.si(tankDepth_mm == null ? portBore_mm : tankDepth_mm),
                new PortSeat(inletPlace(), Optional.ofNullable(portTowards)),
                new PortSeat(outletPlace == null ? inletPlace() : outletPlace, Optional.ofNullable(outletTowards)),
                Boolean.TRUE.equals(dividedInlet),
                PCT.si(blocked_pct).orElse(0),
                outlets == null ? 1 : outlets,
                MM.si(outletBore_mm == null ? portBore_mm : outletBore_mm),
                MM.si(portStub_mm).orElse(EndTankSpec.USUAL_STUB),
                elbow(inletTurn, portBore_mm, at),
                elbow(outletTurn, outletBore_mm == null ? portBore_mm : outletBore_mm, at));
        CoolingSide cooling = cooling(at);
        CoreSpec spec = new CoreSpec(
                construction,
                size,
                basis(at),
                arrangement == null ? Effectiveness.CROSSFLOW_UNMIXED : arrangement,
                tanks,
                inletTowards == null ? PortSide.RIGHT : inletTowards);
        checked(spec, at);
        return new PathElement.Core(name, spec, cooling);
    }

    private PortPlace inletPlace() {
        return portPlace == null ? PortPlace.MIDDLE : portPlace;
    }

    private Optional<PortElbow> elbow(@Nullable PortTurn turn, double bore, Place at) {
        if (turn == null) {
            return Optional.empty();
        }
        double radius = elbowRadius_mm == null ? bore : elbowRadius_mm;
        if (!BendLoss.RADIUS.contains(radius / bore)) {
            throw at.contradiction(
                    "elbowRadius_mm",
                    "elbow radius",
                    "%.0f mm".formatted(radius),
                    "%.0f to %.0f mm for a port of %.0f mm"
                            .formatted(
                                    Math.ceil(BendLoss.RADIUS.min() * bore),
                                    Math.floor(BendLoss.RADIUS.max() * bore),
                                    bore),
                    "");
        }
        return Optional.of(
                new PortElbow(turn, MM.si(radius), DEG.si(elbowAngle_deg).orElse(Math.PI / 2)));
    }

    private CoolingSide cooling(Place at) {
        if (cooledBy == Coolant.AIR) {
            at.none("nothing, for the core is cooled by air", "water", water);
            at.none("nothing, for the core is cooled by air", "sharesLoop", sharesLoop);
            return new CoolingSide.Air(FaceAir.orUsual(air));
        }
        at.none("nothing, for the core is cooled by water", "air", air);
        if (sharesLoop != null) {
            at.none("nothing, for the core shares another's loop", "water", water);
            return new CoolingSide.Shared(sharesLoop.core(), sharesLoop.stands());
        }
        if (water == null) {
            throw at.malformed("water", "missing", "it to be there, or \"sharesLoop\"");
        }
        return new CoolingSide.Water(water.core(at.to("water")));
    }

    private CoreBasis basis(Place at) {
        if (block != null && card != null) {
            throw at.contradiction(
                            "block",
                            "",
                            "known by card and by geometry",
                            "one of them",
                            "Take the card out, or the block.")
                    .at(at.pointer() + "/block", at.words());
        }
        if (block != null) {
            return block.core(at, cooledBy);
        }
        if (card == null) {
            throw at.malformed("card", "missing", "it to be there");
        }
        return card.core(at.to("card"), cooledBy);
    }

    /** Says at once, by its place in the file, what cannot be built. */
    private static void checked(CoreSpec spec, Place at) {
        try {
            if (spec.basis() instanceof FinnedBlock block) {
                block.layers(spec.size());
            }
            spec.tanks().checkedFor(spec.size());
            spec.checkedSeats().checkedElbows();
        } catch (EnthalpaFault fault) {
            throw at.inside(fault, fault.field().startsWith("bar") ? "block" : "");
        }
    }

    static CorePiece of(PathElement.Core core) {
        CoreSpec s = core.spec();
        EndTankSpec t = s.tanks();
        return new CorePiece(
                "core",
                core.name(),
                s.construction(),
                core.isCooledByAir() ? Coolant.AIR : Coolant.WATER,
                MM.of(s.size().width()),
                MM.of(s.size().height()),
                MM.of(s.size().depth()),
                s.arrangement(),
                s.inletTowards(),
                MM.of(t.portBore()),
                t.outletBore() == t.portBore() ? null : MM.of(t.outletBore()),
                t.stub() == EndTankSpec.USUAL_STUB ? null : MM.of(t.stub()),
                MM.of(t.depth()),
                t.inlet().place(),
                t.inlet().towards().orElse(null),
                t.outlet().place() == t.inlet().place() ? null : t.outlet().place(),
                t.outlet().towards().orElse(null),
                t.divided(),
                PCT.of(t.blocked()),
                t.outlets(),
                t.inletElbow().map(PortElbow::towards).orElse(null),
                t.outletElbow().map(PortElbow::towards).orElse(null),
                elbowRadius(t),
                elbow(t).filter(e -> e.angle() != Math.PI / 2)
                        .map(e -> Double.valueOf(DEG.of(e.angle())))
                        .orElse(null),
                s.basis() instanceof RatingCard card ? Card.of(card) : null,
                s.basis() instanceof FinnedBlock block ? Block.of(block) : null,
                core.cooling() instanceof CoolingSide.Air air ? FaceAir.of(air.face()) : null,
                core.cooling() instanceof CoolingSide.Water water ? WaterLoop.of(water.loop()) : null,
                core.cooling() instanceof CoolingSide.Shared shared
                        ? new SharesLoop(shared.core(), shared.place())
                        : null,
                null);
    }

    private static Optional<PortElbow> elbow(EndTankSpec t) {
        return t.inletElbow().or(t::outletElbow);
    }

    /** Said where it is not each port's own bore. */
    private static @Nullable Double elbowRadius(EndTankSpec t) {
        boolean usual = t.inletElbow().filter(e -> e.radius() != t.portBore()).isEmpty()
                && t.outletElbow().filter(e -> e.radius() != t.outletBore()).isEmpty();
        return usual
                ? null
                : elbow(t).map(e -> Double.valueOf(MM.of(e.radius()))).orElse(null);
    }
}

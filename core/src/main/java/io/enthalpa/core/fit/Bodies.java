package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.room.Scroll;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.room.Stand.Size;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The bodies of an option from what its pieces and loops already say, so that a wider core is wider here too. */
public final class Bodies {
    private final BuildOption option;

    private Bodies(BuildOption option) {
        this.option = option;
    }

    /** @return those that have a place, in the order of the option's stands; a place whose piece is gone is passed over */
    public static List<Body> of(BuildOption option) {
        List<Stand> there = all(option);
        List<Body> bodies = new ArrayList<>();
        for (int i = 0; i < option.stands().size(); i++) {
            if (isOneOf(there, option.stands().get(i))) {
                bodies.add(new Bodies(option).body(i, option.stands().get(i)));
            }
        }
        return bodies;
    }

    /** @return places of what is not in the option, or not any more: kept, for it may come back */
    public static List<Stand> gone(BuildOption option) {
        List<Stand> there = all(option);
        return option.stands().stream().filter(s -> !isOneOf(there, s)).toList();
    }

    private static boolean isOneOf(List<Stand> stands, Stand stand) {
        return stands.stream().anyMatch(s -> s.of().equals(stand.of()) && s.what() == stand.what());
    }

    /** @return what could be given a place and has none yet, each with its usual size, at the datum */
    public static List<Stand> without(BuildOption option) {
        return all(option).stream()
                .filter(stand -> !isOneOf(option.stands(), stand))
                .toList();
    }

    private static List<Stand> all(BuildOption option) {
        List<Stand> all = new ArrayList<>();
        for (Pieces.Placed<PathElement> placed : Pieces.all(option.path())) {
            what(placed.piece()).ifPresent(what -> all.add(at(placed.piece().name(), what)));
            if (placed.piece() instanceof PathElement.Core core && core.loop().isPresent()) {
                WaterLoopSpec loop = core.loop().get();
                loop.radiator().ifPresent(r -> all.add(at(core.name(), Stand.What.RADIATOR)));
                loop.tank().ifPresent(t -> all.add(at(core.name(), Stand.What.TANK)));
                if (loop.pieces().stream().anyMatch(LoopPiece.Pump.class::isInstance)) {
                    all.add(at(core.name(), Stand.What.PUMP));
                }
            }
        }
        return all;
    }

    private static Stand at(String of, Stand.What what) {
        return new Stand(of, what, Pose.ORIGIN.at(), 0, 0, 0, "body", Optional.empty());
    }

    /** @return what of the room a piece is; empty of what has no place of its own */
    static Optional<Stand.What> what(PathElement piece) {
        return Optional.ofNullable(
                piece instanceof PathElement.Core
                        ? Stand.What.CORE
                        : piece instanceof PathElement.Filter
                                ? Stand.What.FILTER
                                : piece instanceof PathElement.Blower
                                        ? Stand.What.BLOWER
                                        : piece instanceof PathElement.Throttle
                                                ? Stand.What.THROTTLE
                                                : piece instanceof PathElement.Plenum ? Stand.What.PLENUM : null);
    }

    /** @return what a reader calls it */
    public static String name(Stand stand) {
        return switch (stand.what()) {
            case RADIATOR -> "radiator of " + stand.of();
            case TANK -> "tank of " + stand.of();
            case PUMP -> "pump of " + stand.of();
            default -> stand.of();
        };
    }

    private Body body(int index, Stand stand) {
        List<Solid.Part> own = stand.what() == Stand.What.CORE
                ? CoreBody.parts(core(stand).spec())
                : scroll(stand)
                        .map(s -> ScrollBody.parts(size(stand), s, piece(stand).bore()))
                        .orElseGet(() -> List.of(box(name(stand), size(stand))));
        List<Solid.Part> there = own.stream()
                .map(p -> new Solid.Part(p.element(), p.convex().moved(stand.pose())))
                .toList();
        boolean usual =
                stand.size().isEmpty() && stand.what() != Stand.What.CORE && stand.what() != Stand.What.RADIATOR;
        List<OpenPort> ports =
                ports(stand).stream().map(p -> p.moved(stand.pose())).toList();
        return new Body(name(stand), index, stand, Solid.of(there), usual, face(stand), ports, Optional.empty());
    }

    /** Of a core as it is made, of a housing that is clocked its outlet too; of what is a box {@link BoxPorts}. */
    private List<OpenPort> ports(Stand stand) {
        return switch (stand.what()) {
            case CORE -> {
                PathElement.Core core = core(stand);
                List<OpenPort> all = new ArrayList<>(CoreBody.ports(core.spec()));
                core.loop().ifPresent(loop -> all.addAll(WaterPorts.ofCore(core.spec(), loop.ports())));
                yield all;
            }
            case BLOWER, THROTTLE, FILTER, PLENUM ->
                BoxPorts.of(option.path(), piece(stand), size(stand), scroll(stand));
            case RADIATOR -> WaterPorts.ofRadiator(size(stand));
            case TANK -> WaterPorts.ofTank(size(stand));
            case PUMP -> WaterPorts.ofPump(size(stand));
            case PIPE -> List.of();
        };
    }

    /** Of a blower that has one; what is a box besides has no outlet that could be clocked. */
    private Optional<Scroll> scroll(Stand stand) {
        return hasScroll(option, stand) ? stand.scroll() : Optional.empty();
    }

    /** @return whether it is a blower whose housing can be clocked */
    public static boolean hasScroll(BuildOption option, Stand stand) {
        return stand.what() == Stand.What.BLOWER
                && new Bodies(option).piece(stand) instanceof PathElement.Blower blower
                && blower.spec().type().hasScroll();
    }

    private Optional<CoreSize> face(Stand stand) {
        return switch (stand.what()) {
            case CORE ->
                Optional.of(core(stand))
                        .filter(c -> c.cooling() instanceof CoolingSide.Air)
                        .map(c -> c.spec().standing());
            case RADIATOR -> loop(stand).radiator().map(RadiatorSpec::size);
            default -> Optional.empty();
        };
    }

    private static Solid.Part box(String name, Size size) {
        return new Solid.Part(name, Hull.box(Pose.ORIGIN, size.deep(), size.wide(), size.high()));
    }

    private Size size(Stand stand) {
        if (stand.what() == Stand.What.RADIATOR) {
            CoreSize r = loop(stand).radiator().orElseThrow().size();
            return new Size(r.depth(), r.width(), r.height());
        }
        return stand.size().orElseGet(() -> usual(stand));
    }

    /** Sizes of what the charge line does not need to know; common practice, no source. */
    private Size usual(Stand stand) {
        return switch (stand.what()) {
            case TANK -> {
                double litres = loop(stand).tank().orElseThrow().capacity();
                double edge = Math.cbrt(litres / 2);
                yield new Size(edge, 2 * edge, edge);
            }
            case PUMP -> new Size(0.12, 0.08, 0.08);
            case FILTER -> new Size(0.25, 0.25, 0.2);
            case BLOWER -> new Size(0.2, 0.2, 0.2);
            case PLENUM -> {
                double edge = Math.cbrt(((PathElement.Plenum) piece(stand)).volume() / 4);
                yield new Size(4 * edge, edge, edge);
            }
            default -> {
                double bore = piece(stand).bore();
                yield new Size(0.06, 1.5 * bore, 1.5 * bore);
            }
        };
    }

    private PathElement piece(Stand stand) {
        return Pieces.all(option.path()).stream()
                .map(Pieces.Placed::piece)
                .filter(p -> p.name().equals(stand.of()))
                .filter(p -> what(p).filter(w -> w == stand.what()).isPresent())
                .findFirst()
                .orElseThrow();
    }

    private PathElement.Core core(Stand stand) {
        return core(option, stand);
    }

    private WaterLoopSpec loop(Stand stand) {
        return loop(option, stand);
    }

    /** @return the core that a place is of, or whose loop it is on */
    public static PathElement.Core core(BuildOption option, Stand stand) {
        return Pieces.cores(option.path()).stream()
                .filter(c -> c.name().equals(stand.of()))
                .findFirst()
                .orElseThrow();
    }

    static WaterLoopSpec loop(BuildOption option, Stand stand) {
        return core(option, stand).loop().orElseThrow();
    }
}

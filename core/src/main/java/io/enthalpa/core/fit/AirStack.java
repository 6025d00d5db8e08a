package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A way of the air where it is in the room: its opening, and behind that its stack, square to the rearward axis.
 *
 * @param way   its number
 * @param parts the opening as a thin sheet, then the layers whose size is known, each by its name
 * @param away  the layers that stand elsewhere in the room
 */
public record AirStack(int way, String name, List<Solid.Part> parts, List<Away> away) {
    /** m: what two tapes may differ by; common practice, no source. */
    static final double SAME = 10e-3;
    /** m */
    private static final double SHEET = 2e-3;

    /**
     * A layer that the room has in another place than its way does.
     *
     * @param name of the body
     * @param by   m, from where the way has it to where it stands
     */
    public record Away(String name, Vector3D by) {}

    /** @return of each way whose opening has a place in the room */
    public static List<AirStack> of(BuildOption option) {
        List<AirStack> all = new ArrayList<>();
        for (int i = 0; i < option.airWays().size(); i++) {
            AirWaySpec way = option.airWays().get(i);
            if (way.inRoom().isPresent()) {
                all.add(of(option, i, way));
            }
        }
        return all;
    }

    private static AirStack of(BuildOption option, int index, AirWaySpec way) {
        Vector3D opening = way.inRoom().orElseThrow().opening();
        OpeningSpec o = way.opening();
        List<Solid.Part> parts = new ArrayList<>();
        parts.add(part("opening", opening, new CoreSize(o.width(), o.height(), SHEET)));
        List<Away> away = new ArrayList<>();
        List<Double> fronts = fronts(option, way);
        for (int k = 0; k < way.layers().size(); k++) {
            Layer layer = way.layers().get(k);
            Optional<CoreSize> size = size(option, layer);
            if (size.isPresent()) {
                Vector3D middle =
                        opening.add(new Vector3D(fronts.get(k) + size.get().depth() / 2, layer.across(), layer.up()));
                parts.add(part(layer.name(), middle, size.get()));
                stand(option, layer)
                        .filter(s -> s.middle().distance(middle) > SAME)
                        .ifPresent(s ->
                                away.add(new Away(Bodies.name(s), s.middle().subtract(middle))));
            }
        }
        return new AirStack(index, way.name(), List.copyOf(parts), List.copyOf(away));
    }

    private static Solid.Part part(String name, Vector3D middle, CoreSize size) {
        return new Solid.Part(
                name, Hull.box(new Pose(middle, Pose.ORIGIN.turn()), size.depth(), size.width(), size.height()));
    }

    /** @return m behind the opening, the front of each layer and the rear of the last */
    static List<Double> fronts(BuildOption option, AirWaySpec way) {
        List<Double> fronts = new ArrayList<>();
        double rear = 0;
        for (Layer layer : way.layers()) {
            fronts.add(rear + layer.gap());
            rear += layer.gap() + size(option, layer).map(CoreSize::depth).orElse(0.0);
        }
        fronts.add(rear);
        return fronts;
    }

    /** @return as it stands in the stack */
    static Optional<CoreSize> size(BuildOption option, Layer layer) {
        if (layer.isOther()) {
            return Optional.of(layer.other().size());
        }
        Optional<PathElement.Core> core = Pieces.cores(option.path()).stream()
                .filter(c -> c.name().equals(layer.name()))
                .findFirst();
        return layer.kind() == Layer.Kind.CORE
                ? core.map(c -> c.spec().standing())
                : core.flatMap(PathElement.Core::loop)
                        .flatMap(l -> l.radiator())
                        .map(r -> r.size());
    }

    private static Optional<Stand> stand(BuildOption option, Layer layer) {
        Stand.What what = layer.kind() == Layer.Kind.CORE ? Stand.What.CORE : Stand.What.RADIATOR;
        return layer.isOther()
                ? Optional.empty()
                : option.stands().stream()
                        .filter(s -> s.what() == what && s.of().equals(layer.name()))
                        .findFirst();
    }

    /**
     * @return the layers of a way where the room has those that stand in it, the others as far behind what is before them as they were; empty
     *     where one would stand in what is before it
     */
    public static Optional<List<Layer>> asTheyStand(BuildOption option, AirWaySpec way) {
        Vector3D opening = way.inRoom().orElseThrow().opening();
        List<Layer> layers = new ArrayList<>();
        double rear = 0;
        for (Layer layer : way.layers()) {
            double depth = size(option, layer).map(CoreSize::depth).orElse(0.0);
            double behind = rear;
            Layer there = stand(option, layer)
                    .map(s -> s.middle().subtract(opening))
                    .map(m -> new Layer(
                            layer.name(),
                            layer.kind(),
                            m.getY(),
                            m.getZ(),
                            m.getX() - depth / 2 - behind,
                            layer.other()))
                    .orElse(layer);
            if (there.gap() < 0) {
                return Optional.empty();
            }
            layers.add(there);
            rear += there.gap() + depth;
        }
        return Optional.of(layers);
    }
}

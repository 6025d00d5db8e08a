package io.enthalpa.core.coolingair;

import java.util.List;
import java.util.Optional;

/**
 * A way of the cooling air through the car: in at an opening, through a stack of exchangers, out at an exit.
 *
 * @param name          "front"
 * @param spaceWidth    m between what cannot move, left and right
 * @param spaceHeight   m between what cannot move, below and above
 * @param opening       where it comes in
 * @param seal          how tight the way from opening to stack is, 0 to 1: the rest of the stack's area is a gap round it
 * @param ducted        a duct widens from opening to stack instead of a sudden step
 * @param layers        front first, at least one
 * @param fan           empty without one
 * @param exitArea      m2
 * @param exitPressure  over the dynamic pressure of the road wind: 0 still air, -0.1 to -0.3 behind a wheel or under the car, above 0 when
 *                      the wind presses in (common practice, no source)
 * @param recirculation share of the warmed air that comes round to the front again, standing; 0.05 to 0.3 (common practice, no source)
 * @param inRoom        where its opening is in the measured room, and what is taken from there instead of what is typed
 */
public record AirWaySpec(
        String name,
        double spaceWidth,
        double spaceHeight,
        OpeningSpec opening,
        double seal,
        boolean ducted,
        List<Layer> layers,
        Optional<FanSpec> fan,
        double exitArea,
        double exitPressure,
        double recirculation,
        Optional<WayInRoom> inRoom) {
    public AirWaySpec {
        layers = List.copyOf(layers);
    }

    /** All of it as typed. */
    public AirWaySpec(
            String name,
            double spaceWidth,
            double spaceHeight,
            OpeningSpec opening,
            double seal,
            boolean ducted,
            List<Layer> layers,
            Optional<FanSpec> fan,
            double exitArea,
            double exitPressure,
            double recirculation) {
        this(
                name,
                spaceWidth,
                spaceHeight,
                opening,
                seal,
                ducted,
                layers,
                fan,
                exitArea,
                exitPressure,
                recirculation,
                Optional.empty());
    }

    /** @return as the room lets it be, where anything is taken from that: what the air really meets */
    public AirWaySpec met() {
        AirWaySpec met = this;
        if (inRoom.isPresent() && inRoom.get().found().isPresent()) {
            WayInRoom room = inRoom.get();
            WayInRoom.Found found = room.found().get();
            met = room.wallsFromRoom() ? met.withOpening(opening.withWalls(found.walls())) : met;
            met = room.exitFromRoom() ? met.withExitArea(found.exitArea()) : met;
        }
        return met;
    }

    public AirWaySpec withInRoom(WayInRoom other) {
        return new AirWaySpec(
                name,
                spaceWidth,
                spaceHeight,
                opening,
                seal,
                ducted,
                layers,
                fan,
                exitArea,
                exitPressure,
                recirculation,
                Optional.of(other));
    }

    /** @param order indices of the layers, front first @return the same way with its layers in another order, each gap where it was */
    public AirWaySpec ordered(List<Integer> order) {
        List<Layer> moved = new java.util.ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            Layer l = layers.get(order.get(i));
            moved.add(new Layer(
                    l.name(), l.kind(), l.across(), l.up(), layers.get(i).gap(), l.other()));
        }
        return withLayers(moved);
    }

    public AirWaySpec withOpening(OpeningSpec other) {
        return new AirWaySpec(
                name,
                spaceWidth,
                spaceHeight,
                other,
                seal,
                ducted,
                layers,
                fan,
                exitArea,
                exitPressure,
                recirculation,
                inRoom);
    }

    public AirWaySpec withSeal(double other) {
        return new AirWaySpec(
                name,
                spaceWidth,
                spaceHeight,
                opening,
                other,
                ducted,
                layers,
                fan,
                exitArea,
                exitPressure,
                recirculation,
                inRoom);
    }

    public AirWaySpec withLayers(List<Layer> other) {
        return new AirWaySpec(
                name,
                spaceWidth,
                spaceHeight,
                opening,
                seal,
                ducted,
                other,
                fan,
                exitArea,
                exitPressure,
                recirculation,
                inRoom);
    }

    public AirWaySpec withExitArea(double other) {
        return new AirWaySpec(
                name,
                spaceWidth,
                spaceHeight,
                opening,
                seal,
                ducted,
                layers,
                fan,
                other,
                exitPressure,
                recirculation,
                inRoom);
    }
}

package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.CM2;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.WayInRoom;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

@Part(value = "airWay", says = "a way of the cooling air: an opening, a stack and an exit", named = true)
record AirWay(
        String name,

        @Figure(
                label = "space width",
                min = 30,
                max = 3000,
                usual = 900,
                help = "between what cannot move, left and right")
        double spaceWidth_mm,

        @Figure(
                label = "space height",
                min = 30,
                max = 2500,
                usual = 600,
                help = "between what cannot move, below and above")
        double spaceHeight_mm,

        @Called("opening") Opening opening,

        @Figure(
                label = "seal round the stack",
                min = 0,
                max = 100,
                usual = 80,
                help = "100 is foam all round; an open front 60-80 %; common practice, no source")
        double seal_pct,

        boolean ducted,
        @Called(value = "layer", alone = true, most = 6) List<AirLayer> layers,
        @Called("fan") @Nullable Fan fan,
        @Called("exit") Exit exit,

        @Figure(
                label = "comes round again, standing",
                min = 0,
                max = 80,
                usual = 15,
                help = "share of the warm air that reaches the front again; 5-30 %; common practice, no source")
        double recirculation_pct,

        @Called("its place in the room") @Nullable InRoom inRoom,
        @Nullable String id)
        implements Named {
    static final int MOST = 6;

    AirWaySpec core(Place at) {
        if (layers.isEmpty()) {
            throw at.contradiction("layers", "layers", "an empty list", "at least one exchanger", "");
        }
        List<Layer> stack = new ArrayList<>();
        for (int i = 0; i < layers.size(); i++) {
            stack.add(layers.get(i).core(at.to("layers", i, layers.get(i))));
        }
        return new AirWaySpec(
                name,
                MM.si(spaceWidth_mm),
                MM.si(spaceHeight_mm),
                opening.core(),
                PCT.si(seal_pct),
                ducted,
                stack,
                Optional.ofNullable(fan).map(f -> f.core(at.to("fan"))),
                CM2.si(exit.area_cm2),
                PCT.si(exit.pressure_pct),
                PCT.si(recirculation_pct),
                Optional.ofNullable(inRoom).map(InRoom::core));
    }

    static AirWay of(AirWaySpec w) {
        return new AirWay(
                w.name(),
                MM.of(w.spaceWidth()),
                MM.of(w.spaceHeight()),
                Opening.of(w.opening()),
                PCT.of(w.seal()),
                w.ducted(),
                w.layers().stream().map(AirLayer::of).toList(),
                w.fan().map(Fan::of).orElse(null),
                new Exit(CM2.of(w.exitArea()), PCT.of(w.exitPressure())),
                PCT.of(w.recirculation()),
                w.inRoom().map(InRoom::of).orElse(null),
                null);
    }

    @Part(
            value = "airWay/inRoom",
            says =
                    "where the middle of the opening is in the room; what is taken from there counts instead of what is typed")
    record InRoom(
            double back_mm,
            double right_mm,
            double up_mm,
            @Nullable Boolean walls,
            @Nullable Boolean exit) implements PlaceInRoom {
        WayInRoom core() {
            return new WayInRoom(vector(), Boolean.TRUE.equals(walls), Boolean.TRUE.equals(exit), Optional.empty());
        }

        static InRoom of(WayInRoom w) {
            return new InRoom(
                    MM.of(w.opening().getX()),
                    MM.of(w.opening().getY()),
                    MM.of(w.opening().getZ()),
                    w.wallsFromRoom() ? Boolean.TRUE : null,
                    w.exitFromRoom() ? Boolean.TRUE : null);
        }
    }

    @Part(value = "airWay/exit", says = "where the air leaves")
    record Exit(
            @Figure(
                    label = "exit area",
                    min = 1,
                    max = 30000,
                    usual = 1200,
                    help = "smallest section behind the stack that the air must leave through")
            double area_cm2,

            @Figure(
                    label = "pressure at the exit",
                    min = -100,
                    max = 100,
                    usual = -10,
                    help = "of the road wind's: engine bay 0 to 20, under the car -10 to -20, "
                            + "behind a wheel or over the bonnet -20 to -40 %; common practice, no source")
            double pressure_pct) {}
}

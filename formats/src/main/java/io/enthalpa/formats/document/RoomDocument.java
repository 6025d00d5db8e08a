package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.MM;

import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Shaking;
import io.enthalpa.core.space.Motion;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

@Part(value = "room", says = "the room that every option must fit into, by the tape")
record RoomDocument(
        @Blank String datum,

        @Called(value = "carrier", alone = true, most = 12) @Nullable
        List<CarrierDocument> carriers,

        @Called(value = "obstacle", alone = true, most = MOST) @Nullable
        List<ObstacleDocument> obstacles,

        @Called("shaking") @Nullable ShakingDocument shaking) {
    static final int MOST = 500;
    static final String BODY = Carrier.BODY.name();

    RoomSpec core(Place at) {
        List<Carrier> carried = new ArrayList<>();
        Set<String> names = new HashSet<>(Set.of(BODY));
        for (int i = 0; carriers != null && i < carriers.size(); i++) {
            CarrierDocument carrier = carriers.get(i);
            if (!names.add(carrier.name())) {
                throw at.to("carriers", i, carrier)
                        .contradiction(
                                "name",
                                "name of a carrier",
                                "\"" + carrier.name() + "\"",
                                "a name that no other carrier has, and not \"" + BODY + "\"",
                                "");
            }
            carried.add(carrier.core());
        }
        List<Obstacle> all = new ArrayList<>();
        for (int i = 0; obstacles != null && i < obstacles.size(); i++) {
            Place there = at.to("obstacles", i, obstacles.get(i));
            checkCarrier(obstacles.get(i).carrier(), names, there);
            all.add(obstacles.get(i).core(there));
        }
        return new RoomSpec(datum, carried, all, shaking == null ? Shaking.USUAL : shaking.core());
    }

    /** @return the body, and every carrier by name */
    Set<String> carrierNames() {
        Set<String> names = new HashSet<>(Set.of(BODY));
        if (carriers != null) {
            carriers.forEach(c -> names.add(c.name()));
        }
        return names;
    }

    /** @throws io.enthalpa.core.fault.EnthalpaFault when there is no such carrier */
    static void checkCarrier(@Nullable String carrier, Set<String> names, Place at) {
        if (carrier != null && !names.contains(carrier)) {
            throw at.malformed(
                    "carrier",
                    "\"" + carrier + "\"",
                    "one of " + String.join(", ", names.stream().sorted().toList()));
        }
    }

    static RoomDocument of(RoomSpec room) {
        return new RoomDocument(
                room.datum(),
                room.carriers().isEmpty()
                        ? null
                        : room.carriers().stream().map(CarrierDocument::of).toList(),
                room.obstacles().isEmpty()
                        ? null
                        : room.obstacles().stream().map(ObstacleDocument::of).toList(),
                room.shaking().equals(Shaking.USUAL) ? null : ShakingDocument.of(room.shaking()));
    }

    @Part(value = "room/shaking", says = "what mounts must bear, in times the weight of what hangs on them")
    record ShakingDocument(
            @Figure(
                    label = "times its weight, up and down",
                    min = 1,
                    max = 50,
                    usual = 5,
                    help =
                            "that itself counted: a car or van on roads 5, common practice, no source; a boat or sled more")
            double vertical,

            @Figure(
                    label = "times its weight, sideways",
                    min = 0,
                    max = 50,
                    usual = 3,
                    help = "a car or van on roads 3, common practice, no source")
            double across) {
        Shaking core() {
            return new Shaking(vertical, across);
        }

        static ShakingDocument of(Shaking s) {
            return new ShakingDocument(s.vertical(), s.across());
        }
    }

    @Part(value = "room/carrier", says = "what moves against the body, as the engine on its mounts", named = true)
    record CarrierDocument(
            String name,
            CrankAxis axis,
            double back_mm,
            double right_mm,
            double up_mm,

            @Figure(
                    label = "rolls",
                    min = 0,
                    max = 20,
                    usual = 3,
                    help = "to either side about its axis; an engine on rubber 2-4°; common practice, no source")
            double roll_deg,

            @Figure(
                    label = "fore and aft",
                    min = 0,
                    max = 100,
                    usual = 4,
                    help = "to either side; an engine on rubber 3-5 mm; common practice, no source")
            @Nullable
            Double foreAft_mm,

            @Figure(label = "sideways", min = 0, max = 100, usual = 0, help = "to either side") @Nullable
            Double sideways_mm,

            @Figure(
                    label = "lifts",
                    min = 0,
                    max = 200,
                    usual = 5,
                    help = "up and down; an engine on rubber about 5 mm; common practice, no source")
            @Nullable
            Double lift_mm,

            @Nullable String id)
            implements Named, PlaceInRoom {
        Carrier core() {
            Vector3D travel = new Vector3D(
                    MM.si(foreAft_mm).orElse(0),
                    MM.si(sideways_mm).orElse(0),
                    MM.si(lift_mm).orElse(0));
            return new Carrier(name, new Motion(vector(), axis.vector(), DEG.si(roll_deg), travel));
        }

        static CarrierDocument of(Carrier carrier) {
            Motion m = carrier.motion();
            return new CarrierDocument(
                    carrier.name(),
                    CrankAxis.of(m.axis()),
                    MM.of(m.point().getX()),
                    MM.of(m.point().getY()),
                    MM.of(m.point().getZ()),
                    DEG.of(m.roll()),
                    some(m.travel().getX()),
                    some(m.travel().getY()),
                    some(m.travel().getZ()),
                    null);
        }

        private static @Nullable Double some(double length) {
            return length == 0 ? null : Double.valueOf(MM.of(length));
        }
    }

    /** How the crankshaft lies, about which an engine rolls. */
    enum CrankAxis {
        ALONG,
        ACROSS;

        Vector3D vector() {
            return this == ALONG ? Vector3D.PLUS_I : Vector3D.PLUS_J;
        }

        static CrankAxis of(Vector3D axis) {
            return axis.equals(Vector3D.PLUS_J) ? ACROSS : ALONG;
        }
    }
}

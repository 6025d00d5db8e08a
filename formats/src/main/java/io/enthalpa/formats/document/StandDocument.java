package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.KG;
import static io.enthalpa.formats.document.Suffix.MM;

import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Mount;
import io.enthalpa.core.room.Scroll;
import io.enthalpa.core.room.Stand;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

@Part(value = "stand", says = "where a body of the option stands in the room")
record StandDocument(
        String of,
        Stand.What what,
        double back_mm,
        double right_mm,
        double up_mm,
        @Nullable Double turned_deg,
        @Nullable Double tipped_deg,
        @Nullable Double leaned_deg,
        @Nullable String carrier,
        @Called("its size") @Nullable BodySize size,

        @Figure(label = "weight", min = 0.05, max = 500, usual = 4, help = "with what is in it, on a scale") @Nullable
        Double mass_kg,

        @Called(value = "mount", most = 12) @Nullable List<MountDocument> mounts,

        @Called("its scroll") @Nullable ScrollDocument scroll,

        @Nullable String id)
        implements PlaceInRoom, TurnedInRoom {
    @Part(value = "stand/size", says = "the size of a body that the charge line does not need to know")
    record BodySize(
            @Figure(label = "deep", min = 5, max = 3000, usual = 100, help = "front to rear, before it is turned")
            double deep_mm,

            @Figure(label = "wide", min = 5, max = 3000, usual = 100, help = "left to right, before it is turned")
            double wide_mm,

            @Figure(label = "high", min = 5, max = 3000, usual = 100, help = "before it is turned")
            double high_mm) {}

    @Part(
            value = "stand/scroll",
            says =
                    "how the housing of a turbo or centrifugal blower is clocked; its inlet looks forwards before it is turned")
    record ScrollDocument(
            @Figure(
                    label = "outlet clocked",
                    min = -360,
                    max = 360,
                    usual = 0,
                    help = "clockwise from straight up, seen from its inlet")
            double clocked_deg,

            Scroll.Runs runs) {
        Scroll core() {
            return new Scroll(DEG.si(clocked_deg), runs);
        }

        static ScrollDocument of(Scroll s) {
            return new ScrollDocument(DEG.of(s.clocked()), s.runs());
        }
    }

    Stand core(Place at, Set<String> carriers) {
        List<Mount> held = new ArrayList<>();
        for (int i = 0; mounts != null && i < mounts.size(); i++) {
            Place there = at.to("mounts", i, mounts.get(i));
            RoomDocument.checkCarrier(mounts.get(i).carrier(), carriers, there);
            held.add(mounts.get(i).core());
        }
        boolean told = what == Stand.What.CORE || what == Stand.What.RADIATOR;
        if (told) {
            at.none("nothing, for its size is told where it is described", "size", size);
        }
        if (what != Stand.What.BLOWER) {
            at.none("nothing, for only a blower has one", "scroll", scroll);
        }
        return new Stand(
                of,
                what,
                vector(),
                turned(),
                tipped(),
                leaned(),
                carrier == null ? Carrier.BODY.name() : carrier,
                Optional.ofNullable(size)
                        .map(s -> new Stand.Size(MM.si(s.deep_mm), MM.si(s.wide_mm), MM.si(s.high_mm))),
                KG.si(mass_kg),
                held,
                Optional.ofNullable(scroll).map(ScrollDocument::core));
    }

    static StandDocument of(Stand s) {
        return new StandDocument(
                s.of(),
                s.what(),
                MM.of(s.middle().getX()),
                MM.of(s.middle().getY()),
                MM.of(s.middle().getZ()),
                TurnedInRoom.degrees(s.turned()),
                TurnedInRoom.degrees(s.tipped()),
                TurnedInRoom.degrees(s.leaned()),
                s.carrier().equals(Carrier.BODY.name()) ? null : s.carrier(),
                s.size()
                        .map(z -> new BodySize(MM.of(z.deep()), MM.of(z.wide()), MM.of(z.high())))
                        .orElse(null),
                KG.of(s.mass()),
                s.mounts().isEmpty()
                        ? null
                        : s.mounts().stream().map(MountDocument::of).toList(),
                s.scroll().map(ScrollDocument::of).orElse(null),
                null);
    }
}

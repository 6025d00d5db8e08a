package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.KPA;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.JointsSpec;
import io.enthalpa.core.route.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

@Part(value = "option", says = "one way of doing the job")
record BuildOptionDocument(
        String letter,
        String name,

        @Figure(
                label = "boost",
                min = 0,
                max = 500,
                usual = 100,
                help = "in the manifold above outside air, as the gauge shows it")
        double boost_kPa,

        @Called(value = "piece", alone = true, most = Piece.MOST)
        List<Piece> path,

        @Called(value = "way of the air", alone = true, most = AirWay.MOST) @Nullable
        List<AirWay> airWays,

        @Called(value = "place in the room", alone = true, most = 200) @Nullable
        List<StandDocument> stands,

        @Called(value = "pipe laid in the room", alone = true, most = 60) @Nullable
        List<RunDocument> runs,

        @Called(value = "joints", alone = true) @Nullable JointsDocument joints) {
    /** @param carriers that the room has */
    BuildOption core(Place at, Set<String> carriers) {
        if (!letter.matches("[A-Z]")) {
            throw Place.malformed(
                    at.pointer() + "/letter", "option letter", "\"" + letter + "\"", "one capital letter A to Z");
        }
        List<AirWaySpec> ways = new ArrayList<>();
        for (int i = 0; airWays != null && i < airWays.size(); i++) {
            ways.add(airWays.get(i).core(at.to("airWays", i, airWays.get(i))));
        }
        List<Stand> standing = new ArrayList<>();
        for (int i = 0; stands != null && i < stands.size(); i++) {
            Place there = at.to("stands", i, stands.get(i));
            RoomDocument.checkCarrier(stands.get(i).carrier(), carriers, there);
            standing.add(stands.get(i).core(there, carriers));
        }
        List<Run> laid = new ArrayList<>();
        for (int i = 0; runs != null && i < runs.size(); i++) {
            laid.add(runs.get(i).core(at.to("runs", i, runs.get(i)), carriers));
        }
        return Pipework.applied(new BuildOption(
                letter,
                name,
                KPA.si(boost_kPa),
                Piece.path(path, at),
                ways,
                standing,
                laid,
                joints == null ? JointsSpec.USUAL : joints.core()));
    }

    static BuildOptionDocument of(BuildOption o) {
        return new BuildOptionDocument(
                o.letter(),
                o.name(),
                KPA.of(o.boost()),
                Piece.of(o.path()),
                o.airWays().isEmpty()
                        ? null
                        : o.airWays().stream().map(AirWay::of).toList(),
                o.stands().isEmpty()
                        ? null
                        : o.stands().stream().map(StandDocument::of).toList(),
                o.runs().isEmpty()
                        ? null
                        : o.runs().stream().map(RunDocument::of).toList(),
                JointsDocument.of(o.joints()));
    }
}

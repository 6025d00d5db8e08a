package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.KG_S;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;
import static io.enthalpa.formats.document.Suffix.RPM;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.CompressorMap;
import io.enthalpa.core.engine.SpeedLine;
import io.enthalpa.core.fault.EnthalpaFault;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

@Part(value = "blower", says = "turbo or supercharger", named = true)
record BlowerPiece(
        @Kind("blower") String kind,
        String name,
        BlowerType type,

        @Figure(
                label = "blower efficiency",
                min = 30,
                max = 90,
                usual = 70,
                help =
                        "isentropic: roots-type 50-60, screw 65-75, centrifugal 68-78, turbo 65-78 %; common practice, no source")
        double efficiency_pct,

        @Figure(
                label = "most pressure ratio",
                min = 1.05,
                max = 6,
                usual = 3.0,
                help = "what the blower can make; from its maker")
        double maxPressureRatio,

        @Figure(label = "blower outlet bore", min = 10, max = 400, usual = 51, help = "inside")
        double outletBore_mm,

        @Called("map") @Nullable BlowerMap map,
        @Nullable String id)
        implements Piece {
    @Override
    public PathElement core(Place at) {
        return new PathElement.Blower(
                name,
                new BlowerSpec(
                        type,
                        PCT.si(efficiency_pct),
                        maxPressureRatio,
                        MM.si(outletBore_mm),
                        Optional.ofNullable(map).map(m -> m.core(at))));
    }

    static BlowerPiece of(PathElement.Blower blower) {
        BlowerSpec b = blower.spec();
        return new BlowerPiece(
                "blower",
                blower.name(),
                b.type(),
                PCT.of(b.efficiency()),
                b.maxPressureRatio(),
                MM.of(b.outletBore()),
                b.map().map(BlowerMap::of).orElse(null),
                null);
    }

    @Part(value = "blower/map", says = "a compressor map")
    record BlowerMap(
            @Nullable String name,

            @Figure(
                    label = "map's inlet temperature",
                    min = -20,
                    max = 60,
                    usual = 25,
                    help = "that the map's flow and speed are corrected to; it stands on the map")
            double referenceTemperature_C,

            @Figure(
                    label = "map's inlet pressure",
                    min = 80,
                    max = 120,
                    usual = 100,
                    help = "absolute; it stands on the map")
            double referencePressure_kPa,

            @Called(value = "map line", alone = true, most = 30)
            List<MapLine> lines) {
        CompressorMap core(Place blower) {
            try {
                return new CompressorMap(
                        name == null ? "" : name,
                        C.si(referenceTemperature_C),
                        KPA.si(referencePressure_kPa),
                        lines.stream().map(MapLine::core).toList());
            } catch (EnthalpaFault fault) {
                throw blower.inside(fault, "map");
            }
        }

        static BlowerMap of(CompressorMap m) {
            return new BlowerMap(
                    m.name().isEmpty() ? null : m.name(),
                    C.of(m.referenceTemperature()),
                    KPA.of(m.referencePressure()),
                    m.lines().stream().map(MapLine::of).toList());
        }
    }

    @Part(value = "blower/map/lines", says = "one speed, from surge to choke")
    record MapLine(
            @Figure(
                    label = "map line speed",
                    min = 500,
                    max = 500000,
                    usual = 100000,
                    help = "corrected, as on the map")
            double speed_rpm,

            @Called(value = "map point", alone = true, most = 60)
            List<MapPoint> points,

            @Nullable String id) {
        SpeedLine core() {
            return new SpeedLine(
                    RPM.si(speed_rpm),
                    points.stream()
                            .map(p -> new SpeedLine.Point(
                                    KG_S.si(p.flow_kg_s), p.pressureRatio, PCT.si(p.efficiency_pct)))
                            .toList());
        }

        static MapLine of(SpeedLine line) {
            return new MapLine(
                    RPM.of(line.speed()),
                    line.points().stream()
                            .map(p -> new MapPoint(KG_S.of(p.flow()), p.ratio(), PCT.of(p.efficiency()), null))
                            .toList(),
                    null);
        }
    }

    @Part(value = "blower/map/lines/points", says = "a point of it")
    record MapPoint(
            @Figure(label = "map flow", min = 0.001, max = 20, usual = 0.15, help = "corrected, as on the map")
            double flow_kg_s,

            @Figure(label = "map pressure ratio", min = 1, max = 8, usual = 2, help = "total to total, as on the map")
            double pressureRatio,

            @Figure(label = "map efficiency", min = 20, max = 92, usual = 72, help = "isentropic, as on the map")
            double efficiency_pct,

            @Nullable String id) {}
}

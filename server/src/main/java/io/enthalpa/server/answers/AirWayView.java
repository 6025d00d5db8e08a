package io.enthalpa.server.answers;

import io.enthalpa.core.coolingair.AirFlow;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.coolingair.WayInRoom;
import io.enthalpa.core.steady.AirWayResult;
import io.enthalpa.core.steady.AirWayResult.LayerResult;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** What a way of the cooling air does at full load: flow, where the road wind's pressure goes, and the air from layer to layer. */
public record AirWayView(
        String place,
        String name,
        double flow_m3_h,
        double bypass_pct,
        double freeOpening_cm2,
        double uncovered_pct,
        double stackFace_cm2,
        double wind_Pa,
        double fan_Pa,
        double buoyancy_Pa,
        double inLoss_Pa,
        double stackLoss_Pa,
        double outLoss_Pa,
        boolean against,
        double front_C,
        double behind_C,
        List<LayerView> layers,
        List<SpeedView> speeds,
        @Nullable WayInRoomView inRoom) {
    /**
     * What the room has before and behind the stack, whether it is taken or not.
     *
     * @param uncovered_pct of the opening
     * @param covers        names of what covers it
     */
    public record WayInRoomView(double uncovered_pct, List<String> covers, double exit_cm2) {
        static WayInRoomView of(WayInRoom.Found found, OpeningSpec opening) {
            return new WayInRoomView(
                    100 * opening.withWalls(found.walls()).free(),
                    found.walls().stream()
                            .map(OpeningSpec.Wall::name)
                            .distinct()
                            .toList(),
                    found.exitArea() * 1e4);
        }
    }

    private static final int SPEEDS = 12;
    /** The drawing goes on to this at least, m/s. */
    private static final double FAR = 130 / 3.6;

    /** Air at the face of each layer at a road speed. */
    public record SpeedView(double roadSpeed_km_h, List<Double> faces_m_s) {}

    /** A layer, front first; of one that is not the build's also what it has to give, how warm its hot side gets, and whether that is the most it may. */
    public record LayerView(
            String place,
            String name,
            String kind,
            double width_mm,
            double height_mm,
            double depth_mm,
            double faceSpeed_m_s,
            double airIn_C,
            double airOut_C,
            double heat_kW,
            @Nullable Double asked_kW,
            @Nullable Double hot_C,
            boolean fallsShort) {}

    /** @param roadSpeed m/s at full load */
    static AirWayView of(AirWayResult way, int index, double roadSpeed) {
        AirFlow flow = way.flow();
        AirWaySpec spec = way.spec();
        List<LayerView> layers = new ArrayList<>();
        for (int k = 0; k < way.layers().size(); k++) {
            Layer layer = spec.layers().get(k);
            LayerResult r = way.layers().get(k);
            layers.add(new LayerView(
                    "/airWays/" + index + "/layers/" + k,
                    layer.name(),
                    layer.kind().name(),
                    r.width() * 1000,
                    r.height() * 1000,
                    r.depth() * 1000,
                    r.speed(),
                    r.airIn() - 273.15,
                    r.airOut() - 273.15,
                    r.heat() / 1000,
                    layer.isOther() ? r.asked() / 1000 : null,
                    layer.isOther() ? r.hot() - 273.15 : null,
                    r.fallsShort()));
        }
        return new AirWayView(
                "/airWays/" + index,
                spec.name(),
                flow.total() * 3600,
                100 * flow.bypass() / flow.total(),
                spec.opening().area() * 1e4,
                100 * spec.opening().free(),
                way.face() * 1e4,
                flow.wind(),
                flow.fan(),
                flow.buoyancy(),
                flow.inLoss(),
                flow.stackLoss(),
                flow.outLoss(),
                flow.against(),
                way.warmth().front() - 273.15,
                way.warmth().behind() - 273.15,
                layers,
                speeds(way, Math.max(1.25 * roadSpeed, FAR)),
                spec.inRoom()
                        .flatMap(WayInRoom::found)
                        .map(found -> WayInRoomView.of(found, spec.opening()))
                        .orElse(null));
    }

    private static List<SpeedView> speeds(AirWayResult way, double most) {
        List<SpeedView> speeds = new ArrayList<>();
        for (int i = 0; i <= SPEEDS; i++) {
            double v = most * i / SPEEDS;
            speeds.add(new SpeedView(
                    3.6 * v,
                    IntStream.range(0, way.layers().size())
                            .mapToObj(k -> way.faceSpeed(v, k))
                            .toList()));
        }
        return speeds;
    }
}

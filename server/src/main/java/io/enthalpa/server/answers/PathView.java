package io.enthalpa.server.answers;

import io.enthalpa.core.chargepath.LegResult;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PieceResult;
import io.enthalpa.core.chargepath.Price;
import io.enthalpa.core.chargepath.Station;
import io.enthalpa.core.engine.MapPoint;
import io.enthalpa.core.place.Spot;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.document.Pointers;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Stations and pieces of a row, with the legs inside a pair. */
public final class PathView {
    private final IdentityHashMap<PathElement, Price> prices = new IdentityHashMap<>();

    PathView(List<Price> found) {
        found.forEach(price -> prices.put(price.element(), price));
    }

    public record StationView(
            String name,
            double totalPressure_kPa,
            double staticPressure_kPa,
            double temperature_C,
            double density_kg_m3,
            double velocity_m_s,
            double mach,
            double bore_mm) {
        static StationView of(Station s) {
            return new StationView(
                    s.name(),
                    s.totalPressure() / 1000,
                    s.staticPressure() / 1000,
                    s.temperature() - 273.15,
                    s.density(),
                    s.velocity(),
                    s.mach(),
                    s.bore() * 1000);
        }
    }

    /** What the piece costs: kelvin and power at the same boost, percent of the air at the same pressure ratio. */
    public record PriceView(double intake_K, double power_kW, double air_pct) {}

    /** Where a blower works on its map; flow as on the map. */
    public record MapPointView(
            double flow_kg_s,
            double ratio,
            double efficiency_pct,
            double speed_rpm,
            double surgeMargin_pct,
            double chokeMargin_pct,
            MapPoint.Place place) {
        static MapPointView of(MapPoint p) {
            return new MapPointView(
                    p.flow(),
                    p.ratio(),
                    100 * p.efficiency(),
                    p.speed() * 30 / Math.PI,
                    100 * p.surgeMargin(),
                    100 * p.chokeMargin(),
                    p.place());
        }
    }

    /** One of two ways side by side. */
    public record LegView(
            String name,
            double share_pct,
            double flow_kg_s,
            double splitLoss_kPa,
            double mergeLoss_kPa,
            List<StationView> stations,
            List<PieceView> pieces) {}

    /** @param place pointer within the option, "/path/3" */
    public record PieceView(
            String kind,
            String name,
            String place,
            double loss_kPa,
            double stepLoss_kPa,
            double temperatureChange_K,
            double heat_kW,
            double velocity_m_s,
            double mach,
            double volume_L,
            @Nullable PriceView price,
            @Nullable MapPointView map,
            List<LegView> legs) {}

    List<StationView> stations(List<Station> stations) {
        return stations.stream().map(StationView::of).toList();
    }

    List<PieceView> pieces(Spot.Row row, List<PieceResult> pieces) {
        List<PieceView> views = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            views.add(piece(row.at(i), pieces.get(i)));
        }
        return views;
    }

    private PieceView piece(Spot spot, PieceResult p) {
        List<LegView> legs = new ArrayList<>();
        for (int k = 0; k < p.legs().size(); k++) {
            LegResult leg = p.legs().get(k);
            legs.add(new LegView(
                    leg.name(),
                    100 * leg.share(),
                    leg.flow(),
                    leg.splitLoss() / 1000,
                    leg.mergeLoss() / 1000,
                    stations(leg.stations()),
                    pieces(spot.leg(k), leg.pieces())));
        }
        Price price = prices.get(p.element());
        return new PieceView(
                BuildFile.kind(p.element()),
                p.element().name(),
                Pointers.of(spot),
                p.loss() / 1000,
                p.stepLoss() / 1000,
                p.temperature(),
                p.heat() / 1000,
                p.velocity(),
                p.mach(),
                p.volume() * 1000,
                price == null || Double.isNaN(price.intake())
                        ? null
                        : new PriceView(price.intake(), price.power() / 1000, 100 * price.air()),
                p.map().map(MapPointView::of).orElse(null),
                legs);
    }
}

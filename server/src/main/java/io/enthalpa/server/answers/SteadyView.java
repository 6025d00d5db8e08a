package io.enthalpa.server.answers;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.chargepath.Station;
import io.enthalpa.core.engine.FuelDemand;
import io.enthalpa.core.joint.Joints;
import io.enthalpa.core.notes.Note;
import io.enthalpa.core.notes.Notes;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.plant.ResistanceShares;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.formats.Sentences;
import io.enthalpa.formats.document.Pointers;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** The charge line of an option at full load, as the screen, the REST interface and the command line show it, and what is wrong with its joints. */
public record SteadyView(
        String option,
        String optionName,
        List<PathView.StationView> stations,
        List<PathView.PieceView> pieces,
        double flow_kg_s,
        double pressureRatio,
        double shaftPower_kW,
        double boost_kPa,
        double askedBoost_kPa,
        double throttleLoss_kPa,
        boolean blowerLimited,
        double totalLoss_kPa,
        double chargeDensity_kg_m3,
        double residual,
        int iterations,
        OutsideView outside,
        FillingView filling,
        @Nullable Double flowByPower_kg_s,
        @Nullable SprayView spray,
        @Nullable CoreView core,
        List<CoreView> cores,
        List<LoopView> loops,
        List<AirWayView> airWays,
        List<NoteView> notes,
        List<FitView.FitFindingView> joints) {

    /** The air outside as it was counted. */
    public record OutsideView(
            double temperature_C,
            double pressure_kPa,
            @Nullable Double dewPoint_C) {
        static OutsideView of(Ambient a) {
            double dew = a.air().dewPoint(a.pressure());
            return new OutsideView(a.temperature() - 273.15, a.pressure() / 1000, dew <= 0 ? null : dew - 273.15);
        }
    }

    /** What stands between blower and valves, and how long full flow takes to fill it. */
    public record FillingView(double volume_L, double time_s) {}

    /** Injection at full load: liquid used, and how long the smallest tank lasts at that. */
    public record SprayView(double flow_L_min, @Nullable Double tankLasts_s) {}

    /** Shares in percent; they add up to 100. */
    public record SharesView(
            double charge_pct,
            double wall_pct,
            double coldFilm_pct,
            double coldFlow_pct,
            double radiator_pct,
            double tank_pct,
            double warmedAir_pct) {
        static SharesView of(ResistanceShares s) {
            return new SharesView(
                    100 * s.charge(),
                    100 * s.wall(),
                    100 * s.coldFilm(),
                    100 * s.coldFlow(),
                    100 * s.radiator(),
                    100 * s.tank(),
                    100 * s.warmedAir());
        }
    }

    /**
     * Something the user should know: {@code kind} names its sentence in the field catalogue, {@code of} and {@code values} fill it,
     * {@code says} is the sentence in metric units.
     */
    public record NoteView(Note.Kind kind, String place, String of, Map<String, Double> values, String says) {
        static NoteView of(Note n) {
            return new NoteView(
                    n.kind(), Pointers.of(n.subject()), n.of(), Sentences.told(n.figures()), Sentences.of(n));
        }
    }

    static SteadyView of(Answer answer) {
        SteadyResult result = answer.priced();
        PathResult path = result.path();
        BuildOption option = answer.option();
        Ambient ambient = answer.system().path().ambient();
        Station last = path.stations().get(path.stations().size() - 1);
        PathView view = new PathView(result.prices());
        List<CoreView> cores = result.cores().stream().map(CoreView::of).toList();
        return new SteadyView(
                option.letter(),
                option.name(),
                view.stations(path.stations()),
                view.pieces(Spot.Row.PATH, path.pieces()),
                path.flow(),
                path.pressureRatio(),
                path.shaftPower() / 1000,
                (path.manifoldPressure() - ambient.pressure()) / 1000,
                (path.askedPressure() - ambient.pressure()) / 1000,
                path.throttleLoss() / 1000,
                path.blowerLimited(),
                path.totalLoss() / 1000,
                ambient.air().density(last.totalPressure(), last.temperature()),
                path.residual(),
                path.iterations(),
                OutsideView.of(ambient),
                new FillingView(path.filling().volume() * 1000, path.filling().time()),
                answer.system()
                        .path()
                        .engine()
                        .fuel()
                        .map(FuelDemand::airDemand)
                        .orElse(null),
                spray(answer, path),
                cores.isEmpty() ? null : cores.get(cores.size() - 1),
                cores,
                result.loops().stream().map(LoopView::of).toList(),
                ways(result, answer.roadSpeed()),
                Notes.about(answer.system(), result).stream().map(NoteView::of).toList(),
                Joints.of(answer, path).all().stream()
                        .flatMap(j -> j.findings().stream())
                        .map(FitView.FitFindingView::of)
                        .toList());
    }

    private static List<AirWayView> ways(SteadyResult result, double roadSpeed) {
        return IntStream.range(0, result.ways().size())
                .mapToObj(w -> AirWayView.of(result.ways().get(w), w, roadSpeed))
                .toList();
    }

    private static @Nullable SprayView spray(Answer answer, PathResult path) {
        double boost =
                path.manifoldPressure() - answer.system().path().ambient().pressure();
        double flow = 0;
        double lasts = Double.POSITIVE_INFINITY;
        for (var spec : answer.system().path().sprays()) {
            flow += spec.flow(boost);
            lasts = Math.min(lasts, spec.tank() / spec.flow(boost));
        }
        return answer.system().path().sprays().isEmpty()
                ? null
                : new SprayView(flow * 60e3, Double.isFinite(lasts) ? lasts : null);
    }
}
